import { FRONT_MEASURES, FRONT_MEASURE_IDS, frontMeasures, type FrontMeasureId } from './front';
import { jawChange, type JawSector } from './jaw';
import { placementSdPx, type AnyPoint, type Points } from './landmarks';
import { similarityOnto, STABLE_POINTS, type Similarity } from './similarity';

const JAW_MEASURES = {
	jawAreaL: { label: 'Jaw contour, left', unit: 'mm2' },
	jawAreaR: { label: 'Jaw contour, right', unit: 'mm2' },
	jawAreaAsymmetry: { label: 'Jaw contour, left less right', unit: 'mm2' }
} as const;
/** What is said of a pair of front photographs: what each of them measures, and what lies between their contours. */
export type PairMeasureId = FrontMeasureId | keyof typeof JAW_MEASURES;
export const PAIR_MEASURE_IDS: readonly [PairMeasureId, ...PairMeasureId[]] = [
	...(FRONT_MEASURE_IDS as [FrontMeasureId, ...FrontMeasureId[]]),
	...(Object.keys(JAW_MEASURES) as (keyof typeof JAW_MEASURES)[])
];
export type PairUnit = 'mm' | 'degrees' | 'percent' | 'ratio' | 'mm2';
/** Its name and unit: plain data that may cross to another thread. */
export function pairMeasure(id: PairMeasureId): { readonly label: string; readonly unit: PairUnit } {
	const { label, unit } =
		id in FRONT_MEASURES ? FRONT_MEASURES[id as FrontMeasureId] : JAW_MEASURES[id as keyof typeof JAW_MEASURES];
	return { label, unit };
}

/** Stable points that both photographs have, each weighed by how exactly it is placed. */
function stablePairs(before: Points, after: Points, pxPerMm: number) {
	const ids = STABLE_POINTS.filter((id) => before[id] && after[id]);
	const weights = ids.map((id) => {
		const [x, y] = placementSdPx(id, pxPerMm);
		return 1 / (x * x + y * y);
	});
	return { ids, onto: ids.map((id) => before[id]!), from: ids.map((id) => after[id]!), weights };
}

/** Fewer stable points do not tell how a photograph lies. */
const FEWEST_STABLE = 4;
/**
 * The similarity that lays the second photograph onto the first, by points that no treatment moves.
 * @returns null where fewer than four of them are placed in both
 */
export function alignment(before: Points, after: Points, pxPerMm: number): Similarity | null {
	const { ids, onto, from, weights } = stablePairs(before, after, pxPerMm);
	return ids.length < FEWEST_STABLE ? null : similarityOnto(onto, from, weights);
}

/** A stable point that does not fit the others. */
export interface Misfit {
	readonly point: AnyPoint;
	/** How far it lies from where the others expect it, in px of the first photograph and in its own spreads. */
	readonly offPx: number;
	readonly spreads: number;
}
/** Beyond so many spreads a point is asked about. Working value. */
const MISFIT_SPREADS = 2.8;
/** The stable point that lies farthest from where the others expect it, each held against an alignment without it; null where all fit. */
export function misfit(before: Points, after: Points, pxPerMm: number): Misfit | null {
	const { ids, onto, from, weights } = stablePairs(before, after, pxPerMm);
	if (ids.length <= FEWEST_STABLE) return null;
	const without = <T>(list: readonly T[], i: number) => list.filter((_, j) => j !== i);
	const each = ids.map((point, i): Misfit => {
		const others = similarityOnto(without(onto, i), without(from, i), without(weights, i));
		const [x, y] = others.apply(from[i]!);
		const [dx, dy] = [x - onto[i]![0], y - onto[i]![1]];
		const [sx, sy] = placementSdPx(point, pxPerMm);
		// It was placed twice, and the others, taken together, about as exactly as it.
		const spreads = Math.hypot(dx / sx, dy / sy) / 2;
		return { point, offPx: Math.hypot(dx, dy), spreads };
	});
	const worst = each.reduce((a, b) => (b.spreads > a.spreads ? b : a));
	return worst.spreads > MISFIT_SPREADS ? worst : null;
}

export interface PairValues {
	readonly before: Partial<Record<PairMeasureId, number>>;
	readonly after: Partial<Record<PairMeasureId, number>>;
	/** after − before, or what lies between the contours. */
	readonly change: Partial<Record<PairMeasureId, number>>;
}
/**
 * All that can be measured on a pair. The second photograph takes its scale from the alignment: a scale of its own would
 * add the error of that scale to every length.
 * @param mmPerPx of the first photograph; null: angles, shares and ratios only
 * @param sector how the area beside a contour is found
 */
export function pairValues(
	before: Points,
	after: Points,
	mmPerPx: number | null,
	pxPerMm: number,
	sector?: JawSector
): PairValues | null {
	const aligned = alignment(before, after, pxPerMm);
	if (!aligned) return null;
	const afterMmPerPx = mmPerPx === null ? null : mmPerPx * aligned.scale;
	const [a, b] = [frontMeasures(before, mmPerPx), frontMeasures(after, afterMmPerPx)];
	const change: Partial<Record<PairMeasureId, number>> = {};
	for (const id of FRONT_MEASURE_IDS) if (a[id] !== undefined && b[id] !== undefined) change[id] = b[id] - a[id];
	const jaw = mmPerPx === null ? {} : jawChange(before, after, mmPerPx, mmPerPx * aligned.scale, sector);
	return { before: a, after: b, change: { ...change, ...jaw } };
}
