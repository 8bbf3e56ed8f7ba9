import { JAW_POINTS, type FrontPoint, type JawPoint, type Pixel } from '../../core/measure/landmarks';
import { AXIS_Z, type Point3, type StudyHead } from './head';
import type { Projector } from './projection';

const RADIANS = Math.PI / 180;
/** Points of the head without its neck, close enough that its outline from in front lies among them. */
export function outlineSamples(head: StudyHead): Point3[] {
	const made: Point3[] = [];
	// The same directions on both sides: else the lowest point of a symmetric chin lies beside its middle.
	const right: number[] = [];
	for (let t = 0; t <= 110; t += t < 20 ? 2 : 2.25) right.push(t);
	const directions = [...right.slice(1).map((t) => -t), ...right];
	for (let y = -34; y <= 135; y += 1.5)
		for (const degrees of directions) {
			const angle = degrees * RADIANS;
			const r = head.reach(angle, y, 'head');
			if (r > 0.2) made.push([r * Math.sin(angle), y, AXIS_Z + r * Math.cos(angle)]);
		}
	return made;
}

/** The outline as distances from a middle, by direction in degrees: 0 to the viewer’s right, 90 down. */
const [FROM, TO, BINS] = [-50, 230, 251];
const STEP = (TO - FROM) / (BINS - 1);
function distances(samples: readonly Point3[], project: Projector, [mx, my]: Pixel): (degrees: number) => Pixel {
	const raw = new Float64Array(BINS);
	for (const p of samples) {
		const [x, y] = project(...p);
		const degrees = Math.atan2(y - my, x - mx) / RADIANS;
		const bin = Math.round(((degrees < -90 ? degrees + 360 : degrees) - FROM) / STEP);
		const r = Math.hypot(x - mx, y - my);
		for (let i = Math.max(0, bin - 1); i <= Math.min(BINS - 1, bin + 1); i++) raw[i] = Math.max(raw[i]!, r);
	}
	const smooth = raw.map((_, i) => {
		let [sum, weight] = [0, 0];
		for (let d = -3; d <= 3; d++) {
			const k = Math.exp((-d * d) / 4);
			sum += raw[Math.min(BINS - 1, Math.max(0, i + d))]! * k;
			weight += k;
		}
		return sum / weight;
	});
	return (degrees) => {
		const u = Math.max(0, Math.min(BINS - 1.001, (degrees - FROM) / STEP));
		const i = Math.trunc(u);
		const r = smooth[i]! + (smooth[i + 1]! - smooth[i]!) * (u - i);
		return [mx + r * Math.cos(degrees * RADIANS), my + r * Math.sin(degrees * RADIANS)];
	};
}

/** The middle of the points at which something is greatest, softly: so that it does not jump from one sample to the next. */
export function softPeak(points: readonly Pixel[], of: (p: Pixel) => number, width: number): Pixel {
	const values = points.map(of);
	const most = Math.max(...values);
	let [sum, x, y] = [0, 0, 0];
	for (const [i, p] of points.entries()) {
		const w = Math.exp((values[i]! - most) / width);
		sum += w;
		x += w * p[0];
		y += w * p[1];
	}
	return [x / sum, y / sum];
}
/** How far points lie to one side of a line, px. */
export const besideLine = (a: Pixel, b: Pixel) => {
	const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
	return (p: Pixel) => ((p[0] - a[0]) * dy - (p[1] - a[1]) * dx) / Math.hypot(dx, dy);
};

/** The points of the jaw’s contour lie in these directions below the horizontal, degrees, from the ear to the chin. */
const jawDegrees = (step: number): number => 6 + 8 * (step - 1);

/** Zygion, gonion and menton: they lie where the outline is widest, lowest, or farthest from a chord; and the jaw’s contour. */
export function frontOutline(
	samples: readonly Point3[],
	project: Projector,
	exL: Pixel,
	exR: Pixel
): Record<Extract<FrontPoint, 'me' | 'zyL' | 'zyR' | 'goL' | 'goR'> | JawPoint, Pixel> {
	const [mx, my, , pxPerMm] = project(0, 45, 60);
	const at = distances(samples, project, [mx, my]);
	const roll = Math.atan2(exL[1] - exR[1], exL[0] - exR[0]) / RADIANS;
	const [ux, uy] = [Math.cos(roll * RADIANS), Math.sin(roll * RADIANS)];
	const width = 0.35 * pxPerMm;
	const between = (from: number, to: number) =>
		Array.from({ length: Math.round((to - from) * 2) + 1 }, (_, i) => at(from + i / 2 + roll));
	const along = ([x, y]: Pixel) => x * ux + y * uy;
	const zyL = softPeak(between(-46, 30), along, width);
	const zyR = softPeak(between(150, 226), (p) => -along(p), width);
	const me = softPeak(between(70, 110), ([x, y]) => y * ux - x * uy, width);
	const corner = (zy: Pixel, from: number, to: number) =>
		softPeak(between(from, to), (p) => Math.abs(besideLine(zy, me)(p)), width);
	const jaw = JAW_POINTS.map((id): [JawPoint, Pixel] => {
		const degrees = jawDegrees(Number(/\d+/.exec(id)![0]));
		return [id, at((id.endsWith('L') ? degrees : 180 - degrees) + roll)];
	});
	const contour = Object.fromEntries(jaw) as Record<JawPoint, Pixel>;
	return { ...contour, zyL, zyR, me, goL: corner(zyL, 2, 78), goR: corner(zyR, 102, 178) };
}
