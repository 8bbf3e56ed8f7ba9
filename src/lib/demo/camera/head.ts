import { curve } from './curve';
import type { StudyFace } from './face.schema';
import { featuresOf, type Features } from './features';
import { reliefOf, type Relief } from './relief';
import { bodyOf, headOf, type Solid } from './solid';

export type Point3 = readonly [x: number, y: number, z: number];

/** The hairline: its height over how far back. */
const HAIRLINE = curve(
	[
		[-110, 70],
		[-80, 67],
		[-60, 62],
		[-40, 50],
		[-26, 34],
		[-14, 16],
		[0, 2],
		[9, 4],
		[17, 4],
		[22, -8],
		[29, -23],
		[38, -32],
		[50, -42],
		[62, -52],
		[72, -61],
		[80, -69],
		[88, -75],
		[96, -79]
	],
	{ from: -120, to: 110, step: 0.5, smooth: 3 }
);

/** A made-up head that can be measured. */
export interface StudyHead {
	readonly face: StudyFace;
	readonly features: Features;
	readonly relief: Relief;
	/**
	 * How far the surface lies from the axis of the head, in a direction (radians; 0 to the camera) at a height.
	 * @param guess of the distance, from beside it: 0 where none is known
	 */
	readonly reach: (angle: number, y: number, of?: 'head' | 'body', guess?: number) => number;
	/** The skin over a place of the front; z is NaN where there is none. */
	readonly skin: (x: number, y: number) => Point3;
	/** > 0: under the hair, about mm. */
	readonly hair: (x: number, y: number, z: number) => number;
}

/** The axis of the head lies so far behind the tragi, mm. */
export const AXIS_Z = -6;
const FARTHEST_MM = 260;
const DEEPEST_MM = 140;

/** Where a function that is below 0 at `a` and above 0 at `b` goes through it: false position, now and then halved. */
function root(f: (r: number) => number, a: number, b: number, fa: number, fb: number): number {
	for (let i = 0; i < 30; i++) {
		const m = i % 4 === 3 ? (a + b) / 2 : (a * fb - b * fa) / (fb - fa);
		const fm = f(m);
		if (Math.abs(fm) < 2e-4 || b - a < 5e-4) return m;
		if (fm > 0) [b, fb] = [m, fm];
		else [a, fa] = [m, fm];
	}
	return (a + b) / 2;
}

function reachOf(solid: Solid, angle: number, y: number, guess: number): number {
	const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
	const f = (r: number) => solid(r * sin, y, AXIS_Z + r * cos);
	if (f(0.05) >= 0) return 0;
	if (guess > 0) {
		const [near, far] = [Math.max(0.05, guess * 0.97 - 0.5), guess * 1.03 + 0.5];
		const [fa, fb] = [f(near), f(far)];
		if (fa < 0 && fb > 0) return root(f, near, far, fa, fb);
	}
	let [a, b, fb] = [0.05, FARTHEST_MM, 1];
	for (let i = 0; i < 9; i++) {
		const m = (a + b) / 2;
		const fm = f(m);
		if (fm > 0) [b, fb] = [m, fm];
		else a = m;
	}
	const fa = f(a);
	if (b === FARTHEST_MM) fb = f(b);
	return fb <= 0 ? b : root(f, a, b, fa, fb);
}

export function studyHead(face: StudyFace): StudyHead {
	const head = headOf(face);
	const body = bodyOf(head);
	const features = featuresOf(face);
	const relief = reliefOf(face, features);
	const solidZ = (x: number, y: number): number => {
		if (body(x, y, 0) >= 0) return Number.NaN;
		let [a, b] = [0, DEEPEST_MM];
		for (let i = 0; i < 44; i++) {
			const m = (a + b) / 2;
			if (body(x, y, m) > 0) b = m;
			else a = m;
		}
		return (a + b) / 2;
	};
	return {
		face,
		features,
		relief,
		reach: (angle, y, of = 'body', guess = 0) => reachOf(of === 'head' ? head : body, angle, y, guess),
		skin: (x, y) => [x, y, relief(x, y, solidZ(x, y))],
		hair: (_, y, z) => (HAIRLINE(z) - y) * 0.55
	};
}
