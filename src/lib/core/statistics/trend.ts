import { mean, median } from 'simple-statistics';
import { normalQuantile, normalTwoSided } from './distributions';

/** A trend that one wild value does not bend, with its interval. */
export interface Trend {
	/** Per unit of x; 0 where no two x differ. */
	readonly slope: number;
	/** Interval of the slope; infinite where there are too few values. */
	readonly low: number;
	readonly high: number;
	/** Chance of so much order, either way, where there is none. */
	readonly p: number;
	/** Kendall's S and its variance. */
	readonly s: number;
	readonly variance: number;
	readonly n: number;
}
export type Point = readonly [x: number, y: number];
interface Options {
	/** Pairs are only made within a bin: the hour of the day, say. One for each point; absent: all are alike. */
	readonly bins?: readonly (string | number)[];
	/** By how much the variance is larger, since neighbours are alike: ≥ 1. */
	readonly inflate?: number;
	/** Of the interval, 0..1. */
	readonly confidence?: number;
}

/** How many values there are of each that stands more than once. */
function ties(values: readonly number[]): number[] {
	const counts = new Map<number, number>();
	for (const v of values) counts.set(v, (counts.get(v) ?? 0) + 1);
	return [...counts.values()].filter((n) => n > 1);
}

/** Kendall's S of some points, and its variance with ties in x and y. */
export function kendall(points: readonly Point[]): { readonly s: number; readonly variance: number } {
	const n = points.length;
	let s = 0;
	for (let i = 0; i < n; i++)
		for (let j = i + 1; j < n; j++)
			s += Math.sign(points[j]![0] - points[i]![0]) * Math.sign(points[j]![1] - points[i]![1]);
	const [tx, ty] = [0, 1].map((at) => ties(points.map((p) => p[at]!))) as [number[], number[]];
	const sum = (counts: number[], of: (k: number) => number) => counts.reduce((total, k) => total + of(k), 0);
	const spread = (k: number) => k * (k - 1) * (2 * k + 5);
	let variance = (spread(n) - sum(ty, spread) - sum(tx, spread)) / 18;
	const three = (k: number) => k * (k - 1) * (k - 2);
	const two = (k: number) => k * (k - 1);
	if (n > 2) variance += (sum(ty, three) * sum(tx, three)) / (9 * three(n));
	if (n > 1) variance += (sum(ty, two) * sum(tx, two)) / (2 * two(n));
	return { s, variance };
}

/**
 * The median of the slopes between all pairs (Theil–Sen), their interval by Sen's method, and Kendall's test; with bins,
 * pairs are made within a bin only and S and its variance are added (seasonal Kendall).
 * @source P. K. Sen, “Estimates of the regression coefficient based on Kendall's tau”, 1968; Hirsch, Slack and Smith,
 * “Techniques of trend analysis for monthly water quality data”, 1982
 * @example trendOf([[0, 1], [1, 2], [2, 3]]).slope // => 1
 */
export function trendOf(points: readonly Point[], { bins, inflate = 1, confidence = 0.95 }: Options = {}): Trend {
	const groups = new Map<string | number, Point[]>();
	for (const [i, point] of points.entries()) {
		const bin = bins?.[i] ?? 0;
		groups.set(bin, [...(groups.get(bin) ?? []), point]);
	}
	let [s, plain] = [0, 0];
	const slopes: number[] = [];
	for (const group of groups.values()) {
		const k = kendall(group);
		s += k.s;
		plain += k.variance;
		for (const [i, a] of group.entries())
			for (const b of group.slice(i + 1)) if (b[0] !== a[0]) slopes.push((b[1] - a[1]) / (b[0] - a[0]));
	}
	const variance = Math.max(0, plain * inflate);
	const z = s === 0 || variance === 0 ? 0 : (s - Math.sign(s)) / Math.sqrt(variance);
	slopes.sort((a, b) => a - b);
	const c = normalQuantile(0.5 + confidence / 2) * Math.sqrt(variance);
	const at = (i: number) => (i < 0 ? -Infinity : i > slopes.length - 1 ? Infinity : slopes[i]!);
	return {
		slope: slopes.length ? median(slopes) : 0,
		low: at(Math.floor((slopes.length - c) / 2) - 1),
		high: at(Math.ceil((slopes.length + c) / 2)),
		p: normalTwoSided(z),
		s,
		variance,
		n: points.length
	};
}

/** How alike neighbours are, −1..1; 0 where nothing varies. @param values in order of time */
export function lagOne(values: readonly number[]): number {
	if (!values.length) return 0;
	const m = mean([...values]);
	const squares = values.reduce((sum, v) => sum + (v - m) ** 2, 0);
	const beside = values.slice(1).reduce((sum, v, i) => sum + (v - m) * (values[i]! - m), 0);
	return squares ? beside / squares : 0;
}
