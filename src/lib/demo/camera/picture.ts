import { hill } from './curve';
import { earMesh } from './ear';
import type { StudyCamera, StudyFace } from './face.schema';
import { studyHead, type StudyHead } from './head';
import { lightingOf, shadowsOf, type Lighting } from './light';
import { headMesh, type Mesh } from './mesh';
import { coloursOf, ON_SKIN, painterOf, type Fragment } from './paint';
import { PIVOT, projectorOf, rotationOf, type Rotation } from './projection';
import { developed } from './sensor';

/** A head that is ready to be photographed: built once, taken from any side, in any light. */
export interface Sitter {
	readonly head: StudyHead;
	readonly meshes: readonly Mesh[];
}
/** @param quality of the surface, 0.3 to 1 */
export function sitterOf(face: StudyFace, quality = 1): Sitter {
	const head = studyHead(face);
	return { head, meshes: [headMesh(head, quality), earMesh('L'), earMesh('R')] };
}

interface Staged extends Mesh {
	readonly turned: Float32Array;
	readonly facing: Float32Array;
	readonly screen: Float32Array;
	readonly colour: Float32Array;
	readonly lit: Float32Array;
	readonly flag: Uint8Array;
}

function turn(list: Float32Array, r: Rotation, from: readonly number[]): Float32Array {
	const made = new Float32Array(list.length);
	for (let o = 0; o < list.length; o += 3) {
		const [a, b, c] = [list[o]! - from[0]!, list[o + 1]! - from[1]!, list[o + 2]! - from[2]!];
		for (let k = 0; k < 3; k++) made[o + k] = r[3 * k]! * a + r[3 * k + 1]! * b + r[3 * k + 2]! * c;
	}
	return made;
}

/** Each point in the camera’s view, with the colour of its skin in this light. */
function staged({ head, meshes }: Sitter, camera: StudyCamera, lighting: Lighting): Staged[] {
	const [project, rotation] = [projectorOf(camera), rotationOf(camera)];
	const views = meshes.map((mesh) => ({
		...mesh,
		turned: turn(mesh.points, rotation, PIVOT),
		facing: turn(mesh.normals, rotation, [0, 0, 0])
	}));
	const shadow = shadowsOf(
		views.map((v) => ({ ...v, points: v.turned })),
		lighting.key
	);
	const { skin } = coloursOf(head);
	const albedo = new Float32Array(3);
	return views.map((view) => {
		const { points, turned, facing, ear, cavity } = view;
		const n = view.rows * view.columns;
		const [screen, colour, lit, flag] = [
			new Float32Array(n * 3),
			new Float32Array(n * 3),
			new Float32Array(n),
			new Uint8Array(n)
		];
		for (let v = 0, o = 0; v < n; v++, o += 3) {
			const [x, y, z] = [points[o]!, points[o + 1]!, points[o + 2]!];
			const at = project(x, y, z);
			screen[o] = at[0];
			screen[o + 1] = at[1];
			screen[o + 2] = at[2];
			const [kx, ky, kz] = lighting.key;
			const towards = facing[o]! * kx + facing[o + 1]! * ky + facing[o + 2]! * kz;
			const seen = facing[o + 2]! < -0.3 ? 0 : shadow(turned, o, towards);
			lit[v] = ear && facing[o + 2]! >= -0.3 ? Math.max(0.55, seen) : seen;
			albedo.set(skin);
			if (ear) {
				albedo[1] = albedo[1]! * 0.95;
				albedo[2] = albedo[2]! * 0.94;
			} else flag[v] = paintSkin(albedo, x, y, z, head);
			const hollow =
				!ear && Math.abs(x) > 52 && z < 8 && z > -34 && y > -18 && y < 50 ? 0.5 * hill(z, y, -12, 14, 14, 30) : 0;
			const normal = facing.subarray(o, o + 3);
			lighting.shade(normal, albedo, cavity[v]! + hollow, lit[v]!, 1, colour.subarray(o, o + 3));
		}
		return { ...view, screen, colour, lit, flag };
	});
}

/** Warmth in cheeks, nose and lids, the dark of the nostrils; says what is to be painted there. */
function paintSkin(albedo: Float32Array, x: number, y: number, z: number, head: StudyHead): number {
	const ax = Math.abs(x);
	const front = z > 38;
	if (front && y < 100 && y > -70) {
		const warm =
			0.85 * hill(ax, y, 41, 29, 16, 14) +
			0.6 * hill(ax, y, 0, 36, 9, 9) +
			0.28 * hill(ax, y, 31, -3, 18, 10) +
			0.2 * hill(ax, y, 0, 98, 14, 10);
		const nostril = z > 90 ? hill(ax, y, 6.2, 45.4, 3, 1.6) : 0;
		albedo[0] = albedo[0]! * (1 + 0.015 * warm) * (1 - 0.72 * nostril);
		albedo[1] = albedo[1]! * (1 - 0.085 * warm) * (1 - 0.78 * nostril);
		albedo[2] = albedo[2]! * (1 - 0.095 * warm) * (1 - 0.78 * nostril);
	}
	return (
		(front && ax < 60 && y > -36 && y < 18 ? ON_SKIN.eyes : 0) |
		(front && ax < 32 && y > 52 && y < 84 ? ON_SKIN.lips : 0) |
		(head.hair(x, y, z) > -3 && y < 74 ? ON_SKIN.hair : 0)
	);
}

/** A plain wall, a little lighter behind the head. */
function wall(width: number, height: number, { azimuth, level }: StudyCamera['light']): Float32Array {
	const made = new Float32Array(width * height * 3);
	const aside = 0.1 * Math.sign(azimuth || -1);
	for (let y = 0; y < height; y++)
		for (let x = 0; x < width; x++) {
			const [u, v] = [x / width - 0.5, y / height - 0.5];
			const glow = Math.exp(-((u + aside) ** 2) * 3.2 - (v + 0.1) ** 2 * 2.6);
			const b = (0.55 + 0.29 * glow - 0.4 * Math.max(0, v) ** 2) * level;
			made.set([b, b * 0.925, b * 0.8], (y * width + x) * 3);
		}
	return made;
}

/** A picture as a canvas takes it: red, green, blue and opacity, row by row. */
export interface Picture {
	readonly widthPx: number;
	readonly heightPx: number;
	readonly data: Uint8ClampedArray<ArrayBuffer>;
}

/**
 * Photographs a made-up head. The same head, camera and seed give the same bytes.
 * @param onshare told how much is done, 0 to 1
 */
export function photograph(sitter: Sitter, camera: StudyCamera, onshare: (share: number) => void = () => {}): Picture {
	const fine: StudyCamera = {
		...camera,
		widthPx: camera.widthPx * camera.samples,
		heightPx: camera.heightPx * camera.samples
	};
	const [width, height] = [fine.widthPx, fine.heightPx];
	const lighting = lightingOf(camera.light);
	const views = staged(sitter, fine, lighting);
	onshare(0.4);
	const light = wall(width, height, camera.light);
	const nearest = new Float32Array(width * height).fill(-1e9);
	const softMm = 0.5 / projectorOf(fine)(0, 0, 80)[3] + 0.1;
	const paint = painterOf(sitter.head, lighting, rotationOf(camera), softMm);
	const at: Fragment = { x: 0, y: 0, z: 0, normal: new Float32Array(3), cavity: 0, lit: 0 };
	for (const view of views) {
		const { rows, columns, screen, colour, flag, points, facing, cavity, lit, ear } = view;
		const triangle = (a: number, b: number, c: number) => {
			const [ia, ib, ic] = [a * 3, b * 3, c * 3];
			const [ax, ay, bx, by, cx, cy] = [
				screen[ia]!,
				screen[ia + 1]!,
				screen[ib]!,
				screen[ib + 1]!,
				screen[ic]!,
				screen[ic + 1]!
			];
			const area = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
			if (area === 0 || (!ear && area >= 0)) return;
			const x0 = Math.max(0, Math.ceil(Math.min(ax, bx, cx) - 0.5));
			const x1 = Math.min(width - 1, Math.floor(Math.max(ax, bx, cx) - 0.5));
			const y0 = Math.max(0, Math.ceil(Math.min(ay, by, cy) - 0.5));
			const y1 = Math.min(height - 1, Math.floor(Math.max(ay, by, cy) - 0.5));
			const painted = flag[a]! | flag[b]! | flag[c]!;
			for (let y = y0; y <= y1; y++)
				for (let x = x0; x <= x1; x++) {
					const [px, py] = [x + 0.5, y + 0.5];
					const u = ((bx - px) * (cy - py) - (by - py) * (cx - px)) / area;
					if (u < 0) continue;
					const w = ((cx - px) * (ay - py) - (cy - py) * (ax - px)) / area;
					const t = 1 - u - w;
					if (w < 0 || t < 0) continue;
					const depth = u * screen[ia + 2]! + w * screen[ib + 2]! + t * screen[ic + 2]!;
					const pixel = y * width + x;
					if (depth <= nearest[pixel]!) continue;
					nearest[pixel] = depth;
					const o = pixel * 3;
					for (let k = 0; k < 3; k++) light[o + k] = u * colour[ia + k]! + w * colour[ib + k]! + t * colour[ic + k]!;
					if (!painted) continue;
					at.x = u * points[ia]! + w * points[ib]! + t * points[ic]!;
					at.y = u * points[ia + 1]! + w * points[ib + 1]! + t * points[ic + 1]!;
					at.z = u * points[ia + 2]! + w * points[ib + 2]! + t * points[ic + 2]!;
					for (let k = 0; k < 3; k++) at.normal[k] = u * facing[ia + k]! + w * facing[ib + k]! + t * facing[ic + k]!;
					at.cavity = u * cavity[a]! + w * cavity[b]! + t * cavity[c]!;
					at.lit = u * lit[a]! + w * lit[b]! + t * lit[c]!;
					paint(painted, at, light, o);
				}
		};
		for (let i = 0; i < rows - 1; i++) {
			const [here, below] = [i * columns, (i + 1) * columns];
			for (let j = 0; j < columns; j++) {
				const next = (j + 1) % columns;
				triangle(here + j, below + j, here + next);
				triangle(here + next, below + j, below + next);
			}
			if (!ear && i % 64 === 0) onshare(0.4 + (0.5 * i) / rows);
		}
	}
	const data = developed(light, camera);
	onshare(1);
	return { widthPx: camera.widthPx, heightPx: camera.heightPx, data };
}
