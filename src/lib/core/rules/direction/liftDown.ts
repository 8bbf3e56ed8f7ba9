import { FIGURE, MIDLINE_X } from '../../atlas/geometry';
import type { PlaceRef } from '../../atlas/places';
import { zoneOf } from '../../atlas/regionOf';
import type { Step } from '../../step/step.schema';
import { setStep } from '../../sequence/edits';
import { riseOf, turnedRound } from '../facts';
import { stepOfFinding, type Rule } from '../rule';

/** How much lower a lift may end (working values, heights as in `facts.ts`): outwards over forehead, temple and cheekbone it does not pull the skin down. */
const TOLERANCE = { outwards: 1.6, else: 0.3 };

/** A small lift at the end of each repetition ends it upwards. */
const endsLifted = ({ end, parts }: Step): boolean =>
	end.kind === 'lift' || (end.kind === 'link' && end.finish === 'lift') || parts?.at(-1)?.motion === 'lift-hold';

/** How far from the midline a place lies, drawing units: what is not seen from the front lies farthest. */
const asideOf = (ref: PlaceRef): number => {
	const shape = FIGURE.front.zones[zoneOf(ref)];
	return shape ? Math.abs(shape.centroid[0] - MIDLINE_X) : 2 * MIDLINE_X;
};
/** A stroke that leads outwards would be turned towards the middle, which lifts nothing. */
const leadsOut = (step: Step): boolean =>
	step.places.length > 1 && asideOf(step.places.at(-1)!) > asideOf(step.places[0]!) + 15;

/** A lift ends no lower than it began. */
export const liftDown: Rule = {
	id: 'lift-down',
	kind: 'direction',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	check: ({ steps }) =>
		steps
			.filter(
				({ step }) =>
					step.aim === 'lift' &&
					riseOf(step) < -(leadsOut(step) ? TOLERANCE.outwards : TOLERANCE.else) &&
					!endsLifted(step)
			)
			.map(({ step, number }) => ({ stepIds: [step.id], params: { number } })),
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		if (leadsOut(step))
			return setStep(
				context.sequence,
				step.id,
				{ end: { kind: 'lift' } },
				`End step ${finding.params.number} with a small lift`
			);
		return setStep(context.sequence, step.id, turnedRound(step), `Lift upwards in step ${finding.params.number}`);
	}
};
