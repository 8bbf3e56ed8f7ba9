/** ms a page has for itself before anything is fetched that it is whole without. */
const SETTLING_MS = 3000;
/** ms after which it is done although the browser never rests. */
const RESTLESS_MS = 4000;

/** Does something well after the page is there, and at rest in browsers that say so. Returns what calls it off. */
export function onceAtRest(work: () => void): () => void {
	let idle = 0;
	const timer = setTimeout(() => {
		if (typeof requestIdleCallback !== 'function') return work();
		idle = requestIdleCallback(work, { timeout: RESTLESS_MS });
	}, SETTLING_MS);
	return () => {
		clearTimeout(timer);
		if (idle) cancelIdleCallback(idle);
	};
}
