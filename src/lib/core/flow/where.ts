import { ZONE_GROUP } from '../atlas/graph';
import type { ZoneId } from '../atlas/zones';
import { faceNetwork } from './network';

/**
 * Where fluid is, ml: in the zones of the face, in those of neck and chest, in node groups, back in the veins; and what
 * was filtered in meanwhile. The first four are together what was there at the start and what was filtered in.
 */
export const WHERE_PARTS = ['face', 'neck', 'nodes', 'returned', 'filtered'] as const;
export type WherePart = (typeof WHERE_PARTS)[number];
/** Those in which all fluid is at any moment. */
export const WHERE_HELD = ['face', 'neck', 'nodes', 'returned'] as const satisfies readonly WherePart[];
export const WHERE_LABEL: Readonly<Record<WherePart, string>> = {
	face: 'in the face',
	neck: 'in neck and chest',
	nodes: 'in node groups',
	returned: 'returned to the veins',
	filtered: 'filtered in meanwhile'
};

/** Whether a zone of the network belongs to the face proper. */
export const isFaceZone = (zone: number): boolean =>
	ZONE_GROUP[faceNetwork().ids[zone]!.split(':')[0] as ZoneId] === 'face';

/** The compartments of a part, as indexes of the face network; null for what is in none. */
export function placesOfPart(part: WherePart): Int32Array | null {
	const { zoneCount, count } = faceNetwork();
	const all = Array.from({ length: count }, (_, i) => i);
	if (part === 'nodes') return Int32Array.from(all.slice(zoneCount));
	if (part === 'face' || part === 'neck')
		return Int32Array.from(all.slice(0, zoneCount).filter((i) => isFaceZone(i) === (part === 'face')));
	return null;
}
