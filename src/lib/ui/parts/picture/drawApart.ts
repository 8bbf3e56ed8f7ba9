import { flushSync, mount, unmount, type Component } from 'svelte';
import type { Picture } from './picture';
import { standalone } from './standalone';

/** Draws a component out of sight and takes its first drawing as a picture. */
export function drawApart<P extends Record<string, unknown>>(component: Component<P>, props: P): Picture {
	const target = document.createElement('div');
	target.style.cssText = 'position:fixed;left:-20000px;top:0';
	target.setAttribute('aria-hidden', 'true');
	document.body.append(target);
	const drawn = mount(component, { target, props });
	try {
		flushSync();
		return standalone(target.querySelector('svg')!);
	} finally {
		void unmount(drawn);
		target.remove();
	}
}
