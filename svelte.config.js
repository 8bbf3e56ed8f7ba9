import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
	preprocess: vitePreprocess(),
	kit: {
		adapter: adapter(),
		// Some files of a few rules each, before which nothing may be painted.
		inlineStyleThreshold: 1024,
		// It is registered once the page is there (`state/updates.ts`): it fetches the whole application.
		serviceWorker: { register: false },
		// Asked in `hooks.server.ts`: there a program that says no origin is served.
		csrf: { trustedOrigins: ['*'] },
		// Absolute asset paths, so that one cached shell can answer every address offline.
		paths: { relative: false },
		csp: {
			mode: 'auto',
			directives: {
				'default-src': ['self'],
				'script-src': ['self'],
				'style-src': ['self'],
				'style-src-attr': ['unsafe-inline'],
				'img-src': ['self', 'data:', 'blob:'],
				'font-src': ['self', 'data:'],
				'connect-src': ['self'],
				'worker-src': ['self', 'blob:'],
				'object-src': ['none'],
				'base-uri': ['self'],
				'form-action': ['self'],
				'frame-ancestors': ['none']
			}
		}
	}
};
