import { placeOf } from '../../atlas/places';
import { isFace, regionOf } from '../../atlas/regionOf';
import { setStep } from '../../sequence/edits';
import { fillPath } from '../../atlas/route';
import type { Step } from '../../step/step.schema';
import { endPlace, peakLevel } from '../../step/levelsOf';
import { safeLevel } from '../../pressure/caps';
import { aimRow } from '../../vocabulary/vocabulary';
import { stepOfFinding, type Rule } from '../rule';
import { isStroke } from '../strokes';

const SHORT: readonly string[] = ['jawline', 'chin', 'marionette'];
const isShort = (step: Step): boolean =>
	aimRow(step.aim).goesOnAlongJaw && isStroke(step) && startsBefore(step) && SHORT.includes(placeOf(endPlace(step)));

/** A drain that comes down the cheek to the jaw stops there as short as one that runs along it. */
const startsBefore = (step: Step): boolean => {
	const start = step.places[0]!;
	return SHORT.includes(placeOf(start)) || (step.aim !== 'lift' && isFace(regionOf(start)));
};

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
