import { placeOf } from '../../atlas/places';
import { setStep } from '../../sequence/edits';
import { fillPath } from '../../atlas/route';
import type { Step } from '../../sequence/sequence.schema';
import { endPlace, peakLevel } from '../../sequence/walk';
import { safeLevel } from '../../pressure/caps';
import { stepOfFinding, type Rule } from '../rule';
import { isStroke } from '../strokes';

const SHORT: readonly string[] = ['jawline', 'chin', 'marionette'];
const JAW_AIMS: readonly string[] = ['drain', 'close', 'lift'];
const isShort = (step: Step): boolean =>
	JAW_AIMS.includes(step.aim) &&
	isStroke(step) &&
	SHORT.includes(placeOf(step.places[0]!)) &&
	SHORT.includes(placeOf(endPlace(step)));

/** A stroke along the jaw goes on to the jaw nodes or to the ear. */
export const jawShort: Rule = {
	id: 'jaw-short',
	kind: 'direction',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	check: ({ steps }) =>
		steps
			.filter(({ step }) => isShort(step))
			.map(({ step, number }) => ({ stepIds: [step.id], place: placeOf(endPlace(step)), params: { number } })),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		const goal = step.aim === 'lift' ? (['masseter', 'preauricular'] as const) : (['n:submandibular'] as const);
		const places = fillPath([...step.places, ...goal], context.school.cheekRoute);
		const pressure = safeLevel(step, places, peakLevel(step), context.school);
		const change: Partial<Step> = { places, pressure, levels: undefined, reverse: false };
		if (step.side === 'midline') change.side = 'both';
		return setStep(
			context.sequence,
			step.id,
			change,
			`Lead step ${finding.params.number} on to ${step.aim === 'lift' ? 'the ear' : 'the jaw nodes'}`
		);
	}
};
