import { mainReceiver, NODE_CONTACTS, nodesUnder } from '../../atlas/graph';
import type { ZoneId } from '../../atlas/zones';
import {
	isOutlet,
	isZone,
	nodeOf,
	ownSideOf,
	PLACE_IDS,
	placeOf,
	type PlaceId,
	type PlaceRef,
	type Side
} from '../../atlas/places';
import { setStep } from '../../sequence/edits';
import { sidesOf } from '../../sequence/passes';
import { linkRoute } from '../../sequence/route';
import type { Step } from '../../sequence/sequence.schema';
import { movesFluid } from '../../sequence/walk';
import { stepOfFinding, type JudgeContext, type RawFinding, type Rule } from '../rule';
import { endPlace, isStroke } from '../strokes';

/** Where fluid from each worked zone waits: place and side -> zone and side it came from -> step that left it there. */
type Waiting = Map<string, Map<string, string>>;
const KEYS = new Map<PlaceId, Record<Side, string>>(
	PLACE_IDS.map((place) => [place, { left: `${place}:left`, right: `${place}:right` }])
);
const at = (place: PlaceId, side: Side): string => KEYS.get(place)![side];

function take(waiting: Waiting, place: PlaceId, side: Side, into: Map<string, string>): void {
	const here = waiting.get(at(place, side));
	if (!here) return;
	for (const [origin, stepId] of here) into.set(origin, stepId);
	waiting.delete(at(place, side));
}

function leave(waiting: Waiting, place: PlaceId, side: Side, carried: Map<string, string>): void {
	if (isOutlet(place) || !carried.size) return;
	const here = waiting.get(at(place, side)) ?? new Map<string, string>();
	for (const [origin, stepId] of carried) here.set(origin, stepId);
	waiting.set(at(place, side), here);
}

/** A stroke carries along what waits on its way, in the zones and in the node groups under them. */
function strokeAlong(waiting: Waiting, step: Step, refs: readonly PlaceRef[], side: Side): void {
	const carried = new Map<string, string>();
	for (const ref of refs) {
		const place = placeOf(ref);
		const here = ownSideOf(ref) ?? side;
		take(waiting, place, here, carried);
		if (!isZone(place)) continue;
		for (const node of nodesUnder(place as ZoneId)) take(waiting, `n:${node}`, here, carried);
		carried.set(at(place, here), step.id);
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
	const carried = new Map<string, string>();
	for (const zone of NODE_CONTACTS[node]) take(waiting, zone, here, carried);
	take(waiting, `n:${node}`, here, carried);
	const next = mainReceiver(`n:${node}`);
	if (next) leave(waiting, `n:${next}`, here, carried);
}

function linkAlong(waiting: Waiting, step: Step, side: Side): void {
	if (step.end.kind !== 'link') return;
	const start = step.places.length ? endPlace(step) : step.end.places[0]!;
	const carried = new Map<string, string>();
	for (const ref of [start, ...step.end.places]) take(waiting, placeOf(ref), ownSideOf(ref) ?? side, carried);
	leave(waiting, placeOf(step.end.places.at(-1)!), side, carried);
}

function followFluid(context: JudgeContext): Waiting {
	const waiting: Waiting = new Map();
	for (const pass of context.passes) {
		const { step } = context.byId.get(pass.stepId)!;
		for (const side of sidesOf(pass.side)) {
			if (pass.kind === 'link') linkAlong(waiting, step, side);
			else if (step.motion === 'pump') for (const ref of step.places) pumpAt(waiting, ref, side);
			else if (movesFluid(step) && isStroke(step)) {
				strokeAlong(waiting, step, step.places, side);
				if (step.reverse) strokeAlong(waiting, step, [...step.places].reverse(), side);
			}
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
		const left = new Map<string, RawFinding>();
		for (const [place, origins] of followFluid(context))
			for (const [origin, stepId] of origins) {
				const split = origin.lastIndexOf(':');
				const [zone, side] = [origin.slice(0, split) as ZoneId, origin.slice(split + 1) as Side];
				const number = context.byId.get(stepId)!.number;
				left.set(origin, { stepIds: [stepId], place: zone, side, params: { number, waitsAt: place } });
			}
		return [...left.values()];
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
