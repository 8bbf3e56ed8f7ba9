import { curveBasis, line as lineOf } from 'd3-shape';
import { JAW_POINTS, type AnyPoint, type MeasuredView, type Pixel, type Points } from '$lib/core/measure/landmarks';
import { UNDER_CHIN } from '$lib/core/measure/underChin';
import type { Similarity } from '$lib/core/measure/similarity';

/** The second photograph laid onto the first, as SVG takes it. */
export const matrixOf = ({ a, b, move }: Similarity): string => `matrix(${a} ${b} ${-b} ${a} ${move[0]} ${move[1]})`;

/** As smooth as it is judged: single points lie a little beside it. */
const smooth = lineOf().curve(curveBasis).digits(1);
const CONTOURS: Readonly<Record<MeasuredView, readonly (readonly AnyPoint[])[]>> = {
	front: (['L', 'R'] as const).map((side) => JAW_POINTS.filter((id) => id.endsWith(side))),
	profile: [UNDER_CHIN]
};
/** The contours that are judged as paths, through a move of their points; empty where points are missing. */
export const contourPaths = (points: Points, view: MeasuredView, move: (p: Pixel) => Pixel = (p) => p): string[] =>
	CONTOURS[view].map((ids) => {
		const line = ids.flatMap((id) => (points[id] ? [move(points[id])] : []));
		return line.length < 3 ? '' : (smooth([...line] as [number, number][]) ?? '');
	});

/** The part of a picture that holds the face and a little around: x, y, width, height in px. */
export function faceFrame(points: Points, size: Pixel): readonly [number, number, number, number] {
	const placed = Object.values(points);
	if (placed.length < 8) return [0, 0, size[0], size[1]];
	const [xs, ys] = [placed.map((p) => p[0]), placed.map((p) => p[1])];
	const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
	const [w, h] = [right - left, bottom - top];
	// Three to four, as photographs are, with room for hair and neck.
	const height = Math.min(size[1], (size[0] * 4) / 3, Math.max(h * 1.35, (w * 1.3 * 4) / 3));
	const width = (height * 3) / 4;
	const within = (at: number, length: number, whole: number) => Math.min(whole - length, Math.max(0, at));
	const x = within((left + right) / 2 - width / 2, width, size[0]);
	return [x, within((top + bottom) / 2 - height * 0.48, height, size[1]), width, height];
}
