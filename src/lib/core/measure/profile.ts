import type { Pixel, Points, ProfilePoint } from './landmarks';
import type { Measures } from './front';
import { DEGREES, dot, length, minus } from './vector';

const cross = (a: Pixel, b: Pixel): number => a[0] * b[1] - a[1] * b[0];
/** Angle at the middle one of three points, degrees 0..180. */
const angleAt = ([a, b, c]: readonly Pixel[]): number => {
	const [u, v] = [minus(a!, b!), minus(c!, b!)];
	return Math.atan2(Math.abs(cross(u, v)), dot(u, v)) * DEGREES;
};
const apart = ([a, b]: readonly Pixel[]): number => length(minus(a!, b!));

interface ProfileRow {
	readonly label: string;
	readonly unit: 'mm' | 'degrees';
	readonly points: readonly ProfilePoint[];
	readonly of: (points: readonly Pixel[]) => number;
}
/** What is measured on a profile photograph. To add a measure is one row. */
export const PROFILE_MEASURES = {
	cervicalDepth: {
		label: 'Depth under the chin',
		unit: 'mm',
		points: ['pg', 'nk', 'c'],
		of: ([pg, nk, c]) => Math.abs(cross(minus(nk!, pg!), minus(c!, pg!))) / length(minus(nk!, pg!))
	},
	cervicomentalDegrees: { label: 'Angle under the chin', unit: 'degrees', points: ['me', 'c', 'nk'], of: angleAt },
	chinNeck: { label: 'Chin to neck', unit: 'mm', points: ['me', 'c'], of: apart },
	tragusChin: { label: 'Ear to chin', unit: 'mm', points: ['t', 'pg'], of: apart },
	jawEdgeDegrees: { label: 'Angle of the jaw', unit: 'degrees', points: ['t', 'go', 'me'], of: angleAt }
} as const satisfies Record<string, ProfileRow>;
export type ProfileMeasureId = keyof typeof PROFILE_MEASURES;
export const PROFILE_MEASURE_IDS = Object.keys(PROFILE_MEASURES) as ProfileMeasureId[];

/** All that can be measured on a profile photograph. @param mmPerPx null: without a scale only angles */
export function profileMeasures(points: Points<ProfilePoint>, mmPerPx: number | null): Measures<ProfileMeasureId> {
	const made: Measures<ProfileMeasureId> = {};
	for (const id of PROFILE_MEASURE_IDS) {
		const { unit, points: needed, of }: ProfileRow = PROFILE_MEASURES[id];
		const placed = needed.map((point) => points[point]);
		const factor = unit === 'mm' ? mmPerPx : 1;
		if (factor === null || !placed.every((p): p is Pixel => p !== undefined)) continue;
		const value = factor * of(placed);
		if (Number.isFinite(value)) made[id] = value;
	}
	return made;
}
