import { curve, hill, ramp, softMax, softMin } from './curve';
import { sided, type StudyFace } from './face.schema';

// The head as a solid: below 0 inside it, above outside, about mm from its surface. x to the viewer’s right, y down, z to
// the camera; the origin lies between the pupils.

const column = { from: -120, to: 130, step: 0.5 };
/** Half width, depth, and how square the face is at a height. */
const WIDTH = curve(
	[
		[-60, 60],
		[-40, 65.5],
		[-15, 68.5],
		[5, 69.6],
		[14, 69.8],
		[26, 68],
		[40, 63.6],
		[55, 57.6],
		[70, 52.6],
		[85, 48],
		[100, 45],
		[120, 44]
	],
	{ ...column, smooth: 5 }
);
const DEPTH = curve(
	[
		[-90, 80],
		[-75, 87.5],
		[-55, 92.8],
		[-35, 95.2],
		[-24, 96.4],
		[-12, 93],
		[0, 90],
		[14, 89],
		[30, 91],
		[45, 94.5],
		[60, 95.2],
		[72, 93.6],
		[82, 91.6],
		[92, 92.6],
		[100, 93],
		[112, 90]
	],
	{ ...column, smooth: 4 }
);
const SQUARENESS = curve(
	[
		[-60, 2.25],
		[0, 2.42],
		[25, 2.3],
		[45, 2.12],
		[66, 1.95],
		[85, 1.86],
		[110, 1.82]
	],
	{ ...column, smooth: 6 }
);

/** A place that can be fuller: how much, where, and one over how wide. */
type Bump = readonly [mm: number, x: number, y: number, z: number, perX: number, perY: number, perZ: number];

function bumpsOf(face: StudyFace): readonly Bump[] {
	const bump = (mm: number, x: number, y: number, z: number, wx: number, wy: number, wz: number): Bump => [
		mm,
		x,
		y,
		z,
		1 / wx,
		1 / wy,
		1 / wz
	];
	const sides = (
		[
			['L', 1],
			['R', -1]
		] as const
	).flatMap(([side, sign]) => [
		bump(1.6 + sided(face, 'malar', side), sign * 45, 21, 70, 17, 13, 30),
		bump(-2.6 + sided(face, 'buccal', side), sign * 48, 50, 50, 16, 15, 30),
		bump(sided(face, 'jowl', side), sign * 37, 92, 52, 14, 12, 24),
		bump(sided(face, 'masseter', side), sign * 55, 60, 20, 20, 17, 24),
		bump(-2.2, sign * 66, -34, 52, 14, 22, 22),
		bump(1.2, sign * 64, 12, 36, 16, 9, 22)
	]);
	return [...sides, bump(1.8 + face.chin, 0, 98, 94, 15, 11, 20)].filter(([mm]) => Math.abs(mm) > 1e-6);
}

export type Solid = (x: number, y: number, z: number) => number;

/** Skull, face and the underside of the jaw. */
export function headOf(face: StudyFace): Solid {
	const bumps = bumpsOf(face);
	const { faceWidth, jawWidth, submental } = face;
	return (x, y, z) => {
		const [u, v, w] = [x / 72.8, (y + 38) / 75.5, (z + 5) / 98];
		const k0 = Math.sqrt(u * u + v * v + w * w);
		const k1 = Math.sqrt((u / 72.8) ** 2 + (v / 75.5) ** 2 + (w / 98) ** 2);
		const skull = k1 > 0 ? (k0 * (k0 - 1)) / k1 : -75;

		const power = SQUARENESS(y);
		const half = WIDTH(y) * faceWidth * (y > 20 ? 1 + (jawWidth - 1) * ramp(20, 60, y) : 1);
		const depth = z > 0 ? DEPTH(y) : 30;
		const round = ((Math.abs(x) / half) ** power + (Math.abs(z) / depth) ** power) ** (1 / power);
		let front = round > 1e-6 ? Math.sqrt(x * x + z * z) * (1 - 1 / round) : -50;
		for (let i = 0; i < bumps.length; i++) {
			const b = bumps[i]!;
			const [dx, dy, dz] = [(x - b[1]) * b[4], (y - b[2]) * b[5], (z - b[3]) * b[6]];
			const e = dx * dx + dy * dy + dz * dz;
			if (e < 9) front -= b[0] * Math.exp(-e);
		}
		front = softMax(front, -76 - y, 30);

		// The border of the jaw rises backwards; between its sides hangs a hammock of skin.
		const back = Math.max(0, 90 - z);
		const border = 111 - back * 0.4 - Math.max(0, 28 - z) * 0.25;
		const hammock = back * (0.47 + 0.02 * submental) + submental * Math.exp(-(((z - 60) / 26) ** 2));
		const under = border + hammock * Math.exp(-((x / (10 + 0.36 * back)) ** 2));
		return softMin(skull, softMax(front, (y - under) * 0.86, 13), 20);
	};
}

const NECK_WIDE = 47.5;
const NECK_DEEP = 49;
/** Neck, the muscle at its side, shoulders and chest. */
export const neck: Solid = (x, y, z) => {
	const ax = Math.abs(x);
	const t = (y - 90) / 100;
	const middle = -25 - 7 * t;
	const wide = NECK_WIDE + (t > 0 ? 5 * t * t : 0);
	const round = Math.sqrt((x / wide) ** 2 + ((z - middle) / NECK_DEEP) ** 2);
	let d = round > 1e-6 ? Math.sqrt(x * x + (z - middle) ** 2) * (1 - 1 / round) : -50;
	d = softMax(d, 8 - y, 34);
	const down = Math.min(1, Math.max(0, (y - 45) / 150));
	const muscle =
		Math.hypot(Math.sqrt(x * x + 60) - (44 - 32 * down) - 3 * down, z + 20 - 40 * down) - (8.5 - 1.5 * down);
	if (y < 216) d = softMin(d, muscle * 0.8 + 3.6 + 22 * ramp(172, 214, y), 15);
	if (z > 0) d -= 1.5 * Math.exp(-((x / 9) ** 2) - ((y - 146) / 13) ** 2);
	const out = Math.max(0, Math.min(1, (ax - 20) / 150));
	const shoulder = 172 + 52 * out * (0.35 + 0.65 * out);
	const cap = Math.hypot(ax - (20 + 150 * out), y - shoulder - 22, (z + 36) * 0.9) - (36 + 6 * out);
	d = softMin(d, cap, 40);
	d = softMin(d, (Math.hypot(x / 160, (y - 290) / 95, (z + 24) / 66) - 1) * 66, 30);
	if (z > -10) {
		const collarbone = Math.exp(-(((y - (204 - 10 * ramp(10, 110, ax))) / 5.5) ** 2));
		d -= 0.8 * collarbone * ramp(4, 16, ax) * ramp(130, 60, ax);
		d += 1.3 * hill(x, y, 0, 198, 12, 12) + 0.8 * hill(ax, y, 58, 178, 30, 10);
	}
	return d;
};

/** All of it in one. */
export function bodyOf(head: Solid): Solid {
	return (x, y, z) => {
		if (y < -30) return head(x, y, z);
		const joint = z < 0 ? 24 : z > 30 ? 13 : 13 + (11 * (30 - z)) / 30;
		return softMin(head(x, y, z), neck(x, y, z), joint);
	};
}
