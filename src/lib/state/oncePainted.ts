/** ms after which the work is done in a hidden tab, where no frame comes. */
const NO_FRAME_MS = 120;

/** Does something once the next frame is on the screen. Returns what calls it off. */
export function oncePainted(work: () => void): () => void {
	let timer = setTimeout(work, NO_FRAME_MS);
	const framed = typeof requestAnimationFrame === 'function';
	const frame = framed
		? requestAnimationFrame(() => {
				clearTimeout(timer);
				timer = setTimeout(work);
			})
		: 0;
	return () => {
		if (framed) cancelAnimationFrame(frame);
		clearTimeout(timer);
	};
}
