import { flushSync, mount, unmount, type Component } from 'svelte';
import TestPage from './TestPage.svelte';

/** Helpers for component tests only: mounting into the page, reading it, and keys. */
let open: Record<string, unknown>[] = [];

/** Props are checked where components are used; here they only have to arrive. */
export function show(component: Component<never>, props: Record<string, unknown>): HTMLElement {
	const target = document.body.appendChild(document.createElement('div'));
	open.push(mount(component as Component, { target, props }));
	flushSync();
	return target;
}

/** The same on a page: with what tooltips need. */
export const showOnPage = (component: Component<never>, props: Record<string, unknown>): HTMLElement =>
	show(TestPage as unknown as Component<never>, { component, props });

/** Takes everything off the page again; to be called after each test. */
export function clear(): void {
	for (const c of open) void unmount(c);
	open = [];
	document.body.innerHTML = '';
}

export const all = (root: ParentNode, selector: string) => [...root.querySelectorAll<HTMLElement>(selector)];
export const press = (el: Element, key: string): void => {
	el.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
	flushSync();
};
export const click = (el: Element | null | undefined, init: MouseEventInit = {}): void => {
	el?.dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true, ...init }));
	flushSync();
};
/** The button of a text or a label. */
export const button = (root: ParentNode, name: string | RegExp): HTMLElement | undefined =>
	all(root, 'button').find((b) => {
		const text = b.getAttribute('aria-label') ?? b.textContent?.trim() ?? '';
		return typeof name === 'string' ? text === name : name.test(text);
	});
