import { defineConfig } from 'vite';

/** Bundles the bench for plain Node, so that it measures the core and not a loader. */
export default defineConfig({
	publicDir: false,
	build: {
		target: 'node20',
		outDir: '.soft-tide',
		emptyOutDir: false,
		ssr: 'bench/core.bench.ts',
		rolldownOptions: { output: { entryFileNames: 'bench.mjs', codeSplitting: false } }
	}
});
