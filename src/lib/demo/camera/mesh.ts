import { curve, ramp, type Knots } from './curve';
import { AXIS_Z, type StudyHead } from './head';

/** A surface as rows of points that close into rings. */
export interface Mesh {
	readonly rows: number;
	readonly columns: number;
	/** x, y, z of each point, mm; its outward direction; how deep it lies in a hollow. */
	readonly points: Float32Array;
	readonly normals: Float32Array;
	readonly cavity: Float32Array;
	/** An ear is seen from both its sides. */
	readonly ear: boolean;
}

const TOP_MM = -113.2;
const BOTTOM_MM = 262;
/** Steps grow smoothly from the face to the back: uneven ones show. */
function stepsAlong(density: Knots, from: number, to: number, coarser: number): number[] {
	const step = curve(density, { from, to, step: (to - from) / 2000, smooth: 5 });
	const steps: number[] = [];
	for (let v = from; v < to - 1e-9; v += step(v) * coarser) steps.push(v);
	return [...steps, to];
}

/**
 * The head as a mesh: about 204,000 points at quality 1.
 * @param quality 0.3 to 1: finer with more
 */
export function headMesh(head: StudyHead, quality = 1): Mesh {
	const coarser = 1 / quality;
	const heights = stepsAlong(
		[
			[TOP_MM, 1],
			[-100, 1.5],
			[-50, 1.5],
			[-34, 0.7],
			[-24, 0.5],
			[90, 0.5],
			[112, 0.6],
			[130, 0.8],
			[150, 1.8],
			[BOTTOM_MM, 2.2]
		],
		TOP_MM,
		BOTTOM_MM,
		coarser
	);
	const half = stepsAlong(
		[
			[0, 0.42],
			[46, 0.42],
			[62, 0.6],
			[80, 1],
			[110, 1.6],
			[180, 2.6]
		],
		0,
		180,
		coarser
	).map((d) => (d * Math.PI) / 180);
	const angles = [
		-Math.PI,
		...half
			.slice(1, -1)
			.toReversed()
			.map((a) => -a),
		...half.slice(0, -1)
	];
	const [rows, columns] = [heights.length, angles.length];
	const points = new Float32Array(rows * columns * 3);
	const reached = new Float64Array(columns);
	for (let i = 0; i < rows; i++) {
		const y = heights[i]!;
		for (let j = 0; j < columns; j++) {
			const r = head.reach(angles[j]!, y, 'body', reached[j]!);
			reached[j] = r;
			const [sin, cos] = [Math.sin(angles[j]!), Math.cos(angles[j]!)];
			let [x, z] = [r * sin, AXIS_Z + r * cos];
			if (cos > 0.2 && z > 20) z += (head.relief(x, y, z) - z) * ramp(20, 40, z);
			const hair = head.hair(x, y, z);
			if (hair > -2 && y < 70) {
				const thicker = 1 + (4.2 * ramp(-1, 5, hair) * ramp(75, 58, y)) / Math.max(30, r);
				x *= thicker;
				z = AXIS_Z + (z - AXIS_Z) * thicker;
			}
			const o = (i * columns + j) * 3;
			points[o] = x;
			points[o + 1] = y - (hair > 0 && y < -80 ? 3 * ramp(-80, TOP_MM, y) : 0);
			points[o + 2] = z;
		}
	}
	const normals = normalsOf(points, rows, columns);
	return { rows, columns, points, normals, cavity: cavityOf(points, normals, rows, columns, quality), ear: false };
}

/** Outward directions from the neighbours; `outwards` turns those that point in. */
export function normalsOf(points: Float32Array, rows: number, columns: number, outwards?: number): Float32Array {
	const normals = new Float32Array(points.length);
	for (let i = 0; i < rows; i++)
		for (let j = 0; j < columns; j++) {
			const a = (i * columns + ((j + 1) % columns)) * 3;
			const b = (i * columns + ((j + columns - 1) % columns)) * 3;
			const c = (Math.min(rows - 1, i + 1) * columns + j) * 3;
			const d = (Math.max(0, i - 1) * columns + j) * 3;
			const [ux, uy, uz] = [points[a]! - points[b]!, points[a + 1]! - points[b + 1]!, points[a + 2]! - points[b + 2]!];
			const [vx, vy, vz] = [points[c]! - points[d]!, points[c + 1]! - points[d + 1]!, points[c + 2]! - points[d + 2]!];
			const [nx, ny, nz] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
			const size = Math.hypot(nx, ny, nz) || 1;
			const to = outwards && nx * outwards < 0 ? -size : size;
			const o = (i * columns + j) * 3;
			normals[o] = nx / to;
			normals[o + 1] = ny / to;
			normals[o + 2] = nz / to;
		}
	return normals;
}

/** How deep each point lies against its surroundings, at three scales: cheap, and it gives the look of clay. */
function cavityOf(
	points: Float32Array,
	normals: Float32Array,
	rows: number,
	columns: number,
	quality: number
): Float32Array {
	const cavity = new Float32Array(rows * columns);
	const [along, blurred] = [new Float32Array(points.length), new Float32Array(points.length)];
	for (const [radius, gain] of [
		[3, 0.75],
		[10, 0.85],
		[32, 0.55]
	] as const) {
		const r = Math.round(radius * quality);
		const share = 1 / (2 * r + 1);
		for (let i = 0; i < rows; i++)
			for (let k = 0; k < 3; k++) {
				const at = (j: number) => points[(i * columns + ((j + columns) % columns)) * 3 + k]!;
				let sum = 0;
				for (let j = -r; j <= r; j++) sum += at(j);
				for (let j = 0; j < columns; j++) {
					along[(i * columns + j) * 3 + k] = sum * share;
					sum += at(j + r + 1) - at(j - r);
				}
			}
		for (let j = 0; j < columns; j++)
			for (let k = 0; k < 3; k++) {
				const at = (i: number) => along[(Math.max(0, Math.min(rows - 1, i)) * columns + j) * 3 + k]!;
				let sum = 0;
				for (let i = -r; i <= r; i++) sum += at(i);
				for (let i = 0; i < rows; i++) {
					blurred[(i * columns + j) * 3 + k] = sum * share;
					sum += at(i + r + 1) - at(i - r);
				}
			}
		for (let v = 0; v < rows * columns; v++) {
			const o = v * 3;
			const y = points[o + 1]!;
			const deep =
				(blurred[o]! - points[o]!) * normals[o]! +
				(blurred[o + 1]! - y) * normals[o + 1]! +
				(blurred[o + 2]! - points[o + 2]!) * normals[o + 2]!;
			const fade = Math.abs(y - 20) > 85 ? 1 - 0.6 * ramp(105, 140, y) : 1;
			cavity[v] = cavity[v]! + ((gain * deep) / (radius * 0.32)) * fade;
		}
	}
	return cavity;
}
