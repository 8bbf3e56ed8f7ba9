import { bell, curve, hill, ramp, softMax } from './curve';
import { sided, type FaceSide, type StudyFace } from './face.schema';
import { alongEye, EYE, type Features } from './features';

const fine = { from: -30, to: 60 };
/** The ridge of the nose, and how steeply it falls to its sides. */
const RIDGE = curve(
	[
		[-22, 80],
		[-14, 88],
		[-8, 91.6],
		[-3, 93.1],
		[4, 96.6],
		[14, 102.6],
		[24, 109.2],
		[31, 113.6],
		[36, 115.8],
		[40, 114.4],
		[43, 109.5],
		[45.5, 102],
		[48, 94],
		[52, 80]
	],
	{ ...fine, step: 0.25, smooth: 1.3 }
);
const STEEPNESS = curve(
	[
		[-20, 0.9],
		[-6, 0.95],
		[6, 1.02],
		[18, 1.12],
		[30, 1.15],
		[40, 1.3],
		[48, 1.4]
	],
	{ ...fine, step: 0.5, smooth: 4 }
);

/** What lies on the front of the head: z of the skin over (x, y), from that of the solid beneath it. */
export type Relief = (x: number, y: number, z: number) => number;

export function reliefOf(face: StudyFace, features: Features): Relief {
	const eye = eyeRelief(face, features);
	const mouth = mouthRelief(features);
	return (x, y, solidZ) => {
		const ax = Math.abs(x);
		const side = x >= 0 ? 'L' : 'R';
		if (ax > 64 || y < -104 || y > 112) return solidZ;
		let z = solidZ;
		if (y < 6) {
			z += 1.5 * bell((y - features.brow(ax, side) - 1) / 7) * ramp(4, 14, ax) * ramp(60, 44, ax);
			z += 0.9 * hill(ax, y, 0, -24, 9, 9) + 1.5 * hill(ax, y, 22, -52, 20, 16);
		}
		z -=
			7.6 * hill(ax, y, 31, -2.6, 18.5, 12.5) +
			5 * hill(ax, y, 14.4, -2.5, 6.6, 11.5) +
			1.1 * hill(ax, y, 46, 2, 10, 10);
		if (y > -22 && y < 24 && ax > 8 && ax < 58) z = eye(ax, y, z, side);
		if (y > -26 && y < 56 && ax < 30) z = nose(ax, y, z, face.noseScale);
		if (y > 30 && y < 104 && ax < 60) z = mouth(ax, y, z, side);
		if (y > 30 && y < 84 && ax > 8 && ax < 52) z += smileFold(ax, y, sided(face, 'nasolabial', side));
		return z;
	};
}

/** Lids over the eyeball, the crease, the bag under the eye and its groove. */
function eyeRelief(face: StudyFace, { lidUpper, lidLower }: Features) {
	return (ax: number, y: number, below: number, side: FaceSide): number => {
		const [dx, dy] = [ax - EYE.x, y - 0.2];
		const ball = EYE.lid * EYE.lid - dx * dx * 0.88 - dy * dy * 1.02;
		let z = ball > 0 ? softMax(below, EYE.z + Math.sqrt(ball), 4.2) : below;
		const t = alongEye(ax);
		const within = ramp(-0.12, 0.12, t) * ramp(1.22, 0.9, t);
		const [upper, lower] = [lidUpper(ax, side), lidLower(ax, side)];
		const [full, bag] = [sided(face, 'upperLid', side), sided(face, 'bag', side)];
		const crease = upper - 2.2 - 4 * Math.sin(Math.PI * Math.min(1, Math.max(0, t * 0.9 + 0.07))) ** 0.8 + 0.5 * full;
		z -= bell((y - crease) / 1.25) * within;
		z += (1 + 0.9 * full) * bell((y - crease + 4.2) / 3.6) * within * (0.75 + 0.4 * t);
		z += 0.5 * bell(y - upper + 0.9) * within + 0.55 * bell((y - lower - 0.8) / 1.1) * within;
		z += 0.72 * bag * bell((y - lower - 5.4 - 0.2 * bag) / 4.1) * ramp(-0.15, 0.2, t) * ramp(1.12, 0.6, t);
		const groove = lower + 10.6 + 0.5 * bag - 10 * (t - 0.35) ** 2;
		return z - (0.5 + 0.3 * bag) * bell((y - groove) / 3) * ramp(-0.3, 0.1, t) * ramp(1, 0.35, t);
	};
}

function nose(ax: number, y: number, below: number, scale: number): number {
	const ridge = RIDGE(y);
	const height = 92 + (ridge - 92) * (ridge > 92 ? scale : 1);
	const blunt = y < 6 ? 5.2 - 0.05 * y : 4.9 + 0.03 * (y - 6);
	const tent = height - (Math.sqrt(ax * ax + blunt * blunt) - blunt) * STEEPNESS(y) * 1.12 - ax * ax * 0.012;
	let z = softMax(below, tent, 6.5);
	const tip = ax * ax * 1.05 + (y - 35) ** 2;
	z = softMax(z, 92 + 24.3 * scale - tip / 17 - (tip * tip) / 5200, 7);
	const wing = ((ax - 11) * 1.08) ** 2 + (y - 40) ** 2;
	z = softMax(z, 104 + (scale - 1) * 8 - wing / 13 - (wing * wing) / 1500, 4.5);
	z += 1.2 * hill(ax, y, 0, 45, 2.4, 3) - 4.6 * hill(ax, y, 6.4, 45.2, 3.3, 1.7);
	return z - 1.2 * bell((Math.hypot(ax - 10.6, y - 40.5) - 8.6) / 1.9) * ramp(11, 17, ax) * ramp(50, 45, y);
}

function mouthRelief({ mouth, lipUpper }: Features) {
	return (ax: number, y: number, below: number, side: FaceSide): number => {
		const line = mouth(ax, side);
		const [a, b] = [Math.max(0, 1 - (ax / 27) ** 2), Math.max(0, 1 - (ax / 24.5) ** 2)];
		let z = below + 2.6 * hill(ax, y, 0, 66, 24, 11.5);
		z += 3.5 * bell((y - line + 3) / 3.2) * a ** 0.8 * (1 + 0.25 * bell(ax / 4));
		z += 0.55 * bell(y - lipUpper(ax, side)) * a;
		z += 4.1 * bell((y - line - 4.3) / 4) * b ** 0.8 * (1 - 0.16 * bell(ax / 3));
		z -=
			2.5 * bell((y - line) / 0.95) * Math.max(0, 1 - (ax / 28.5) ** 4) + 1.7 * hill(ax, y, 27.4, line + 0.3, 4.2, 4);
		z -= Math.exp(-((ax / 2.5) ** 2) - ((y - 53) / 4.8) ** 2);
		z += 0.6 * Math.exp(-(((ax - 4.6) / 1.9) ** 2) - ((y - 53.8) / 5) ** 2);
		return z - 2.9 * hill(ax, y, 0, 81.5, 17, 4.4);
	};
}

/** A soft step from the nose wing to beside the corner of the mouth. */
function smileFold(ax: number, y: number, depth: number): number {
	const t = (y - 38) / 30;
	const beside = ax - (16.5 + 14.5 * Math.max(0, t) ** 0.85);
	const within = ramp(-0.1, 0.18, t) * ramp(1.25, 0.62, t);
	return depth * within * (0.9 * bell((beside - 8) / 6.5) - 0.85 * bell(beside / 3.4));
}
