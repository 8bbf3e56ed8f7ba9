/** A trend that one wild value does not bend, with its interval. */
export interface Trend {
	/** Per unit of x. */
	readonly slope: number;
	/** 95 % interval of the slope; both infinite where there are too few values. */
	readonly low: number;
	readonly high: number;
	readonly n: number;
}

const Z95 = 1.959963984540054;

/** How many values there are of each that stands more than once. */
function ties(values: readonly number[]): number[] {
	const counts = new Map<number, number>();
	for (const v of values) counts.set(v, (counts.get(v) ?? 0) + 1);
	return [...counts.values()].filter((n) => n > 1);
}

/**
 * The median of the slopes between all pairs (Theil–Sen), and the interval by Sen's method: the slopes between which
 * Kendall's S is not significant, with its variance corrected for ties.
 * @param points x and y; pairs of the same x say nothing
 * @source P. K. Sen, “Estimates of the regression coefficient based on Kendall's tau”, 1968
 * @example theilSen([[0, 1], [1, 2], [2, 3]]).slope // => 1
 */
export function theilSen(points: readonly (readonly [x: number, y: number])[]): Trend {
	const n = points.length;
	const slopes: number[] = [];
	for (let i = 0; i < n; i++)
		for (let j = i + 1; j < n; j++) {
			const run = points[j]![0] - points[i]![0];
			if (run !== 0) slopes.push((points[j]![1] - points[i]![1]) / run);
		}
	if (!slopes.length) return { slope: 0, low: -Infinity, high: Infinity, n };
	slopes.sort((a, b) => a - b);
	const of = (m: number, tied: readonly number[]) =>
		m * (m - 1) * (2 * m + 5) - tied.reduce((sum, t) => sum + t * (t - 1) * (2 * t + 5), 0);
	const variance = of(n, ties(points.map((p) => p[1]))) / 18;
	const half = (Z95 * Math.sqrt(Math.max(0, variance))) / 2;
	const middle = slopes.length / 2;
	const [low, high] = [Math.floor(middle - half) - 1, Math.ceil(middle + half)];
	const mid = Math.floor(middle);
	return {
		slope: slopes.length % 2 ? slopes[mid]! : (slopes[mid - 1]! + slopes[mid]!) / 2,
		low: low < 0 ? -Infinity : slopes[low]!,
		high: high >= slopes.length ? Infinity : slopes[high]!,
		n
	};
}

/** Mean of some values. @throws {RangeError} for none */
export function mean(values: readonly number[]): number {
	if (!values.length) throw new RangeError('no values');
	return values.reduce((a, b) => a + b, 0) / values.length;
}

/** Standard deviation of a sample (n − 1); 0 for fewer than two values. */
export function sampleSd(values: readonly number[]): number {
	if (values.length < 2) return 0;
	const m = mean(values);
	return Math.sqrt(values.reduce((sum, v) => sum + (v - m) ** 2, 0) / (values.length - 1));
}
