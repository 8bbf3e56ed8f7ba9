/** Mean of some values. @throws {RangeError} for none */
export function mean(values: readonly number[]): number {
	if (!values.length) throw new RangeError('no values');
	return values.reduce((a, b) => a + b, 0) / values.length;
}

/** Middle value, or the mean of the two in the middle. @throws {RangeError} for none */
export function median(values: readonly number[]): number {
	if (!values.length) throw new RangeError('no values');
	const sorted = values.toSorted((a, b) => a - b);
	const mid = Math.floor(sorted.length / 2);
	return sorted.length % 2 ? sorted[mid]! : (sorted[mid - 1]! + sorted[mid]!) / 2;
}

/** Sum of squared distances from the mean; 0 for fewer than two values. */
export function squaresAboutMean(values: readonly number[]): number {
	if (values.length < 2) return 0;
	const m = mean(values);
	return values.reduce((sum, v) => sum + (v - m) ** 2, 0);
}

/** Standard deviation of a sample (n − 1); 0 for fewer than two values. */
export const sampleSd = (values: readonly number[]): number =>
	values.length < 2 ? 0 : Math.sqrt(squaresAboutMean(values) / (values.length - 1));
