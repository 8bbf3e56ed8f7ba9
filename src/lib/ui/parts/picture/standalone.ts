import type { Picture } from './picture';

/** What a drawing may take from a style sheet; each is written into the copy. */
const WRITTEN = [
	'fill',
	'fill-opacity',
	'stroke',
	'stroke-width',
	'stroke-opacity',
	'stroke-dasharray',
	'stroke-linecap',
	'stroke-linejoin',
	'opacity',
	'font-size',
	'font-weight',
	'font-style',
	'text-anchor',
	'paint-order',
	'stop-color',
	'stop-opacity'
] as const;
const DRAWN = new Set(['path', 'rect', 'circle', 'ellipse', 'line', 'text', 'tspan', 'stop', 'g', 'use', 'svg']);
/** What is of use on the screen only. */
const DROPPED = /^(class|style|tabindex|role|data-.*|aria-.*|on.*)$/;
const FAMILY = "'Commissioner Variable', Commissioner, 'Segoe UI', Helvetica, Arial, sans-serif";

/** A drawing on the page as a picture of its own: what its style sheet says is written out. */
export function standalone(drawing: SVGSVGElement): Picture {
	const copy = drawing.cloneNode(true) as SVGSVGElement;
	const from = [drawing, ...drawing.querySelectorAll('*')];
	const to = [copy, ...copy.querySelectorAll('*')];
	from.forEach((element, i) => {
		const target = to[i]!;
		for (const { name } of [...target.attributes]) if (DROPPED.test(name)) target.removeAttribute(name);
		if (!DRAWN.has(element.tagName)) return;
		const style = getComputedStyle(element);
		for (const name of WRITTEN) {
			const value = style.getPropertyValue(name);
			if (value && value !== 'normal' && value !== 'auto')
				target.setAttribute(name, value.replace(/url\("([^"]+)"\)/, 'url($1)'));
		}
	});
	const { width, height } = drawing.viewBox.baseVal;
	copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
	copy.setAttribute('width', String(width));
	copy.setAttribute('height', String(height));
	copy.setAttribute('font-family', FAMILY);
	for (const comment of comments(copy)) comment.remove();
	return { svg: new XMLSerializer().serializeToString(copy), width, height };
}

function comments(root: Node): Comment[] {
	const walker = document.createTreeWalker(root, NodeFilter.SHOW_COMMENT);
	const found: Comment[] = [];
	while (walker.nextNode()) found.push(walker.currentNode as Comment);
	return found;
}
