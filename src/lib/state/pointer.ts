/** Keys and pointers that are down at the moment. */
const down = new Set<string>();
let waiting: (() => void)[] = [];

function released(name: string): void {
	down.delete(name);
	if (down.size) return;
	// After what follows a release: a click belongs to what was pressed.
	setTimeout(() => {
		for (const go of waiting) go();
		waiting = [];
	});
}
if (typeof window !== 'undefined') {
	const on = { capture: true, passive: true };
	addEventListener('pointerdown', () => down.add('pointer'), on);
	for (const end of ['pointerup', 'pointercancel'] as const) addEventListener(end, () => released('pointer'), on);
	addEventListener('keydown', (e) => down.add(e.code), on);
	addEventListener('keyup', (e) => released(e.code), on);
	addEventListener('blur', () => {
		down.clear();
		released('');
	});
}

/** A release that was never seen, as of a key that the system took, ends after so long. */
const LONGEST_MS = 1500;

/** Waits until nothing is pressed any more, so that nothing is exchanged under a finger. */
export const untilReleased = (): Promise<void> =>
	down.size
		? new Promise((go) => {
				waiting.push(go);
				setTimeout(go, LONGEST_MS);
			})
		: Promise.resolve();
