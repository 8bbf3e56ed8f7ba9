import { mean, sampleStandardDeviation } from 'simple-statistics';
import { tQuantile } from './distributions';

/**
 * A mean with its 95 % interval by t.
 * @param values two at least, in one unit
 * @throws {Error} for fewer than two
 */
export function meanInterval(values: readonly number[]): {
	readonly middle: number;
	readonly low: number;
	readonly high: number;
} {
	const middle = mean([...values]);
	const n = values.length;
	const half = (tQuantile(0.975, n - 1) * sampleStandardDeviation([...values])) / Math.sqrt(n);
	return { middle, low: middle - half, high: middle + half };
}
