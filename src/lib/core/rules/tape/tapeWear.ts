import { regionOf } from '../../atlas/regionOf';
import { setStep } from '../../sequence/edits';
import type { School } from '../../school/school.schema';
import type { Step } from '../../step/step.schema';
import type { Working } from '../../working/working.schema';
import { stepOfFinding, type Rule } from '../rule';

const OVERNIGHT: readonly string[] = ['glabella'];

/** Hours that tape may be worn: beside the eye, the first time, elsewhere, and overnight where a school does so. */
function wearLimit(step: Step, school: School, working: Working): number {
	if (step.places.some((p) => regionOf(p) === 'eye')) return working.eyeTapeHours;
	// The first time shows how the skin takes it, whatever the school.
	if (step.tape?.firstWear) return working.firstTapeHours;
	const night =
		school.tape === 'overnight' && step.places.length > 0 && step.places.every((p) => OVERNIGHT.includes(p));
	return night ? working.nightTapeHours : working.tapeHours;
}

/** The first of several wears is a trial: no longer than a first one may be. */
const firstLimit = (step: Step, school: School, working: Working): number =>
	Math.min(working.firstTapeHours, wearLimit(step, school, working));

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
	check: ({ steps, school, working }) =>
		steps
			.filter(({ step }) => step.aim === 'fix' && step.tape)
			.flatMap(({ step, number }) => {
				const { wearHours, firstHours = 0 } = step.tape!;
				const [limit, first] = [wearLimit(step, school, working), firstLimit(step, school, working)];
				const [hours, over] = wearHours > limit ? [wearHours, limit] : [firstHours, first];
				return hours > over ? [{ stepIds: [step.id], params: { number, hours, limit: over } }] : [];
			}),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step?.tape) return null;
		const { school, working } = context;
		const { wearHours, firstHours } = step.tape;
		const tape = {
			...step.tape,
			wearHours: Math.min(wearHours, wearLimit(step, school, working)),
			...(firstHours === undefined ? {} : { firstHours: Math.min(firstHours, firstLimit(step, school, working)) })
		};
		return setStep(context.sequence, step.id, { tape }, `Wear the tape of step ${finding.params.number} shorter`);
	}
};
