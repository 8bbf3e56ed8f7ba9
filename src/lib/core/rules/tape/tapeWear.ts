import { regionOf } from '../../atlas/regionOf';
import { setStep } from '../../sequence/edits';
import type { School } from '../../school/school.schema';
import type { Step } from '../../sequence/sequence.schema';
import { stepOfFinding, type Rule } from '../rule';

/** Hours that tape is worn (working values): beside the eye, elsewhere, and overnight where a school does so. */
export const EYE_WEAR_HOURS = 2;
export const WEAR_HOURS = 8;
export const NIGHT_WEAR_HOURS = 10;
const OVERNIGHT: readonly string[] = ['glabella'];

function wearLimit(step: Step, school: School): number {
	if (step.places.some((p) => regionOf(p) === 'eye')) return EYE_WEAR_HOURS;
	const night =
		school.tape === 'overnight' && step.places.length > 0 && step.places.every((p) => OVERNIGHT.includes(p));
	return night ? NIGHT_WEAR_HOURS : WEAR_HOURS;
}

/** Tape comes off in time. */
export const tapeWear: Rule = {
	id: 'tape-wear',
	kind: 'tape',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'caution',
	safe: true,
	policy: (school) =>
		({ hours: 'tape for some hours', overnight: 'tape also overnight, between the brows', none: 'no tape' })[
			school.tape
		],
	check: ({ steps, school }) =>
		steps
			.filter(({ step }) => step.aim === 'fix' && step.tape && step.tape.wearHours > wearLimit(step, school))
			.map(({ step, number }) => ({
				stepIds: [step.id],
				params: { number, hours: step.tape!.wearHours, limit: wearLimit(step, school) }
			})),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step?.tape) return null;
		const tape = { ...step.tape, wearHours: wearLimit(step, context.school) };
		return setStep(context.sequence, step.id, { tape }, `Wear the tape of step ${finding.params.number} shorter`);
	}
};
