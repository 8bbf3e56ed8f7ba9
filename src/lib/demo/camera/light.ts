import type { StudyCamera } from './face.schema';

const RADIANS = Math.PI / 180;
export type Vector3 = readonly [number, number, number];
export const unit = (v: Vector3): Vector3 => {
	const size = Math.hypot(...v);
	return [v[0] / size, v[1] / size, v[2] / size];
};

/** Writes the colour of a piece of surface (linear light) into `out`. */
export type Shade = (
	normal: Vector3 | Float32Array,
	albedo: ArrayLike<number>,
	cavity: number,
	lit: number,
	gloss: number,
	out: Float32Array
) => void;

export interface Lighting {
	/** Towards the key light. */
	readonly key: Vector3;
	readonly level: number;
	readonly shade: Shade;
}

const WRAP = 0.24;
/** A key light that wraps around, a fill from its other side, sky and ground, a faint sheen and a warm edge of the shadow. */
export function lightingOf({ azimuth, elevation, key: keyShare, fill, level, warm }: StudyCamera['light']): Lighting {
	const [az, el] = [azimuth * RADIANS, elevation * RADIANS];
	const key: Vector3 = [Math.sin(az) * Math.cos(el), -Math.sin(el), Math.cos(az) * Math.cos(el)];
	const [kx, ky, kz] = key;
	const [fx, fy, fz] = unit([-Math.sin(az) * 0.9, -0.12, 0.42]);
	const [hx, hy, hz] = unit([kx, ky, kz + 1]);
	const [keyLight, fillLight, around] = [1.1 * keyShare * level, 0.135 * fill * level, 0.225 * level];
	const tint = [1.04 + 0.05 * warm, 1, 0.93 - 0.08 * warm] as const;
	const shade: Shade = (normal, albedo, cavity, lit, gloss, out) => {
		const [nx, ny, nz] = [normal[0]!, normal[1]!, normal[2]!];
		const facing = nx * kx + ny * ky + nz * kz;
		const wrapped = Math.max(0, (facing + WRAP) / (1 + WRAP));
		const seen = facing < 0 ? Math.min(lit, 0.35) : lit;
		const direct = keyLight * (wrapped * wrapped * 0.35 + wrapped * 0.65) * (0.1 + 0.9 * seen);
		const filled = Math.max(0, (nx * fx + ny * fy + nz * fz + 0.45) / 1.45);
		const deep = Math.min(1, Math.max(-0.5, cavity));
		const open = deep > 0 ? 1 / (1 + 1.15 * deep) : 1 - 0.13 * deep;
		const [sky, ground] = [0.5 - 0.5 * ny, 0.5 + 0.5 * ny];
		const edge = Math.exp(-(((facing - 0.05) / 0.28) ** 2)) * 0.5 + (1 - seen) * 0.16;
		const half = nx * hx + ny * hy + nz * hz;
		const sheen = half > 0 ? half ** 16 * 0.075 * gloss * seen * keyShare * level : 0;
		const rim = Math.max(0, 1 - Math.max(0, nz)) ** 3 * 0.16 * sky * level;
		const [hollow, ambient] = [0.55 + 0.45 * open, around * open * open];
		out[0] =
			albedo[0]! *
				(direct * tint[0] * hollow +
					fillLight * filled * 0.96 * open +
					ambient * (sky * 0.98 + ground * 0.46) +
					0.03 * edge * keyLight) +
			sheen +
			rim * 0.95;
		out[1] =
			albedo[1]! *
				(direct * tint[1] * hollow +
					fillLight * filled * open +
					ambient * (sky + ground * 0.4) +
					0.008 * edge * keyLight) +
			sheen +
			rim;
		out[2] =
			albedo[2]! *
				(direct * tint[2] * hollow +
					fillLight * filled * 1.06 * open +
					ambient * (sky * 1.05 + ground * 0.36) -
					0.004 * edge * keyLight) +
			sheen * 0.96 +
			rim * 1.05;
	};
	return { key, level, shade };
}

/** What the light sees: a mesh with its points turned into the camera's directions. */
export interface Turned {
	readonly rows: number;
	readonly columns: number;
	readonly ear: boolean;
	readonly points: Float32Array;
}

const MAP = 640;
const MAP_MM = 420;
/** How much of the key light reaches a point: a map of depths seen from the light, felt at 25 places. */
export function shadowsOf(
	turned: readonly Turned[],
	key: Vector3
): (points: Float32Array, o: number, facing: number) => number {
	const perMm = MAP / MAP_MM;
	const depth = new Float32Array(MAP * MAP).fill(-1e9);
	const across = unit([key[2], 0, -key[0]]);
	const down: Vector3 = [
		key[1] * across[2] - key[2] * across[1],
		key[2] * across[0] - key[0] * across[2],
		key[0] * across[1] - key[1] * across[0]
	];
	const along = (p: Float32Array, o: number, v: Vector3) => p[o]! * v[0] + p[o + 1]! * v[1] + p[o + 2]! * v[2];
	for (const { rows, columns, points, ear } of turned) {
		const n = rows * columns;
		const [xs, ys, zs] = [new Float32Array(n), new Float32Array(n), new Float32Array(n)];
		for (let v = 0; v < n; v++) {
			xs[v] = along(points, v * 3, across) * perMm + MAP / 2;
			ys[v] = along(points, v * 3, down) * perMm + MAP / 2;
			zs[v] = along(points, v * 3, key);
		}
		const triangle = (a: number, b: number, c: number) => {
			const [ax, ay, bx, by, cx, cy] = [xs[a]!, ys[a]!, xs[b]!, ys[b]!, xs[c]!, ys[c]!];
			const area = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
			if (Math.abs(area) < 1e-9) return;
			const x1 = Math.min(MAP - 1, Math.ceil(Math.max(ax, bx, cx)));
			const y1 = Math.min(MAP - 1, Math.ceil(Math.max(ay, by, cy)));
			for (let y = Math.max(0, Math.floor(Math.min(ay, by, cy))); y <= y1; y++)
				for (let x = Math.max(0, Math.floor(Math.min(ax, bx, cx))); x <= x1; x++) {
					const u = ((bx - x) * (cy - y) - (by - y) * (cx - x)) / area;
					const w = ((cx - x) * (ay - y) - (cy - y) * (ax - x)) / area;
					const t = 1 - u - w;
					if (u < -0.01 || w < -0.01 || t < -0.01) continue;
					const z = u * zs[a]! + w * zs[b]! + t * zs[c]!;
					if (z > depth[y * MAP + x]!) depth[y * MAP + x] = z;
				}
		};
		const step = ear ? 1 : 2;
		for (let i = 0; i < rows - step; i += step)
			for (let j = 0; j < columns; j += step) {
				const [here, below, next] = [i * columns, (i + step) * columns, (j + step) % columns];
				triangle(here + j, here + next, below + j);
				triangle(here + next, below + next, below + j);
			}
	}
	return (points, o, facing) => {
		const x0 = along(points, o, across) * perMm + MAP / 2;
		const y0 = along(points, o, down) * perMm + MAP / 2;
		const nearest = along(points, o, key) + 2.2 + 2.5 * (1 - facing);
		let lit = 0;
		for (let a = -2; a <= 2; a++)
			for (let b = -2; b <= 2; b++) {
				const [x, y] = [Math.round(x0 + a * 3.1), Math.round(y0 + b * 3.1)];
				const before = x < 0 || y < 0 || x >= MAP || y >= MAP ? 0 : depth[y * MAP + x]! - nearest;
				lit += before <= 0 ? 1 : before > 5 ? 0 : 1 - before / 5;
			}
		return lit / 25;
	};
}
