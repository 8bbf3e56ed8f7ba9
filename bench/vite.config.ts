import { defineConfig } from 'vite';
import { flowKernelPlugin } from '../scripts/flowKernelPlugin.ts';

const name = process.env.SOFT_TIDE_BENCH ?? 'core';

/** Bundles a bench for plain Node, so that it measures the core and not a loader. */
export default defineConfig({
	plugins: [flowKernelPlugin()],
	publicDir: false,
	build: {
		target: 'node20',
		outDir: '.soft-tide',
		emptyOutDir: false,
		ssr: `bench/${name}.bench.ts`,
		rolldownOptions: { output: { entryFileNames: `${name}.bench.mjs`, codeSplitting: false } }
	}
});
