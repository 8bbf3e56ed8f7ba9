import { NODE_CONTACTS } from './graph';
import { nodeOf, placeOf, type PlaceRef } from './places';
import type { Region } from './regions';
import { ZONES, type ZoneId } from './zones';

/** The zone of a place: a node group lies under one. */
export function zoneOf(ref: PlaceRef): ZoneId {
	const place = placeOf(ref);
	const node = nodeOf(place);
	return node ? NODE_CONTACTS[node][0]! : (place as ZoneId);
}
export const regionOf = (ref: PlaceRef): Region => ZONES[zoneOf(ref)].region;
/** Everything but neck and trunk. */
export const isFace = (region: Region): boolean => region !== 'neck' && region !== 'trunk';

const EYELIDS: readonly string[] = ['upper-eyelid', 'lower-eyelid'];
export const isEyelid = (ref: PlaceRef): boolean => EYELIDS.includes(placeOf(ref));
