import { sampleStandardDeviation } from 'simple-statistics';

/** Standard deviation of a sample (n − 1); 0 for fewer than two values. */
export const sampleSd = (values: readonly number[]): number =>
	values.length < 2 ? 0 : sampleStandardDeviation([...values]);
