import { drainageOf } from '../../atlas/graph';
import { placeOf, type PlaceId } from '../../atlas/places';
import type { ZoneId } from '../../atlas/zones';
import { insertStep } from '../../sequence/edits';
import { fillPath, linkRoute } from '../../atlas/route';
import { basicTechnique } from '../../technique/basics';
import { makeStep } from '../../technique/makeStep';
import { isInside, zonesAtLeast } from '../facts';
import { type JudgeContext, type Rule } from '../rule';
import { freeId } from '../../sequence/freeId';
import { placesTouched, strokesOf } from '../../step/parts';
import { isFluidStroke, opensNodes } from '../strokes';

/** The last steps, by number, that carry fluid from a place, and that end there in a link. */
interface Last {
	readonly carried: ReadonlyMap<PlaceId, number>;
	readonly linked: ReadonlyMap<PlaceId, number>;
}

/** Read once for all deep steps. A pump that opens makes room; it carries nothing off. */
function lastOf(context: JudgeContext): Last {
	const [carried, linked] = [new Map<PlaceId, number>(), new Map<PlaceId, number>()];
	for (const { step, number } of context.steps) {
		if (step.end.kind === 'link') for (const ref of step.places) linked.set(placeOf(ref), number);
		if (strokesOf(step).some((s) => isFluidStroke(s) || (step.aim === 'close' && opensNodes(s))))
			for (const ref of placesTouched(step)) carried.set(placeOf(ref), number);
	}
	return { carried, linked };
}

/** Whether something from a step on carries fluid from a zone: a stroke over it, or a pump or link at the nodes that take it. */
const drainedLater = ({ carried, linked }: Last, zone: ZoneId, number: number): boolean =>
	[zone, ...drainageOf(zone).map((e): PlaceId => `n:${e.to}`)].some(
		(place) => (carried.get(place) ?? 0) > number || (linked.get(place) ?? 0) >= number
	);

/** What deep work sets free is carried away afterwards. */
export const deepThenDrain: Rule = {
	id: 'deep-then-drain',
	kind: 'order',
	severity: 'advice',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check(context) {
		const last = lastOf(context);
		return context.steps.flatMap(({ step, number }) => {
			if (step.by === 'client' || isInside(step)) return [];
			const zone = zonesAtLeast(step, context.working.deepLevel).find((z) => !drainedLater(last, z, number));
			return zone ? [{ stepIds: [step.id], place: zone, params: { number } }] : [];
		});
	},
	fix(context, finding) {
		const zone = finding.place!;
		const places = fillPath([zone, ...linkRoute(zone, context.school.cheekRoute)], context.school.cheekRoute);
		if (places.length < 2) return null;
		const made = makeStep(basicTechnique('light-stroke'), {
			id: freeId(context, `drain-${placeOf(zone)}`),
			places,
			overrides: { pressure: 1, dose: { kind: 'reps', min: 3, target: 4, max: 10 } }
		});
		return insertStep(
			context.sequence,
			made,
			{ after: finding.stepIds[0]! },
			`Drain after step ${finding.params.number}`
		);
	}
};
