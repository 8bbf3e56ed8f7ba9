import raw from './data/graph.json' with { type: 'json' };
import type { NodeId } from './nodes';
import { isNode, nodeOf, type PlaceId } from './places';
import type { ZoneId } from './zones';

/**
 * The drainage graph: shares, capacities (ml, working values), contacts and neighbours.
 * The data file has its own id forms (`~` for the opposite side, `vein` for the outlet); they are mapped here, once.
 */
export type ZoneGroup = 'face' | 'neck' | 'chest';
export interface DrainEdge {
	readonly to: NodeId;
	/** Part of the outflow that takes this way, 0..1. */
	readonly share: number;
	/** True where the way leads to the other side of the body. */
	readonly crosses: boolean;
}

type ZoneRow = [number, ZoneGroup, Record<string, number>];
type NodeRow = [number, Record<string, number>];
const zoneRows = raw.ZONES as unknown as Record<ZoneId, ZoneRow>;
const nodeRows = raw.NODES as unknown as Record<NodeId, NodeRow>;

const edges = (shares: Record<string, number>): DrainEdge[] =>
	Object.entries(shares)
		.filter(([to]) => to !== 'vein')
		.map(([to, share]) => ({ to: to.replace('~', '') as NodeId, share, crosses: to.startsWith('~') }));

const mapRows = <K extends string, R, T>(rows: Record<K, R>, f: (row: R) => T): Record<K, T> =>
	Object.fromEntries(Object.entries<R>(rows).map(([k, row]) => [k, f(row)])) as Record<K, T>;

/** Capacity of each zone at puffiness grade 4, ml, one side (working values). */
export const ZONE_CAPACITY_ML = mapRows(zoneRows, (row) => row[0]);
export const ZONE_GROUP = mapRows(zoneRows, (row) => row[1]);
/** Where the fluid of a zone goes by itself, shares summing to 1. */
export const ZONE_DRAINAGE = mapRows(zoneRows, (row) => edges(row[2]));
/** Capacity of each node group, ml, one side (working values). */
export const NODE_CAPACITY_ML = mapRows(nodeRows, (row) => row[0]);
/** Where a node group passes its content on; empty for an outlet. */
export const NODE_DRAINAGE = mapRows(nodeRows, (row) => edges(row[1]));
/** Part of a node group's outflow that returns to the veins: 1 at the outlets, else 0. */
export const NODE_VEIN_SHARE = mapRows(nodeRows, (row) => row[1].vein ?? 0);
/** Zones through which a stroke may enter a node group; the first is where the group lies nearest the skin. */
export const NODE_CONTACTS = raw.CONTACT as unknown as Record<NodeId, readonly ZoneId[]>;
/** Zones that touch their twin across the midline. */
export const MIDLINE_ZONES = raw.MIDLINE as readonly ZoneId[];

export type Alignment = 'with' | 'neutral' | 'against' | 'watershed' | 'valve';

/** Asked in every inner loop, so looked up in two steps and without making a key. */
const pairs = new Map<PlaceId, Map<PlaceId, Alignment>>();
function setPair(from: PlaceId, to: PlaceId, alignment: Alignment): void {
	const row = pairs.get(from) ?? new Map<PlaceId, Alignment>();
	pairs.set(from, row.set(to, alignment));
}
for (const text of raw.NEIGH) {
	const [, from, sign, to] = /^([a-z-]+)([>=#])([a-z-]+)$/.exec(text) as unknown as [string, ZoneId, string, ZoneId];
	const forward: Alignment = sign === '>' ? 'with' : sign === '=' ? 'neutral' : 'watershed';
	setPair(from, to, forward);
	setPair(to, from, forward === 'with' ? 'against' : forward);
}
/** Zones that touch without passing anything on: a hand slides from one to the other (working values, besides the data). */
for (const [a, b] of [
	['brow', 'inner-canthus'],
	['upper-lip', 'lower-lip']
] as const) {
	setPair(a, b, 'neutral');
	setPair(b, a, 'neutral');
}
for (const [node, zones] of Object.entries(NODE_CONTACTS) as [NodeId, ZoneId[]][]) {
	for (const zone of zones) {
		setPair(zone, `n:${node}`, 'with');
		setPair(`n:${node}`, zone, 'valve');
	}
}
for (const [node, list] of Object.entries(NODE_DRAINAGE) as [NodeId, DrainEdge[]][]) {
	for (const edge of list.filter((e) => !e.crosses)) {
		setPair(`n:${node}`, `n:${edge.to}`, 'with');
		setPair(`n:${edge.to}`, `n:${node}`, 'valve');
	}
}

/**
 * How a stroke from one place to the next lies to the drainage, on one side of the body; null where the two
 * are no neighbours. `with` runs as the fluid does, `valve` is backwards out of a node group.
 */
export function alignmentOf(from: PlaceId, to: PlaceId): Alignment | null {
	return pairs.get(from)?.get(to) ?? null;
}

/** All places that a stroke may reach next from a place. */
export const neighboursOf = (place: PlaceId): readonly PlaceId[] => [...(pairs.get(place)?.keys() ?? [])];

/** The edges by which fluid leaves a place by itself. */
export function drainageOf(place: PlaceId): readonly DrainEdge[] {
	const node = nodeOf(place);
	return node ? NODE_DRAINAGE[node] : ZONE_DRAINAGE[place as ZoneId];
}

const largest = (list: readonly DrainEdge[]): NodeId | null =>
	list.length ? list.reduce((a, b) => (b.share > a.share ? b : a)).to : null;
const zoneReceivers = mapRows(zoneRows, (row) => largest(edges(row[2])));
const nodeReceivers = mapRows(nodeRows, (row) => largest(edges(row[1])));

/** The node group that takes the largest share of a place's fluid; null at an outlet. */
export function mainReceiver(place: PlaceId): NodeId | null {
	const node = nodeOf(place);
	return node ? nodeReceivers[node] : zoneReceivers[place as ZoneId];
}

const under = new Map<ZoneId, NodeId[]>();
for (const [node, zones] of Object.entries(NODE_CONTACTS) as [NodeId, readonly ZoneId[]][])
	for (const zone of zones) under.set(zone, [...(under.get(zone) ?? []), node]);

/** Node groups that lie under a zone, so that a stroke over it also moves what waits in them. */
export const nodesUnder = (zone: ZoneId): readonly NodeId[] => under.get(zone) ?? [];

/** The outlet that a place drains to: the armpit for the trunk, else the collarbone. */
export function outletFor(place: PlaceId): NodeId {
	if (isNode(place)) return place === 'n:axillary' ? 'axillary' : 'terminus';
	return ZONE_GROUP[place as ZoneId] === 'chest' ? 'axillary' : 'terminus';
}
