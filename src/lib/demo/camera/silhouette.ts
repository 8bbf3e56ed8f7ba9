import type { Pixel } from '../../core/measure/landmarks';
import { AXIS_Z, type Point3, type StudyHead } from './head';
import { besideLine, softPeak } from './outline';
import type { Projector } from './projection';

const [TOP_MM, BOTTOM_MM] = [-60, 185];
const STRIP_DEGREES = [-12, -8, -5, -3, -1.5, 0, 1.5, 3, 5, 8, 12];

/** The midline and strips beside it: with a head that is a little turned, one of them is the silhouette. */
export function profileSamples(head: StudyHead): Point3[] {
	const made: Point3[] = [];
	for (let y = TOP_MM; y <= BOTTOM_MM; y += 0.7)
		for (const degrees of STRIP_DEGREES) {
			const angle = (degrees * Math.PI) / 180;
			const r = head.reach(angle, y);
			const [x, z] = [r * Math.sin(angle), AXIS_Z + r * Math.cos(angle)];
			made.push([x, y, y < 112 ? head.relief(x, y, z) : z]);
		}
	return made;
}

/** The silhouette of a profile that faces left, from forehead to neck. */
export function profileOutline(
	samples: readonly Point3[],
	project: Projector
): { readonly line: Pixel[]; readonly pxPerMm: number } {
	const [top, bottom] = [project(0, TOP_MM, 60)[1], project(0, BOTTOM_MM, 20)[1]];
	const rows = Math.max(40, Math.round((bottom - top) / (0.75 * project(0, 45, 60)[3])));
	const leftmost = new Float64Array(rows + 1).fill(Infinity);
	for (const p of samples) {
		const [x, y] = project(...p);
		const row = Math.round(((y - top) / (bottom - top)) * rows);
		if (row >= 0 && row <= rows) leftmost[row] = Math.min(leftmost[row]!, x);
	}
	const raw = [...leftmost.entries()]
		.filter(([, x]) => x < Infinity)
		.map(([row, x]): Pixel => [x, top + ((bottom - top) * row) / rows]);
	const line = raw.map(([, y], i): Pixel => {
		let [sum, weight] = [0, 0];
		for (let d = -2; d <= 2; d++) {
			const k = Math.exp((-d * d) / 2);
			sum += k * raw[Math.max(0, Math.min(raw.length - 1, i + d))]![0];
			weight += k;
		}
		return [sum / weight, y];
	});
	return { line, pxPerMm: project(0, 60, 60)[3] };
}

/** The point of a silhouette that lies farthest inside (1) or outside (−1) a chord. */
export const farthest = (line: readonly Pixel[], from: Pixel, to: Pixel, sign: 1 | -1, pxPerMm: number): Pixel =>
	softPeak(
		line.filter((p) => p[1] >= from[1] && p[1] <= to[1]),
		(p) => sign * besideLine(from, to)(p),
		0.3 * pxPerMm
	);

/** The silhouette between two of its points, by share of the directions from a middle behind it. */
export function alongOutline(
	line: readonly Pixel[],
	from: Pixel,
	to: Pixel,
	[mx, my]: Pixel
): (share: number) => Pixel {
	const directionOf = ([x, y]: Pixel) => Math.atan2(y - my, mx - x);
	const [first, last] = [directionOf(from), directionOf(to)];
	const seen = line.filter((p) => p[1] >= from[1] && p[1] <= to[1]).map((p) => ({ p, direction: directionOf(p) }));
	return (share) => {
		const wished = first + (last - first) * share;
		const after = seen.findIndex(({ direction }) => direction >= wished);
		const [a, b] = [seen[Math.max(0, after - 1)]!, seen[Math.max(1, after)]!];
		const t = Math.min(1, Math.max(0, (wished - a.direction) / (b.direction - a.direction || 1)));
		return [a.p[0] + t * (b.p[0] - a.p[0]), a.p[1] + t * (b.p[1] - a.p[1])];
	};
}
