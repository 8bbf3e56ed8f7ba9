import { sampleCorrelation } from 'simple-statistics';

/** Rank of each value among all, from 1; equal ones share the middle of theirs. */
export function ranksOf(values: ArrayLike<number>): Float64Array {
	const order = Float64Array.from({ length: values.length }, (_, i) => i).sort((a, b) => values[a]! - values[b]!);
	const ranks = new Float64Array(values.length);
	for (let from = 0; from < order.length;) {
		let to = from + 1;
		while (to < order.length && values[order[to]!] === values[order[from]!]) to++;
		for (let k = from; k < to; k++) ranks[order[k]!] = (from + to + 1) / 2;
		from = to;
	}
	return ranks;
}

/** Rank correlation of two lists by their ranks, -1..1. */
export const rankCorrelation = (a: Float64Array, b: Float64Array): number =>
	sampleCorrelation(a as unknown as number[], b as unknown as number[]);
