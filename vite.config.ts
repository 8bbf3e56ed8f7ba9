import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	worker: { format: 'es' },
	resolve: process.env.VITEST ? { conditions: ['browser'] } : {},
	test: {
		include: ['src/**/*.test.ts', 'scripts/**/*.test.ts'],
		environment: 'node',
		// Property tests shrink what they find; that takes longer than a plain test.
		testTimeout: 120_000
	}
});
