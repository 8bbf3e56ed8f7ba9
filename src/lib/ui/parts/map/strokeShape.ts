import { curveCatmullRom, line } from 'd3-shape';
import { FIGURE, mirror, nodePoints, type Point, type View } from '$lib/core/atlas/geometry';
import { nodeOf, ownSideOf, placeOf, type PlaceRef, type Side } from '$lib/core/atlas/places';
import type { ZoneId } from '$lib/core/atlas/zones';

const round = (n: number) => Math.round(n * 10) / 10;

/** Where a place stands in a view, on the client's left; null where it is not seen. */
export function anchorOf(view: View, ref: PlaceRef, towards?: Point): Point | null {
	const place = placeOf(ref);
	const node = nodeOf(place);
	if (!node) return FIGURE[view].zones[place as ZoneId]?.centroid ?? null;
	const points = nodePoints(view, node);
	if (!points.length) return null;
	// The neck chain has several marks: the one on the way is taken.
	const from = towards ?? points[0]!;
	return points.reduce((a, b) => (distance(b, from) < distance(a, from) ? b : a));
}

const distance = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1]);

/** Closer than this, two places are one spot of a line, units. */
const SAME_SPOT = 9;

/** The points of a path on one side; in the front view the client's right is the mirror image. */
export function pathPoints(view: View, refs: readonly PlaceRef[], side: Side): Point[] {
	const points: Point[] = [];
	// The neck chain's mark is chosen on the client's left, where the figure is stored; mirroring comes after.
	let from: Point | undefined;
	for (const ref of refs) {
		const at = anchorOf(view, ref, from);
		if (!at) continue;
		from = at;
		const point = view === 'front' && (ownSideOf(ref) ?? side) === 'right' ? mirror(at) : at;
		const last = points.at(-1);
		// A zone and the node group under it may share a spot; a line between them would turn on itself.
		if (last && distance(last, point) < SAME_SPOT) points.pop();
		points.push(point);
	}
	return withoutSpikes(points);
}

/** Cosine of the sharpest turn that a hand would take: beyond it the point between lies off its way. */
const SPIKE = -0.25;

/** A line without points at which it would turn back on itself: a node group beside the way is passed, not visited. */
function withoutSpikes(points: readonly Point[]): Point[] {
	const kept: Point[] = [];
	points.forEach((p, i) => {
		const [a, b] = [kept.at(-1), points[i + 1]];
		const l = a && b ? distance(a, p) * distance(p, b) : 0;
		if (a && b && l > 0 && ((p[0] - a[0]) * (b[0] - p[0]) + (p[1] - a[1]) * (b[1] - p[1])) / l < SPIKE) return;
		kept.push(p);
	});
	return kept;
}

/** Points along a smooth line through the given ones (d3's Catmull–Rom, uniform), `per` a stretch. */
export function smooth(points: readonly Point[], per = 14): Point[] {
	if (points.length < 3) return resampled(points, per);
	const out: Point[] = [];
	let from: Point = points[0]!;
	// d3 draws the curve as Béziers; a brush wants points on it.
	const pen = {
		moveTo: (x: number, y: number) => void (from = [x, y]),
		lineTo: (x: number, y: number) => void (from = [x, y]),
		closePath: () => {},
		bezierCurveTo: (x1: number, y1: number, x2: number, y2: number, x: number, y: number) => {
			const [x0, y0] = from;
			for (let j = 0; j < per; j++) out.push([bezier(x0, x1, x2, x, j / per), bezier(y0, y1, y2, y, j / per)]);
			from = [x, y];
		}
	};
	line<Point>()
		.curve(curveCatmullRom.alpha(0))
		.context(pen as unknown as CanvasRenderingContext2D)([...points]);
	return [...out, points.at(-1)!];
}

const bezier = (a: number, b: number, c: number, d: number, u: number): number =>
	(1 - u) ** 3 * a + 3 * (1 - u) ** 2 * u * b + 3 * (1 - u) * u * u * c + u ** 3 * d;

/** A straight stretch bows a little, as a hand does. */
function resampled(points: readonly Point[], per: number): Point[] {
	const [a, b] = points;
	if (!a || !b) return [...points];
	const bow = distance(a, b) * 0.07;
	const [nx, ny] = [-(b[1] - a[1]) / (distance(a, b) || 1), (b[0] - a[0]) / (distance(a, b) || 1)];
	return Array.from({ length: per * 2 + 1 }, (_, i) => {
		const u = i / (per * 2);
		const k = bow * Math.sin(Math.PI * u) * (b[0] >= a[0] ? -1 : 1);
		return [a[0] + (b[0] - a[0]) * u - nx * k, a[1] + (b[1] - a[1]) * u - ny * k] as Point;
	});
}

/** A line moved sideways by an offset, units. */
export function offset(points: readonly Point[], by: number): Point[] {
	return points.map((p, i) => {
		const [nx, ny] = normalAt(points, i);
		return [p[0] + nx * by, p[1] + ny * by];
	});
}

function normalAt(points: readonly Point[], i: number): Point {
	const a = points[Math.max(0, i - 1)]!;
	const b = points[Math.min(points.length - 1, i + 1)]!;
	const l = distance(a, b) || 1;
	return [-(b[1] - a[1]) / l, (b[0] - a[0]) / l];
}

/** Width of the stroke along its way, 0..1 of the half width: thin at the start, full towards the finger. */
const taper = (u: number) => Math.max(0, Math.sin(Math.PI * u ** 0.8)) ** 0.62 * (0.62 + 0.38 * u) + 0.06;

/** The brush: a closed shape along a line, `halfWidth` units at its fullest. */
export function brush(points: readonly Point[], halfWidth: number): string {
	const n = points.length - 1;
	if (n < 1) return '';
	const left: string[] = [];
	const right: string[] = [];
	points.forEach((p, i) => {
		const [nx, ny] = normalAt(points, i);
		const w = halfWidth * taper(i / n);
		left.push(`${round(p[0] + nx * w)} ${round(p[1] + ny * w)}`);
		right.unshift(`${round(p[0] - nx * w)} ${round(p[1] - ny * w)}`);
	});
	return `M${[...left, ...right].join('L')}Z`;
}

export const polyline = (points: readonly Point[]): string =>
	points.length ? `M${points.map((p) => `${round(p[0])} ${round(p[1])}`).join('L')}` : '';

/** The point at a part of a line, 0..1, by its points (they lie evenly along it). */
export function pointAlong(points: readonly Point[], along: number): Point | null {
	const n = points.length - 1;
	if (n < 0) return null;
	const at = Math.min(1, Math.max(0, along)) * n;
	const [a, b] = [points[Math.floor(at)]!, points[Math.ceil(at)]!];
	const u = at - Math.floor(at);
	return [a[0] + (b[0] - a[0]) * u, a[1] + (b[1] - a[1]) * u];
}

/** The first part of a line, 0..1; never less than two of its points. */
export const partOf = (points: readonly Point[], along: number): readonly Point[] =>
	points.slice(0, Math.max(2, Math.ceil(along * (points.length - 1)) + 1));

/** Direction of the last stretch, degrees, for an arrow head. */
export function endAngle(points: readonly Point[]): number {
	const b = points.at(-1)!;
	const a = points[Math.max(0, points.length - 5)] ?? b;
	return (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI;
}

/** Bounds of a path of absolute M, L, C: its control points. */
export function boundsOf(d: string): { x: number; y: number; width: number; height: number } {
	const numbers = d.match(/-?\d+(\.\d+)?/g)!.map(Number);
	const xs = numbers.filter((_, i) => i % 2 === 0);
	const ys = numbers.filter((_, i) => i % 2 === 1);
	const [x, y] = [Math.min(...xs), Math.min(...ys)];
	return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
}

/** Heights of the water lines 1..4 in a zone, from the foot up. */
export function waterLine(d: string, index: number): { y: number; x: number; width: number } {
	const b = boundsOf(d);
	return { x: b.x - 8, width: b.width + 16, y: b.y + b.height * (0.86 - (0.7 * (index - 1)) / 3) };
}

/** A wavy line across a width, units. */
export function wave(x: number, y: number, width: number, length = 12, height = 2.6): string {
	const n = Math.ceil(width / length);
	const half = length / 2;
	return `M${round(x)} ${round(y)}${`q${half / 2} ${-height} ${half} 0t${half} 0`.repeat(n)}`;
}

/** A row of short upright bars, for what a zone holds that is no fluid. */
export function barsAlong(x: number, y: number, width: number, gap = 9, height = 7): string {
	const n = Math.floor(width / gap);
	return Array.from(
		{ length: n },
		(_, i) => `M${(x + i * gap).toFixed(1)} ${(y - height / 2).toFixed(1)}v${height}`
	).join('');
}
