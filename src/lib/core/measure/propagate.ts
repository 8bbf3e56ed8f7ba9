import type { AnyPoint, Pixel, Points } from './landmarks';

const STEP_PX = 1e-3;

/**
 * Standard errors of what is measured, from the spread of each placement: first order, by central differences, all
 * coordinates independent.
 * @param measure from points to figures; it must not depend on anything else
 * @param sdPx spread of a placement across and down, px; null: placed without error
 * @returns a standard error for each figure, in its unit
 */
export function propagate<P extends AnyPoint, K extends string>(
	measure: (points: Points<P>) => Partial<Record<K, number>>,
	points: Points<P>,
	sdPx: (point: P) => Pixel | null
): Partial<Record<K, number>> {
	const ids = Object.keys(measure(points)) as K[];
	const variances = new Map(ids.map((id) => [id, 0]));
	for (const [point, at] of Object.entries(points) as [P, Pixel][]) {
		const sd = sdPx(point);
		if (!sd) continue;
		for (const axis of [0, 1] as const) {
			const moved = (by: number): Pixel => (axis === 0 ? [at[0] + by, at[1]] : [at[0], at[1] + by]);
			const [more, less] = [STEP_PX, -STEP_PX].map((by) => measure({ ...points, [point]: moved(by) })) as [
				Partial<Record<K, number>>,
				Partial<Record<K, number>>
			];
			for (const id of ids) {
				const slope = (more[id]! - less[id]!) / (2 * STEP_PX);
				variances.set(id, variances.get(id)! + (slope * sd[axis]) ** 2);
			}
		}
	}
	return Object.fromEntries([...variances].map(([id, v]) => [id, Math.sqrt(v)])) as Partial<Record<K, number>>;
}
