import { FIGURE, MIDLINE_X, nodePoints, type Point, type View } from '$lib/core/atlas/geometry';
import { nodeOf, type Side } from '$lib/core/atlas/places';
import type { ZoneId } from '$lib/core/atlas/zones';
import type { Pick } from './mapTypes';
import { boundsOf } from './strokeShape';

/** A place that would be hard to hit by its own shape. */
export interface SmallTarget {
	readonly index: number;
	readonly points: readonly Point[];
	/** Its smaller side, units; a node group is a point. */
	readonly size: number;
}

/** Every target is at least so wide on the screen, px. */
const TARGET_PX = 24;

const onSide = (view: View, side: Side, [x, y]: Point): Point =>
	view === 'front' && side === 'right' ? [2 * MIDLINE_X - x, y] : [x, y];

/** Where each target stands and how large it is, in units of the figure. */
export function smallTargets(view: View, targets: readonly Pick[]): SmallTarget[] {
	return targets.map(({ place, side }, index) => {
		const node = nodeOf(place);
		if (node) return { index, size: 0, points: nodePoints(view, node).map((p) => onSide(view, side, p)) };
		const zone = FIGURE[view].zones[place as ZoneId]!;
		const { width, height } = boundsOf(zone.d);
		return { index, size: Math.min(width, height), points: [onSide(view, side, zone.centroid)] };
	});
}

/**
 * The target that a pointer means: of those that are small on the screen, the nearest whose middle is within reach.
 * Null where the shape under the pointer is meant.
 */
export function nearestSmall(
	targets: readonly SmallTarget[],
	drawing: SVGGraphicsElement,
	clientX: number,
	clientY: number
): number | null {
	const matrix = drawing.getScreenCTM();
	if (!matrix) return null;
	const scale = Math.hypot(matrix.a, matrix.b);
	const at = new DOMPoint(clientX, clientY).matrixTransform(matrix.inverse());
	const reach = TARGET_PX / 2 / scale;
	let best: { index: number; distance: number } | null = null;
	for (const { index, points, size } of targets) {
		if (size * scale >= TARGET_PX) continue;
		for (const [x, y] of points) {
			const distance = Math.hypot(x - at.x, y - at.y);
			if (distance <= reach && distance < (best?.distance ?? Infinity)) best = { index, distance };
		}
	}
	return best?.index ?? null;
}
