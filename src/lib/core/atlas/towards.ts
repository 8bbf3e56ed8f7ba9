import { FIGURE, nodePoints, type Point, type View } from './geometry';
import { neighboursOf } from './graph';
import { nodeOf, type PlaceId } from './places';
import type { ZoneId } from './zones';

/** Cosine from which on a neighbour lies in a direction: within 60° of it (working value). */
const IN_DIRECTION = 0.5;

/** Where a place stands on the client's left half of a view, drawing units; null where the view does not show it. */
function middleOf(view: View, place: PlaceId): Point | null {
	const node = nodeOf(place);
	if (node) return nodePoints(view, node)[0] ?? null;
	return FIGURE[view].zones[place as ZoneId]?.centroid ?? null;
}

/**
 * The neighbour to which a short stroke inside one place leads on.
 * @param by its direction in drawing units of the client's left half: x to the left ear, y down
 * @returns null where no neighbour lies that way
 */
export function towards(view: View, place: PlaceId, [dx, dy]: Point): PlaceId | null {
	const from = middleOf(view, place);
	const length = Math.hypot(dx, dy);
	if (!from || !length) return null;
	const rated = neighboursOf(place).flatMap((to) => {
		const at = middleOf(view, to);
		const far = at ? Math.hypot(at[0] - from[0], at[1] - from[1]) : 0;
		if (!at || !far) return [];
		return [{ to, cosine: ((at[0] - from[0]) * dx + (at[1] - from[1]) * dy) / (far * length) }];
	});
	const best = rated.sort((a, b) => b.cosine - a.cosine)[0];
	return best && best.cosine >= IN_DIRECTION ? best.to : null;
}
