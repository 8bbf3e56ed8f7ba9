/**
 * Index of the first of a list from which on something holds (binary search); its length where it holds of none.
 * @param list in the order in which it comes to hold: once it does, it does of all that follow
 */
export function firstWhere<T>(list: readonly T[], holds: (one: T) => boolean): number {
	let [low, high] = [0, list.length];
	while (low < high) {
		const mid = (low + high) >> 1;
		if (holds(list[mid]!)) high = mid;
		else low = mid + 1;
	}
	return low;
}
