import { NODES, NODE_IDS, type NodeId } from './nodes';
import { ZONES, ZONE_IDS, type ZoneId } from './zones';

export type Side = 'left' | 'right';
export const SIDES: readonly Side[] = ['left', 'right'];
export const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left');

/** A place without a side: `malar` is a zone, `n:submental` a node group. */
export type PlaceId = ZoneId | `n:${NodeId}`;
/** An element of a path: a place, with its own side only where the path crosses the midline. */
export type PlaceRef = PlaceId | `${PlaceId}:${Side}`;

export const PLACE_IDS: readonly PlaceId[] = [...ZONE_IDS, ...NODE_IDS.map((id) => `n:${id}` as const)];
export const PLACE_REFS: readonly PlaceRef[] = PLACE_IDS.flatMap((id) => [
	id,
	...SIDES.map((side) => `${id}:${side}` as const)
]);

/** Every path element taken apart once: these two are asked in every inner loop. */
const PARTS = new Map<PlaceRef, { readonly place: PlaceId; readonly side: Side | null }>(
	PLACE_IDS.flatMap((place) => [
		[place, { place, side: null }] as const,
		...SIDES.map((side) => [`${place}:${side}`, { place, side }] as const)
	])
);

/** The place of a path element, its side dropped. */
export const placeOf = (ref: PlaceRef): PlaceId => PARTS.get(ref)?.place ?? (ref as PlaceId);

/** The side that a path element names itself, or null where it takes the side being worked. */
export const ownSideOf = (ref: PlaceRef): Side | null => PARTS.get(ref)?.side ?? null;

export const isNode = (place: PlaceId): place is `n:${NodeId}` => place.startsWith('n:');
export const isZone = (place: PlaceId): place is ZoneId => !place.startsWith('n:');

const NODE_OF = new Map<PlaceId, NodeId>(NODE_IDS.map((id) => [`n:${id}`, id]));
/** The node group of a place, or null for a zone. */
export const nodeOf = (place: PlaceId): NodeId | null => NODE_OF.get(place) ?? null;

export function isOutlet(place: PlaceId): boolean {
	const node = nodeOf(place);
	return node !== null && NODES[node].outlet;
}

/** Plain label of a place in sentence case, without its side. */
export function labelOf(place: PlaceId): string {
	const node = nodeOf(place);
	return node ? NODES[node].label : ZONES[place as ZoneId].label;
}

/** A place as the end of a stroke, in lower case: a node group is named by where it lies. */
export function whereOf(place: PlaceId): string {
	const node = nodeOf(place);
	return node ? NODES[node].where : ZONES[place as ZoneId].label.toLowerCase();
}

/** A place in few letters. */
export function shortOf(place: PlaceId): string {
	const node = nodeOf(place);
	return node ? NODES[node].short : ZONES[place as ZoneId].short;
}

/** The side in words: always the client's. */
export const sideWords: Record<Side, string> = { left: 'the client’s left', right: 'the client’s right' };
