import type { Attachment } from 'svelte/attachments';

/**
 * Type as large as there is room for: nothing is cut off, whatever the words. Looks again when words or room change.
 * @param max px; @param min px, below which it is not read
 */
export const shrink =
	(max: number, min: number): Attachment<HTMLElement> =>
	(node) => {
		let room = '';
		const fit = () => {
			let px = max;
			node.style.fontSize = `${px}px`;
			while (px > min && (node.scrollHeight > node.clientHeight + 1 || node.scrollWidth > node.clientWidth + 1))
				node.style.fontSize = `${(px -= px > 30 ? 2 : 1)}px`;
		};
		const words = new MutationObserver(fit);
		words.observe(node, { childList: true, subtree: true, characterData: true });
		const size = new ResizeObserver(() => {
			const now = `${node.clientWidth} ${node.clientHeight}`;
			if (now !== room) fit();
			room = now;
		});
		size.observe(node);
		fit();
		return () => (words.disconnect(), size.disconnect());
	};
