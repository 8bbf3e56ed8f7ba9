/** ms after which a page that nobody has touched is taken to be there for good. */
const LONG_THERE_MS = 3000;
const TOUCHES = ['pointerdown', 'pointermove', 'keydown', 'focusin'] as const;

/**
 * Does something once, when somebody first touches the page or it has long been there: what a page opens without is not
 * fetched before. Returns what calls it off.
 */
export function onceTouched(work: () => void): () => void {
	const end = () => {
		clearTimeout(timer);
		for (const touch of TOUCHES) removeEventListener(touch, begin, { capture: true });
	};
	const begin = () => {
		end();
		work();
	};
	const timer = setTimeout(begin, LONG_THERE_MS);
	for (const touch of TOUCHES) addEventListener(touch, begin, { capture: true, passive: true });
	return end;
}
