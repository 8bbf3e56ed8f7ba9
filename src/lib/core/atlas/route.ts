import { alignmentOf, drainageOf, mainReceiver, neighboursOf, NODE_CONTACTS, NODE_DRAINAGE, ZONE_GROUP } from './graph';
import { isZone, nodeOf, placeOf, type PlaceId, type PlaceRef } from './places';
import type { NodeId } from './nodes';
import type { ZoneId } from './zones';

export type CheekRoute = 'outward' | 'downward' | 'either';

/** Cost of one pass between neighbours (working values): a route prefers to run as the fluid does. */
const COST = { with: 1, neutral: 2.5, against: 6, watershed: 9, valve: 40 } as const;
/** Entering a node group elsewhere than where it lies nearest the skin. */
const SIDE_CONTACT_COST = 2.5;
/** Each zone of the neck: a route stays on the face as long as it can. */
const NECK_COST = 0.2;
/** The way to the ear or down the smile fold, where the other one is preferred. */
const OTHER_CHEEK_COST = 4;

const CHEEK: readonly PlaceId[] = ['lower-eyelid', 'malar'];
const OUTWARD: readonly PlaceId[] = ['outer-canthus', 'zygoma'];
const DOWNWARD: readonly PlaceId[] = ['nasolabial', 'buccal'];

function cost(from: PlaceId, to: PlaceId, cheek: CheekRoute): number {
	const alignment = alignmentOf(from, to)!;
	let c: number = COST[alignment];
	const target = nodeOf(to);
	const source = nodeOf(from);
	if (target && isZone(from) && NODE_CONTACTS[target][0] !== from) c = Math.max(c, SIDE_CONTACT_COST);
	if (target && source && alignment === 'with')
		c += 0.5 * (1 - (NODE_DRAINAGE[source].find((e) => e.to === target)?.share ?? 0));
	if (isZone(to) && ZONE_GROUP[to as ZoneId] === 'neck') c += NECK_COST;
	if (CHEEK.includes(from) && cheek === 'outward' && DOWNWARD.includes(to)) c += OTHER_CHEEK_COST;
	if (CHEEK.includes(from) && cheek === 'downward' && OUTWARD.includes(to)) c += OTHER_CHEEK_COST;
	return c;
}

/** Ways that were looked for: the atlas has a few thousand, however often a path asks. */
const found = new Map<string, readonly PlaceId[]>();

/**
 * The way from one place to another over the graph, both ends included, on one side of the body.
 * It fills the gaps of a path: "chin to below the ear" becomes
 * chin > jawline > under-jaw > n:submandibular > n:tonsillar.
 * @param preference which of the two cheek routes to take where both exist
 * @returns the places in order; one place where both are the same
 * @throws {Error} if no way leads there: never for places of the atlas, whose graph is of one piece
 */
export function route(from: PlaceId, to: PlaceId, preference: CheekRoute = 'either'): readonly PlaceId[] {
	const key = `${from}>${to}>${preference}`;
	const known = found.get(key);
	if (known) return known;
	const way = searched(from, to, preference);
	found.set(key, way);
	return way;
}

function searched(from: PlaceId, to: PlaceId, preference: CheekRoute): PlaceId[] {
	const best = new Map<PlaceId, number>([[from, 0]]);
	const before = new Map<PlaceId, PlaceId>();
	const open = new Set<PlaceId>([from]);
	while (open.size) {
		const at = [...open].reduce((a, b) => (best.get(b)! < best.get(a)! ? b : a));
		if (at === to) break;
		open.delete(at);
		for (const next of neighboursOf(at)) {
			const sum = best.get(at)! + cost(at, next, preference);
			if (sum < (best.get(next) ?? Infinity)) {
				best.set(next, sum);
				before.set(next, at);
				open.add(next);
			}
		}
	}
	const way: PlaceId[] = [to];
	while (way[0] !== from) {
		const previous = before.get(way[0]!);
		if (!previous) throw new Error(`no way over the graph: ${from} to ${to}`);
		way.unshift(previous);
	}
	return way;
}

/** Fills every gap of a path: neighbours stay as they are, elements with a side of their own are kept. */
export function fillPath(refs: readonly PlaceRef[], preference: CheekRoute = 'either'): PlaceRef[] {
	return refs.flatMap((ref, i): PlaceRef[] => {
		const previous = refs[i - 1];
		if (previous === undefined) return [ref];
		const [a, b] = [placeOf(previous), placeOf(ref)];
		if (a === b || alignmentOf(a, b)) return [ref];
		return [...route(a, b, preference).slice(1, -1), ref];
	});
}

/** The node group that a place sends its fluid to first, along the preferred cheek route. */
function firstReceiver(place: PlaceId, preference: CheekRoute): NodeId | null {
	const receivers = drainageOf(place).map((e) => e.to);
	if (CHEEK.includes(place) && preference === 'outward') return 'preauricular';
	if (CHEEK.includes(place) && preference === 'downward') return 'submandibular';
	return receivers.length ? mainReceiver(place) : null;
}

/** The node groups from a place to its outlet, in order: the places of a drain link. Empty at an outlet. */
export function linkRoute(from: PlaceRef, preference: CheekRoute = 'either'): `n:${NodeId}`[] {
	const nodes: `n:${NodeId}`[] = [];
	let at: NodeId | null = firstReceiver(placeOf(from), preference);
	while (at) {
		nodes.push(`n:${at}`);
		at = mainReceiver(`n:${at}`);
	}
	return nodes;
}
