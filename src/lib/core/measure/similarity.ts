import type { AnyPoint, MeasuredView, Pixel } from './landmarks';
import { DEGREES } from './vector';

/** Turns, scales and moves a photograph onto another. */
export interface Similarity {
	readonly a: number;
	readonly b: number;
	readonly move: Pixel;
	readonly scale: number;
	readonly rollDegrees: number;
	/** What is left between the points, root mean square, px. */
	readonly rms: number;
	/** Weighted sum of the squared distances of the moved points from their centre: the scale’s error comes from it. */
	readonly squares: number;
	readonly apply: (point: Pixel) => Pixel;
}

/** Points of bone or cartilage near the eyes, spread both ways, that no massage for fluid moves. */
export const STABLE_POINTS: Readonly<Record<MeasuredView, readonly AnyPoint[]>> = {
	front: ['enL', 'enR', 'exL', 'exR', 'se', 'sn', 'alL', 'alR'],
	profile: ['g', 'se', 'prn', 'sn', 'ex', 't']
};

/**
 * The similarity that lays points onto others, least squares in closed form.
 * @param weights one for each pair, such as 1 / variance; absent: all alike
 * @throws {RangeError} for fewer than two pairs, or points that all coincide
 * @source Procrustes analysis without reflection
 */
export function similarityOnto(
	onto: readonly Pixel[],
	points: readonly Pixel[],
	weights: readonly number[] = onto.map(() => 1)
): Similarity {
	if (onto.length !== points.length || onto.length < 2) throw new RangeError('two pairs of points at least');
	const total = weights.reduce((a, b) => a + b, 0);
	const middle = (list: readonly Pixel[]): Pixel => [
		list.reduce((s, p, i) => s + weights[i]! * p[0], 0) / total,
		list.reduce((s, p, i) => s + weights[i]! * p[1], 0) / total
	];
	const [to, from] = [middle(onto), middle(points)];
	let [along, across, squares] = [0, 0, 0];
	for (const [i, p] of points.entries()) {
		const [x, y] = [p[0] - from[0], p[1] - from[1]];
		const [u, v] = [onto[i]![0] - to[0], onto[i]![1] - to[1]];
		along += weights[i]! * (x * u + y * v);
		across += weights[i]! * (x * v - y * u);
		squares += weights[i]! * (x * x + y * y);
	}
	if (squares === 0) throw new RangeError('all points coincide');
	const [a, b] = [along / squares, across / squares];
	const move: Pixel = [to[0] - a * from[0] + b * from[1], to[1] - b * from[0] - a * from[1]];
	const apply = ([x, y]: Pixel): Pixel => [a * x - b * y + move[0], b * x + a * y + move[1]];
	const left = points.reduce((sum, p, i) => {
		const [x, y] = apply(p);
		return sum + weights[i]! * ((onto[i]![0] - x) ** 2 + (onto[i]![1] - y) ** 2);
	}, 0);
	return {
		a,
		b,
		move,
		scale: Math.hypot(a, b),
		rollDegrees: Math.atan2(b, a) * DEGREES,
		rms: Math.sqrt(left / total),
		squares,
		apply
	};
}
