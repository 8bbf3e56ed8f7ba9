import { placeOf, type PlaceId } from '../../atlas/places';
import { isFace, regionOf } from '../../atlas/regionOf';
import { setStep } from '../../sequence/edits';
import { lanesAs } from '../../step/parts';
import { fillPath } from '../../atlas/route';
import type { Step } from '../../step/step.schema';
import { endPlace, peakLevel } from '../../step/levelsOf';
import { safeLevel } from '../../pressure/caps';
import { aimRow } from '../../vocabulary/vocabulary';
import { stepOfFinding, type Rule } from '../rule';
import { isStroke } from '../strokes';

const SHORT: readonly string[] = ['jawline', 'chin', 'marionette'];
/** The end of a lane that stops short, where no other lane begins there and leads on. */
function shortEnd(step: Step): PlaceId | undefined {
	if (!aimRow(step.aim).goesOnAlongJaw || !isStroke(step) || !startsBefore(step)) return undefined;
	const ways = [step, ...lanesAs(step)].map((way) => ({ from: placeOf(way.places[0]!), to: placeOf(endPlace(way)) }));
	const goesOn = (end: PlaceId) => ways.some(({ from, to }) => from === end && !SHORT.includes(to));
	return ways.find(({ to }) => SHORT.includes(to) && !goesOn(to))?.to;
}

/** A drain that comes down the cheek to the jaw stops there as short as one that runs along it. */
const startsBefore = (step: Step): boolean => {
	const start = step.places[0]!;
	return SHORT.includes(placeOf(start)) || (step.aim !== 'lift' && isFace(regionOf(start)));
};

/** A stroke along the jaw goes on to the jaw nodes or to the ear. */
export const jawShort: Rule = {
	id: 'jaw-short',
	kind: 'direction',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	check: ({ steps }) =>
		steps.flatMap(({ step, number }) => {
			const place = shortEnd(step);
			return place ? [{ stepIds: [step.id], place, params: { number } }] : [];
		}),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		const goal = step.aim === 'lift' ? (['masseter', 'preauricular'] as const) : (['n:submandibular'] as const);
		const places = fillPath([...step.places, ...goal], context.school.cheekRoute);
		const pressure = safeLevel(step, places, peakLevel(step), context.school);
		const change: Partial<Step> = { places, pressure, levels: undefined, reverse: false, laneWays: undefined };
		if (step.side === 'midline') change.side = 'both';
		return setStep(
			context.sequence,
			step.id,
			change,
			`Lead step ${finding.params.number} on to ${step.aim === 'lift' ? 'the ear' : 'the jaw nodes'}`
		);
	}
};
