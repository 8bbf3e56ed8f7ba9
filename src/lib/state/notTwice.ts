import { isMeant } from '../core/perform/meant';
import { DEFAULT_WORKING } from '../core/working/defaultWorking';

/**
 * What answers for many things at once, or throws work away, happens once for two presses in a row.
 * @param clock ms of a clock that only runs on
 */
export function notTwice(act: () => unknown, clock: () => number = () => performance.now()): () => void {
	let last = -Infinity;
	return () => {
		const now = clock();
		if (!isMeant(now - last, true, DEFAULT_WORKING)) return;
		last = now;
		act();
	};
}
