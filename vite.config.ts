import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';
import { groupOf } from './scripts/chunkGroups.ts';
import { preloadPlugin } from './scripts/preloadPlugin.ts';
import { licencesPlugin } from './scripts/licencesPlugin.ts';
import { chunkCirclesPlugin } from './scripts/chunkCirclesPlugin.ts';
import { detectorPlugin } from './scripts/detectorPlugin.ts';
import { flowKernelPlugin } from './scripts/flowKernelPlugin.ts';
import { jobWorkerPlugin } from './scripts/jobWorkerPlugin.ts';

const CORE_TESTS = 'src/lib/core/**/*.test.ts';
/** These put another module in the place of one: they need their own. */
const MOCKING = ['src/lib/core/vocabulary/addedWord.test.ts'];

/** A page fetches few files and no more than it needs (bench/firstLoad.mjs). */
const CHUNKS = [
	{ name: 'frame', test: /node_modules[\\/](svelte|@sveltejs|esm-env|clsx|devalue)[\\/]/, priority: 9 },
	{ name: 'dexie', test: /node_modules[\\/]dexie/, priority: 9 },
	{ name: 'zod', test: /node_modules[\\/]zod/, priority: 9 },
	{ name: 'icon', test: /node_modules[\\/]@lucide/, entriesAware: true, entriesAwareMergeThreshold: 4000, priority: 9 },
	{ name: 'package', test: /node_modules/, entriesAware: true, priority: 8 },
	{ name: groupOf(), debugName: 'by use' }
];

export default defineConfig({
	plugins: [
		detectorPlugin(),
		flowKernelPlugin(),
		jobWorkerPlugin(),
		tailwindcss(),
		sveltekit(),
		licencesPlugin(),
		chunkCirclesPlugin(),
		preloadPlugin()
	],
	worker: { format: 'es', plugins: () => [flowKernelPlugin(), licencesPlugin()] },
	environments: {
		client: {
			build: {
				rolldownOptions: {
					preserveEntrySignatures: 'allow-extension',
					output: {
						codeSplitting: {
							// What a group holds does not draw in all that it needs: a page would fetch what it never uses.
							includeDependenciesRecursively: false,
							groups: CHUNKS
						}
					}
				}
			}
		}
	},
	resolve: process.env.VITEST ? { conditions: ['browser'] } : {},
	test: {
		environment: 'node',
		// Property tests shrink what they find; that takes longer than a plain test.
		testTimeout: 120_000,
		projects: [
			// The core is pure: its tests share their modules, and half of their time was reading them again.
			{
				extends: true,
				test: { name: 'core', include: [CORE_TESTS], exclude: MOCKING, isolate: false, pool: 'threads' }
			},
			{
				extends: true,
				test: {
					name: 'application',
					include: ['src/{lib/!(core),routes}/**/*.test.ts', 'src/lib/*.test.ts', 'scripts/**/*.test.ts', ...MOCKING]
				}
			}
		]
	}
});
