import { contourByAngle, signedArea } from './contour';
import { CHIN_POINTS, type AnyPoint, type Pixel, type Points } from './landmarks';

/** From the chin down to the neck. */
export const UNDER_CHIN: readonly AnyPoint[] = ['pg', ...CHIN_POINTS, 'nk'];
/** How stiff the line through the points is. Fixed, else the stiffness would be seen as change. Working value. */
const STIFFNESS = 1e-4;

/** The contour as distances from a middle behind it, by the angle from the chin downwards, radians; null where points are missing or out of order. */
function contourAbout(points: Points, [mx, my]: Pixel, forward: 1 | -1, mmPerPx: number) {
	const placed = UNDER_CHIN.map((id) => points[id]);
	if (!placed.every((p): p is Pixel => p !== undefined)) return null;
	const angles = placed.map(([x, y]) => Math.atan2(y - my, forward * (x - mx)));
	const far = placed.map(([x, y]) => Math.hypot(x - mx, y - my) * mmPerPx);
	const at = contourByAngle(angles, far, STIFFNESS);
	return at && { at, from: angles[0]!, to: angles.at(-1)! };
}

/**
 * The area between the contours under the chin of two profiles that lie on one another, seen from the corner of the
 * jaw of the first.
 * @param after laid onto the first already
 * @param mmPerPx of the first
 * @returns mm², > 0: the contour lies farther out, fuller; null where points are missing or out of order
 */
export function underChinArea(before: Points, after: Points, mmPerPx: number): number | null {
	const { go, pg } = before;
	if (!go || !pg) return null;
	const forward = pg[0] < go[0] ? -1 : 1;
	const [a, b] = [contourAbout(before, go, forward, mmPerPx), contourAbout(after, go, forward, mmPerPx)];
	if (!a || !b) return null;
	// What both of them hold: where they begin and end is where a point was placed, no change.
	const [from, to] = [Math.max(a.from, b.from), Math.min(a.to, b.to)];
	return to > from ? signedArea(a.at, b.at, from, to) : null;
}
