/** Within so many ms a second press is the bounce of the first one, or an impatient hand. Working value. */
const TWICE_MS = 1000;

/**
 * What answers for many things at once, or throws work away, happens once for two presses in a row.
 * @param clock ms of a clock that only runs on
 */
export function notTwice(act: () => unknown, clock: () => number = () => performance.now()): () => void {
	let last = -Infinity;
	return () => {
		const now = clock();
		if (now - last < TWICE_MS) return;
		last = now;
		act();
	};
}
