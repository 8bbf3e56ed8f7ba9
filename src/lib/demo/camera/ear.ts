import { bell, hill, ramp } from './curve';
import type { FaceSide } from './face.schema';
import { normalsOf, type Mesh } from './mesh';

const AROUND = 72;
const OUTWARDS = 26;
/** Rings near the middle are too small for directions of their own. */
const MIDDLE_RINGS = 5;

/** How far the edge of the ear lies from its middle, as a share, in a direction. */
function edge(c: number, s: number): number {
	const narrow = 0.1 * Math.max(0, s) * Math.max(0, 0.2 - c);
	return 1 + 0.05 * (c * c - s * s) - narrow - (s > 0 ? 0.05 * s * s : 0);
}

/** Rim, folds, hollow, lobe: how high the ear stands, mm. */
function height(r: number, c: number, s: number, back: number, down: number): number {
	const [front, lobe] = [ramp(0.25, -0.85, c * r), ramp(0.45, 0.95, s * r)];
	let h = 2.5 + 3.4 * bell((r - 0.87) / 0.11) * (1 - front * 0.55) * (1 - lobe * 0.85);
	h -= 2 * bell((r - 0.7) / 0.1) * ramp(-0.4, 0.3, c) * (1 - lobe);
	h += 2.3 * bell((r - 0.5) / 0.13) * ramp(-0.35, 0.35, c) * (1 - lobe) * ramp(1, 0.6, s * r);
	h -= 5.6 * hill(back, down, -2.5, 4.5, 6.2, 8.5) + 2.6 * hill(back, down, -3.5, -8, 5, 4.5);
	h += 2.6 * hill(back, down, -12.5, 5, 3.2, 4.2) + 1.6 * hill(back, down, 1.5, 15.5, 4.5, 3.5) + 1.2 * lobe;
	return h * (r > 0.93 ? Math.sqrt(Math.max(0, (1 - r) / 0.07)) : 1);
}

/** One ear, standing off the head backwards. */
export function earMesh(side: FaceSide): Mesh {
	const sign = side === 'L' ? 1 : -1;
	const [rows, columns] = [OUTWARDS + 1, AROUND];
	const points = new Float32Array(rows * columns * 3);
	const cavity = new Float32Array(rows * columns);
	for (let j = 0; j < rows; j++)
		for (let i = 0; i < columns; i++) {
			const angle = (i / columns) * 2 * Math.PI;
			const [c, s, r] = [Math.cos(angle), Math.sin(angle), j / OUTWARDS];
			const back = c * 16.2 * r * edge(c, s);
			const down = s * 30 * r * edge(c, s) * (s > 0 ? 0.98 : 1);
			const [up, lobe] = [Math.max(0, -s), ramp(0.45, 0.95, s * r)];
			const h = height(r, c, s, back, down);
			const off = (back + 14) * 0.5 * (0.75 + 0.25 * up * r);
			const x =
				69.6 +
				off * 0.62 +
				h * 0.92 -
				2.2 * lobe -
				2 * ramp(0.2, 1, s * r) -
				6.5 * ramp(-3, -15, back) * ramp(0.5, 1, r);
			const v = j * columns + i;
			points.set([sign * x, 13 + down + 0.1 * back, -back * 0.9 - 8 - 0.121 * down + h * 0.42], v * 3);
			cavity[v] = Math.max(-0.25, Math.min(0.8, (3 - h) * 0.17));
		}
	const normals = normalsOf(points, rows, columns, sign);
	smoothMiddle(normals, columns);
	return { rows, columns, points, normals, cavity, ear: true };
}

/** The innermost rings take the direction of the ring around them. */
function smoothMiddle(normals: Float32Array, columns: number): void {
	const ring = (i: number, j: number) => (i * columns + j) * 3;
	const mean = [0, 1, 2].map((k) => {
		let sum = 0;
		for (let j = 0; j < columns; j++) sum += normals[ring(MIDDLE_RINGS, j) + k]!;
		return sum / columns;
	});
	const size = Math.hypot(...mean);
	for (let i = 0; i < MIDDLE_RINGS; i++) {
		const own = i > 1 ? i / MIDDLE_RINGS : 0;
		for (let j = 0; j < columns; j++) {
			const mixed = mean.map((m, k) => (m / size) * (1 - i / MIDDLE_RINGS) + normals[ring(i, j) + k]! * own);
			const length = Math.hypot(...mixed);
			mixed.forEach((m, k) => (normals[ring(i, j) + k] = m / length));
		}
	}
}
