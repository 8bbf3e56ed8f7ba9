/** ms after which a value follows in a hidden tab, where no frame comes. */
const NO_FRAME_MS = 120;

/** Does something once the next frame is on the screen. Returns what calls it off. */
export function oncePainted(work: () => void): () => void {
	let timer = setTimeout(work, NO_FRAME_MS);
	const frame = requestAnimationFrame(() => {
		clearTimeout(timer);
		timer = setTimeout(work);
	});
	return () => {
		cancelAnimationFrame(frame);
		clearTimeout(timer);
	};
}

/**
 * A value that follows another one a frame later: what is drawn from it waits until what was edited is on the screen.
 * Must be called while a component is set up.
 * @param value read at once for the first time
 */
export function afterPaint<T>(value: () => T): { readonly current: T } {
	let shown = $state.raw(value());
	$effect(() => {
		const next = value();
		if (next === shown) return;
		return oncePainted(() => (shown = next));
	});
	return {
		get current() {
			return shown;
		}
	};
}
