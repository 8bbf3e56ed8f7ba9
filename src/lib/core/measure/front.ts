import type { FrontPoint, Pixel, Points } from './landmarks';
import { axesAlong, centre, DEGREES, dot, length, minus } from './vector';

interface Frame {
	/** Along the eyes, to the client’s left. */
	readonly u: Pixel;
	/** Down the face. */
	readonly v: Pixel;
}
interface MeasureRow {
	readonly label: string;
	readonly unit: 'mm' | 'degrees' | 'percent' | 'ratio';
	/** Points that it needs. */
	readonly points: readonly FrontPoint[];
	/** From these points in this order, px or as it is. */
	readonly of: (points: readonly Pixel[], frame: Frame) => number;
}
const across = ([a, b]: readonly Pixel[], { u }: Frame): number => dot(minus(a!, b!), u);
const down = ([a, b]: readonly Pixel[], { v }: Frame): number => dot(minus(a!, b!), v);
const apart = ([a, b]: readonly Pixel[]): number => length(minus(a!, b!));
/** Greater: the corner lies higher. */
const above = ([corner, ...pupils]: readonly Pixel[], { v }: Frame): number => -dot(minus(corner!, centre(pupils)), v);
const mm = (label: string, points: readonly FrontPoint[], of: MeasureRow['of']): MeasureRow => ({
	label,
	unit: 'mm',
	points,
	of
});

/** What is measured on a front photograph. To add a measure is one row. */
export const FRONT_MEASURES = {
	eyeOpeningL: mm('Eye opening, left', ['piL', 'psL'], down),
	eyeOpeningR: mm('Eye opening, right', ['piR', 'psR'], down),
	browHeightL: mm('Brow height, left', ['pL', 'brL'], down),
	browHeightR: mm('Brow height, right', ['pR', 'brR'], down),
	mouthCornerHeightL: mm('Height of the mouth corner, left', ['chL', 'pL', 'pR'], above),
	mouthCornerHeightR: mm('Height of the mouth corner, right', ['chR', 'pL', 'pR'], above),
	faceWidth: mm('Width of the face', ['zyL', 'zyR'], across),
	jawWidth: mm('Width of the jaw', ['goL', 'goR'], across),
	mouthWidth: mm('Width of the mouth', ['chL', 'chR'], apart),
	noseWidth: mm('Width of the nose', ['alL', 'alR'], apart),
	lowerFaceHeight: mm('Height of the lower face', ['me', 'sn'], down),
	mouthTiltDegrees: {
		label: 'Tilt of the mouth',
		unit: 'degrees',
		points: ['chL', 'chR'],
		of: (p, frame) => Math.atan2(-down(p, frame), across(p, frame)) * DEGREES
	},
	jawToFace: {
		label: 'Jaw against face',
		unit: 'ratio',
		points: ['goL', 'goR', 'zyL', 'zyR'],
		of: (p, frame) => across(p.slice(0, 2), frame) / across(p.slice(2), frame)
	},
	mouthToFace: {
		label: 'Mouth against face',
		unit: 'ratio',
		points: ['chL', 'chR', 'zyL', 'zyR'],
		of: (p, frame) => apart(p.slice(0, 2)) / across(p.slice(2), frame)
	},
	widthAsymmetry: {
		label: 'Left against right at the jaw',
		unit: 'percent',
		points: ['goL', 'goR', 'enL', 'enR', 'exL', 'exR'],
		of: ([left, right, ...eyes], { u }) => {
			const middle = centre(eyes);
			const [l, r] = [dot(minus(left!, middle), u), -dot(minus(right!, middle), u)];
			return (100 * (l - r)) / (l + r);
		}
	}
} as const satisfies Record<string, MeasureRow>;
export type FrontMeasureId = keyof typeof FRONT_MEASURES;
export const FRONT_MEASURE_IDS = Object.keys(FRONT_MEASURES) as FrontMeasureId[];
export type Measures<K extends string> = Partial<Record<K, number>>;

/** Along and down the eyes, from their four corners; null where one is missing. */
export function eyeFrame(points: Points<FrontPoint>): Frame | null {
	const { exL, exR, enL, enR } = points;
	if (!exL || !exR || !enL || !enR) return null;
	const [outer, inner] = [minus(exL, exR), minus(enL, enR)];
	return axesAlong([outer[0] + inner[0], outer[1] + inner[1]]);
}

/**
 * All that can be measured on a front photograph.
 * @param mmPerPx null: without a scale only angles, shares and ratios
 * @returns mm, degrees, percent and ratios; a measure that lacks a point is absent
 */
export function frontMeasures(points: Points<FrontPoint>, mmPerPx: number | null): Measures<FrontMeasureId> {
	const frame = eyeFrame(points);
	const made: Measures<FrontMeasureId> = {};
	if (!frame) return made;
	for (const id of FRONT_MEASURE_IDS) {
		const { unit, points: needed, of }: MeasureRow = FRONT_MEASURES[id];
		const placed = needed.map((point) => points[point]);
		const factor = unit === 'mm' ? mmPerPx : 1;
		if (factor === null || !placed.every((p): p is Pixel => p !== undefined)) continue;
		const value = factor * of(placed, frame);
		if (Number.isFinite(value)) made[id] = value;
	}
	return made;
}
