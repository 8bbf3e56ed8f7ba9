import type { Point } from '$lib/core/atlas/geometry';

/** Height of a letter and its mean width, units of the figure. */
const TALL = 18;
const WIDE = 10.4;
/** From the middle of a point to where its label begins, units. */
const GAP = 16;

interface Box {
	readonly x0: number;
	readonly x1: number;
	readonly y0: number;
	readonly y1: number;
}
const boxAt = (x: number, y: number, width: number, anchor: 'start' | 'middle' | 'end'): Box => {
	const x0 = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
	return { x0, x1: x0 + width, y0: y - TALL * 0.8, y1: y + TALL * 0.25 };
};
const covers = ({ x0, x1, y0, y1 }: Box, [x, y]: Point, reach: number): boolean =>
	x > x0 - reach && x < x1 + reach && y > y0 - reach && y < y1 + reach;

export interface LabelSpot {
	readonly x: number;
	readonly y: number;
	readonly anchor: 'start' | 'middle' | 'end';
}

/**
 * Where the label of a point stands so that it covers no neighbour: beside it, above, below, or slanting away; the
 * spot that covers the fewest where every one covers some.
 * @param others the marks that shall stay free, units
 */
export function labelSpot([x, y]: Point, letters: number, others: readonly Point[]): LabelSpot {
	const spots: LabelSpot[] = [
		{ x: x + GAP, y: y + 6, anchor: 'start' },
		{ x: x - GAP, y: y + 6, anchor: 'end' },
		{ x, y: y - GAP, anchor: 'middle' },
		{ x, y: y + GAP + TALL * 0.8, anchor: 'middle' },
		...([1.6, 2.6, 3.6] as const).flatMap((far): LabelSpot[] => [
			{ x: x + GAP, y: y - GAP * far, anchor: 'start' },
			{ x: x + GAP, y: y + GAP * far + 6, anchor: 'start' },
			{ x: x - GAP, y: y - GAP * far, anchor: 'end' },
			{ x: x - GAP, y: y + GAP * far + 6, anchor: 'end' }
		])
	];
	const hidden = (spot: LabelSpot) => {
		const box = boxAt(spot.x, spot.y, letters * WIDE, spot.anchor);
		return others.filter((other) => covers(box, other, 6)).length;
	};
	return spots.map((spot) => ({ spot, n: hidden(spot) })).sort((a, b) => a.n - b.n)[0]!.spot;
}
