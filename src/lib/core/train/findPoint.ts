import { mirror, type Point } from '../atlas/geometry';
import type { Side } from '../atlas/places';
import type { PointInfo } from '../point/points';

/** Millimetres of a face in one drawing unit (working value). */
export const MM_PER_UNIT = 0.51;
/** Nearer than a finger is wide it would be felt for. Working value. */
export const FOUND_MM = 8;

/** Where a point lies on the figure, on a side. */
export const pointAt = (point: Pick<PointInfo, 'at' | 'midline'>, side: Side): Point =>
	side === 'right' && !point.midline ? mirror(point.at) : point.at;

/**
 * How far off a place is from a point, in millimetres of the figure.
 * @param at drawing units of the same view
 */
export function missMm(point: Pick<PointInfo, 'at' | 'midline'>, side: Side, at: Point): number {
	const [x, y] = pointAt(point, side);
	return Math.hypot(at[0] - x, at[1] - y) * MM_PER_UNIT;
}
