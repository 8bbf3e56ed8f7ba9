import { drainageOf, mainReceiver, NODE_CONTACTS, nodesUnder, ZONE_GROUP } from '../../atlas/graph';
import { NODE_IDS, type NodeId } from '../../atlas/nodes';
import { zoneOf } from '../../atlas/regionOf';
import type { ZoneId } from '../../atlas/zones';
import {
	isOutlet,
	isZone,
	labelOf,
	nodeOf,
	ownSideOf,
	PLACE_IDS,
	placeOf,
	type PlaceId,
	type PlaceRef,
	type Side
} from '../../atlas/places';
import { listWords } from '../../listWords';
import { setStep } from '../../sequence/edits';
import { sidesOf } from '../../sequence/workedSide';
import { linkRoute } from '../../atlas/route';
import type { Step } from '../../step/step.schema';
import { endPlace } from '../../step/levelsOf';
import { stepOfFinding, type JudgeContext, type RawFinding, type Rule } from '../rule';
import { atOnce, strokesOf } from '../../step/parts';
import { isFluidStroke, isStroke, opensNodes } from '../strokes';

/** A place on a side, as a number: this is asked in the innermost loop. */
type Spot = number;
const INDEX = new Map<PlaceId, number>(PLACE_IDS.map((place, i) => [place, 2 * i]));
const at = (place: PlaceId, side: Side): Spot => INDEX.get(place)! + (side === 'right' ? 1 : 0);
const placeAt = (spot: Spot): PlaceId => PLACE_IDS[spot >> 1]!;
const sideAt = (spot: Spot): Side => (spot & 1 ? 'right' : 'left');

/** Where fluid from each worked zone waits: spot -> zone and side it came from -> step that left it there. */
type Waiting = Map<Spot, Map<Spot, string>>;

function take(waiting: Waiting, spot: Spot, into: Map<Spot, string>): void {
	const here = waiting.get(spot);
	if (!here) return;
	for (const [origin, stepId] of here) into.set(origin, stepId);
	waiting.delete(spot);
}

/** At an outlet nothing waits, nor in the skin over it. */
const endsThere = (place: PlaceId): boolean =>
	isOutlet(place) || (isZone(place) && nodesUnder(place).some((node) => isOutlet(`n:${node}`)));

/** Node groups that pass on to one of these, one after the other, these included. */
function aboveNodes(nodes: readonly NodeId[]): ReadonlySet<NodeId> {
	const found = new Set(nodes);
	for (let size = 0; size < found.size;) {
		size = found.size;
		for (const node of NODE_IDS) if (drainageOf(`n:${node}`).some((e) => found.has(e.to))) found.add(node);
	}
	return found;
}
/**
 * What a hand on a place collects beside what waits right there: the node groups under the skin; on the side and the back of
 * the neck, whether the way names the skin or the nodes, those above that pass on to them, and the skin over these. A hand on
 * the throat passes beside them. By place and side.
 */
const COLLECTED: readonly (readonly Spot[])[] = PLACE_IDS.flatMap((place) => {
	const under: PlaceId[] = isZone(place) ? nodesUnder(place as ZoneId).map((node): PlaceId => `n:${node}`) : [];
	const places = [...new Set([place, ...aboveZone(zoneOf(place)), ...under])];
	return (['left', 'right'] as const).map((side) => places.map((p) => at(p, side)));
});
/** The nodes above a zone of the neck that pass on to those under it, and the skin over them. */
function aboveZone(zone: ZoneId): readonly PlaceId[] {
	const under =
		ZONE_GROUP[zone] === 'neck' && zone !== 'throat' ? nodesUnder(zone).filter((node) => !isOutlet(`n:${node}`)) : [];
	return under.length
		? [...aboveNodes(under)].flatMap((node): PlaceId[] => [`n:${node}`, NODE_CONTACTS[node][0]!])
		: [];
}

function leave(waiting: Waiting, place: PlaceId, side: Side, carried: Map<Spot, string>): void {
	if (endsThere(place) || !carried.size) return;
	const here = waiting.get(at(place, side)) ?? new Map<Spot, string>();
	for (const [origin, stepId] of carried) here.set(origin, stepId);
	waiting.set(at(place, side), here);
}

/** A stroke carries along what waits on its way, in the zones and in the node groups under them. */
function strokeAlong(waiting: Waiting, step: Step, refs: readonly PlaceRef[], side: Side): void {
	const carried = new Map<Spot, string>();
	for (const ref of refs) {
		const place = placeOf(ref);
		const here = at(place, ownSideOf(ref) ?? side);
		if (waiting.size) for (const spot of COLLECTED[here]!) take(waiting, spot, carried);
		if (isZone(place)) carried.set(here, step.id);
	}
	for (const origin of carried.keys()) carried.set(origin, step.id);
	const last = refs.at(-1)!;
	leave(waiting, placeOf(last), ownSideOf(last) ?? side, carried);
}

/** A pump passes on what waits in a node group and in the zones under which it lies. */
function pumpAt(waiting: Waiting, ref: PlaceRef, side: Side): void {
	const node = nodeOf(placeOf(ref));
	if (!node) return;
	const here = ownSideOf(ref) ?? side;
	const carried = new Map<Spot, string>();
	for (const zone of NODE_CONTACTS[node]) take(waiting, at(zone, here), carried);
	take(waiting, at(`n:${node}`, here), carried);
	const next = mainReceiver(`n:${node}`);
	if (next) leave(waiting, `n:${next}`, here, carried);
}

function linkAlong(waiting: Waiting, step: Step, side: Side): void {
	if (step.end.kind !== 'link') return;
	// It follows every path that is worked at once, from where each ends.
	const starts = step.places.length ? atOnce(step).map(endPlace) : [step.end.places[0]!];
	const carried = new Map<Spot, string>();
	for (const ref of [...starts, ...step.end.places]) take(waiting, at(placeOf(ref), ownSideOf(ref) ?? side), carried);
	leave(waiting, placeOf(step.end.places.at(-1)!), side, carried);
}

/** A stroke of a repetition: each of its parts, lanes and second paths carries by itself. */
function oneStroke(waiting: Waiting, step: Step, side: Side): void {
	if (isFluidStroke(step)) {
		strokeAlong(waiting, step, step.places, side);
		if (step.reverse && isStroke(step)) strokeAlong(waiting, step, [...step.places].reverse(), side);
	} else if (opensNodes(step)) for (const ref of step.places) pumpAt(waiting, ref, side);
}

function followFluid(context: JudgeContext): Waiting {
	const waiting: Waiting = new Map();
	for (const pass of context.passes) {
		const { step } = context.byId.get(pass.stepId)!;
		for (const side of sidesOf(pass.side)) {
			if (pass.kind === 'link') linkAlong(waiting, step, side);
			else for (const stroke of strokesOf(step)) oneStroke(waiting, stroke, side);
		}
	}
	return waiting;
}

/** Every zone worked for drainage has a later way to an outlet. */
export const stranded: Rule = {
	id: 'stranded',
	kind: 'order',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'caution',
	safe: true,
	check(context) {
		// One step is one cause, however many zones it was that it emptied.
		const left = new Map<string, { waits: Spot; origins: Set<Spot> }>();
		for (const [waits, origins] of followFluid(context))
			for (const [origin, stepId] of origins) {
				const known = left.get(stepId);
				if (known) known.origins.add(origin);
				else left.set(stepId, { waits, origins: new Set([origin]) });
			}
		return [...left].map(([stepId, { waits, origins }]): RawFinding => {
			const { number } = context.byId.get(stepId)!;
			const spots = [...origins];
			const sides = [...new Set(spots.map(sideAt))];
			const zones = [...new Set(spots.map((spot) => labelOf(placeAt(spot)).toLowerCase()))];
			const params = { number, waitsAt: `${placeAt(waits)}:${sideAt(waits)}`, zones: listWords(zones) };
			const places = spots.map((spot): PlaceRef => `${placeAt(spot)}:${sideAt(spot)}`);
			return {
				stepIds: [stepId],
				place: placeAt(spots[0]!),
				places,
				side: sides.length === 1 ? sides[0]! : undefined,
				params
			};
		});
	},
	fix(context, finding) {
		const step = stepOfFinding(context, finding);
		if (!step) return null;
		const places = linkRoute(endPlace(step), context.school.cheekRoute);
		if (!places.length) return null;
		const end = { kind: 'link' as const, places, pumps: context.working.linkPumps, by: 'hand' as const };
		return setStep(context.sequence, step.id, { end }, `Drain to the outlet after step ${finding.params.number}`);
	}
};
