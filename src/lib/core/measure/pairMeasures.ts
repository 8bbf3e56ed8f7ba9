import { frontMeasures } from './front';
import { jawChange, type JawSector } from './jaw';
import { placementSdPx, type AnyPoint, type MeasuredView, type Points, type ProfilePoint } from './landmarks';
import { PAIR_MEASURES_OF, type PairMeasureId } from './pairIds';
import { profileMeasures } from './profile';
import { similarityOnto, STABLE_POINTS, type Similarity } from './similarity';
import { underChinArea } from './underChin';

/** Stable points that both photographs have, each weighed by how exactly it is placed. */
function stablePairs(before: Points, after: Points, pxPerMm: number, view: MeasuredView) {
	const ids = STABLE_POINTS[view].filter((id) => before[id] && after[id]);
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
export function alignment(before: Points, after: Points, pxPerMm: number, view: MeasuredView): Similarity | null {
	const { ids, onto, from, weights } = stablePairs(before, after, pxPerMm, view);
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
export function misfit(before: Points, after: Points, pxPerMm: number, view: MeasuredView): Misfit | null {
	const { ids, onto, from, weights } = stablePairs(before, after, pxPerMm, view);
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

type Figures = Partial<Record<PairMeasureId, number>>;
export interface PairValues {
	readonly before: Figures;
	readonly after: Figures;
	/** after − before, or what lies between the contours. */
	readonly change: Figures;
}
export interface PairScales {
	/** mm of a px of the first photograph; null: angles, shares and ratios only. */
	readonly mmPerPx: number | null;
	readonly pxPerMm: number;
}
/** What lies between two contours: nothing without a scale. */
function contourChange(before: Points, after: Points, mmPerPx: number, aligned: Similarity, sector?: JawSector) {
	return {
		front: () => jawChange(before, after, mmPerPx, mmPerPx * aligned.scale, sector),
		profile: (): Figures => {
			const laid = Object.entries(after).map(([id, p]) => [id, aligned.apply(p)]);
			const area = underChinArea(before, Object.fromEntries(laid) as Points, mmPerPx);
			return area === null ? {} : { underChinArea: area };
		}
	};
}
const single = {
	front: frontMeasures,
	profile: (points: Points, mmPerPx: number | null): Figures => profileMeasures(points as Points<ProfilePoint>, mmPerPx)
} as const satisfies Record<MeasuredView, (points: Points, mmPerPx: number | null) => Figures>;

/**
 * All that can be measured on a pair. The second photograph takes its scale from the alignment: a scale of its own would
 * add the error of that scale to every length.
 * @param sector how the area beside a contour is found
 * @returns null where the second cannot be laid onto the first
 */
export function pairValues(
	before: Points,
	after: Points,
	{ mmPerPx, pxPerMm }: PairScales,
	view: MeasuredView,
	sector?: JawSector
): PairValues | null {
	const aligned = alignment(before, after, pxPerMm, view);
	if (!aligned) return null;
	const afterMmPerPx = mmPerPx === null ? null : mmPerPx * aligned.scale;
	const [a, b]: Figures[] = [single[view](before, mmPerPx), single[view](after, afterMmPerPx)];
	const change: Figures = {};
	for (const id of PAIR_MEASURES_OF[view])
		if (a![id] !== undefined && b![id] !== undefined) change[id] = b![id] - a![id];
	const between = mmPerPx === null ? {} : contourChange(before, after, mmPerPx, aligned, sector)[view]();
	return { before: a!, after: b!, change: { ...change, ...between } };
}
