import { inverse, Matrix } from 'ml-matrix';
import type { FrontPoint, MeasuredView, Pixel, Points } from './landmarks';
import { axesAlong, centre, DEGREES, dot, length, minus } from './vector';

/** How much nearer to the camera than the eyes’ corners a point lies, as a share of the distance between the outer ones. Working values. */
export const DEPTHS = {
	enL: 0.062,
	enR: 0.062,
	exL: -0.062,
	exR: -0.062,
	se: 0.182,
	prn: 0.438,
	sn: 0.186,
	alL: 0.199,
	alR: 0.199
} as const satisfies Partial<Record<FrontPoint, number>>;
export type PosePoint = keyof typeof DEPTHS;
export const POSE_POINTS = Object.keys(DEPTHS) as PosePoint[];

/** How the head of a second photograph is turned against the first, degrees. */
export interface PoseDifference {
	/** > 0: the nose to the viewer’s right. */
	readonly yaw: number;
	/** > 0: the chin up. */
	readonly pitch: number;
	/** > 0: clockwise. It is turned back by the alignment, and refuses nothing. */
	readonly roll: number;
	readonly yawSe: number;
	readonly pitchSe: number;
	/** What the points do not agree on, weighted, root mean square. */
	readonly rms: number;
	/** Size of the second face against the first. */
	readonly scale: number;
}

/** The eyes turn in front of the neck, on which the head turns: by so many mm. Calibrated on simulated heads. Working values. */
const [YAW_ARM_MM, PITCH_ARM_MM] = [168, 187];
/** From the pivot to the eyes, and between the outer corners of the eyes, mm. */
const [PIVOT_MM, EYES_MM] = [95, 93];
export const USUAL_DISTANCE_MM = 900;

/** How many px a mm is, by the distance between the outer corners of the eyes; null where one is missing. */
export function pxPerMmByEyes({ exL, exR }: Points): number | null {
	return exL && exR ? length(minus(exL, exR)) / EYES_MM : null;
}

/** From the corner of the eye to the ear, in profile, mm. Working value. */
const EYE_TO_EAR_MM = 74;
/** About how many px a mm is on a photograph; 1 where nothing tells. */
export function pxPerMmOf(points: Points, view: MeasuredView): number {
	if (view === 'front') return pxPerMmByEyes(points) ?? 1;
	const { ex, t } = points;
	return ex && t ? length(minus(ex, t)) / EYE_TO_EAR_MM : 1;
}

type Given = Points<FrontPoint>;
const at = (points: Given, id: FrontPoint): Pixel => {
	const point = points[id];
	if (!point) throw new RangeError(`the point ${id} is missing`);
	return point;
};

/** Origin, axes and unit of the eyes: the outer corners count twice. */
function eyeFrame(points: Given) {
	const [enL, enR, exL, exR] = (['enL', 'enR', 'exL', 'exR'] as const).map((id) => at(points, id)) as [
		Pixel,
		Pixel,
		Pixel,
		Pixel
	];
	const [outer, inner] = [minus(exL, exR), minus(enL, enR)];
	const { u, v } = axesAlong([2 * outer[0] + inner[0], 2 * outer[1] + inner[1]]);
	const origin = centre([enL, enR, exL, exR]);
	const unit = length(outer);
	const map = (p: Pixel): Pixel => [dot(minus(p, origin), u) / unit, dot(minus(p, origin), v) / unit];
	return { u, v, unit, map };
}

/**
 * Pose of a second photograph against a first one: one weighted regression of where the points went, by how near they lie.
 * @param sdPx spread of a placement; absent: all alike
 * @param distanceMm from the camera to the face, > 95
 * @throws {RangeError} where one of the nine points is missing
 */
export function poseDifference(
	before: Given,
	after: Given,
	{ sdPx, distanceMm = USUAL_DISTANCE_MM }: { sdPx?: (id: PosePoint) => Pixel; distanceMm?: number } = {}
): PoseDifference {
	const distance = (distanceMm - PIVOT_MM) / EYES_MM;
	const [yawGain, pitchGain] = [1 + YAW_ARM_MM / distanceMm, 1 + PITCH_ARM_MM / distanceMm];
	const [a, b] = [eyeFrame(before), eyeFrame(after)];
	const rows: number[][] = [];
	const to: number[] = [];
	const weights: number[] = [];
	for (const id of POSE_POINTS) {
		const [p, q] = [a.map(at(before, id)), b.map(at(after, id))];
		const z = DEPTHS[id];
		const near = 1 / (1 - z / distance);
		const [x, y] = [p[0] / near, p[1] / near];
		const bend = (near * near) / distance;
		rows.push([p[0], -p[1], 1, 0, z * near - x * x * bend, x * y * bend]);
		rows.push([p[1], p[0], 0, 1, -x * y * bend, -z * near + y * y * bend]);
		to.push(q[0], q[1]);
		weights.push(...(sdPx?.(id) ?? [1, 1]).map((sd) => 1 / (sd * sd)));
	}
	const x = new Matrix(rows);
	const weighted = new Matrix(rows.map((r, i) => r.map((value) => value * weights[i]!)));
	const covariance = inverse(weighted.transpose().mmul(x));
	const beta = covariance.mmul(weighted.transpose()).mmul(Matrix.columnVector(to)).to1DArray();
	const fitted = x.mmul(Matrix.columnVector(beta)).to1DArray();
	const squares = to.reduce((sum, value, i) => sum + weights[i]! * (value - fitted[i]!) ** 2, 0);
	const spread = squares / (rows.length - beta.length);
	const scale = Math.hypot(beta[0]!, beta[1]!);
	const angle = (shear: number, gain: number) => Math.asin(Math.max(-1, Math.min(1, shear / scale / gain))) * DEGREES;
	return {
		yaw: angle(beta[4]!, yawGain),
		pitch: angle(beta[5]!, pitchGain),
		roll: Math.atan2(b.u[1] * a.u[0] - b.u[0] * a.u[1], dot(a.u, b.u)) * DEGREES,
		yawSe: (Math.sqrt(covariance.get(4, 4) * spread) * DEGREES) / yawGain,
		pitchSe: (Math.sqrt(covariance.get(5, 5) * spread) * DEGREES) / pitchGain,
		rms: Math.sqrt(squares / rows.length),
		scale: b.unit / a.unit
	};
}
