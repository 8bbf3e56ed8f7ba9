import { drainageOf, mainReceiver } from '../../atlas/graph';
import { isOutlet, placeOf, type PlaceId } from '../../atlas/places';
import type { ZoneId } from '../../atlas/zones';
import { insertStep } from '../../sequence/edits';
import { fillPath, linkRoute } from '../../atlas/route';
import { basicTechnique } from '../../technique/basics';
import { makeStep } from '../../technique/makeStep';
import { isInside, zonesAtLeast } from '../facts';
import { type JudgeContext, type Rule } from '../rule';
import { freeId } from '../../sequence/freeId';
import { movesFluid, peakLevel } from '../../step/levelsOf';
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

/** Of what a zone gives off, how much must have a way later: more than this. Working value. */
const HALF = 0.5;
/**
 * Whether something from a step on carries fluid from a zone: a stroke over it, a pump at an outlet that takes some of it, or
 * pumps and links at node groups that take most of it, or right behind them. One node group of several is not enough.
 */
function drainedLater({ carried, linked }: Last, zone: ZoneId, number: number): boolean {
	const later = (place: PlaceId) => (carried.get(place) ?? 0) > number || (linked.get(place) ?? 0) >= number;
	if (later(zone)) return true;
	let share = 0;
	for (const { to, share: part } of drainageOf(zone)) {
		const [node, behind] = [`n:${to}` as const, mainReceiver(`n:${to}`)];
		if (isOutlet(node) && later(node)) return true;
		if (later(node) || (behind !== null && !isOutlet(`n:${behind}`) && later(`n:${behind}`))) share += part;
	}
	return share > HALF;
}

/** Who drains nothing at all sets free little enough; deep work wants its drain in any case. */
const drains = ({ steps }: JudgeContext): boolean => steps.some(({ step }) => movesFluid(step) || step.aim === 'open');

/** What deep work sets free is carried away afterwards. */
export const deepThenDrain: Rule = {
	id: 'deep-then-drain',
	kind: 'order',
	severity: 'caution',
	floor: 'advice',
	ceiling: 'caution',
	safe: true,
	check(context) {
		const last = lastOf(context);
		return context.steps.flatMap(({ step, number }) => {
			if (step.by === 'client' || isInside(step)) return [];
			const zone = zonesAtLeast(step, context.working.deepLevel).find((z) => !drainedLater(last, z, number));
			if (!zone) return [];
			const grave = peakLevel(step) > context.working.deepLevel || drains(context);
			const severity = grave ? ('caution' as const) : ('advice' as const);
			return [{ stepIds: [step.id], place: zone, severity, params: { number } }];
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
