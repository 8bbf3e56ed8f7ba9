import type { Page } from '@playwright/test';

/** Texts that leave the window at its side where nothing scrolls, or ends them in dots. */
export const textsOutside = (page: Page): Promise<string[]> =>
	page.evaluate(() => {
		const styleOf = (element: Element) => getComputedStyle(element);
		const within = (element: Element, may: (outer: Element) => boolean) => {
			for (let outer: Element | null = element; outer; outer = outer.parentElement) if (may(outer)) return true;
			return false;
		};
		const scrolls = (outer: Element) =>
			['auto', 'scroll'].includes(styleOf(outer).overflowX) && outer.scrollWidth > outer.clientWidth;
		const found: string[] = [];
		for (const element of document.querySelectorAll('main *, header *')) {
			const ownText = [...element.childNodes].some((node) => node.nodeType === 3 && node.textContent!.trim());
			if (!ownText || element.closest('svg, .sr-only') || !element.checkVisibility()) continue;
			const range = document.createRange();
			range.selectNodeContents(element);
			const { left, right, width } = range.getBoundingClientRect();
			if (!width || (right <= innerWidth + 1 && left >= -1)) continue;
			if (within(element, (outer) => styleOf(outer).textOverflow === 'ellipsis') || within(element, scrolls)) continue;
			found.push(`“${element.textContent!.trim().slice(0, 50)}” ${Math.round(left)} to ${Math.round(right)}`);
		}
		return found;
	});

/** Controls whose ring of the focus is cut off at a side by what they lie in, or that show nothing. Walks through all of the page. */
export const ringsCut = (page: Page): Promise<string[]> =>
	page.evaluate(() => {
		const found = new Set<string>();
		const controls = document.querySelectorAll<HTMLElement>(
			':is(a[href], button, input, select, textarea, [role="button"]):not(:disabled, svg *)'
		);
		for (const control of controls) {
			if (!control.checkVisibility() || control.closest('.sr-only')) continue;
			control.focus({ focusVisible: true } as FocusOptions);
			if (document.activeElement !== control) continue;
			const { outlineOffset, outlineWidth, outlineStyle } = getComputedStyle(control);
			const name = `${control.tagName} “${(control.ariaLabel ?? control.textContent ?? '').trim().slice(0, 40)}”`;
			const reach = outlineStyle === 'none' ? null : parseFloat(outlineOffset) + parseFloat(outlineWidth);
			if (reach === null) found.add(`${name} shows no ring`);
			if (reach === null || reach <= 0) continue;
			const { left, right } = control.getBoundingClientRect();
			for (let outer = control.parentElement; outer; outer = outer.parentElement) {
				const { overflowX, position } = getComputedStyle(outer);
				if (position === 'fixed') break;
				if (overflowX === 'visible') continue;
				const edge = outer.getBoundingClientRect().left + outer.clientLeft;
				if (left - reach < edge - 0.5 || right + reach > edge + outer.clientWidth + 0.5) found.add(name);
			}
		}
		return [...found];
	});
