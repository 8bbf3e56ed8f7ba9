import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';
import { licencesPlugin } from './scripts/licencesPlugin.ts';
import { chunkCirclesPlugin } from './scripts/chunkCirclesPlugin.ts';
import { detectorPlugin } from './scripts/detectorPlugin.ts';
import { flowKernelPlugin } from './scripts/flowKernelPlugin.ts';
import { jobWorkerPlugin } from './scripts/jobWorkerPlugin.ts';

const CORE_TESTS = 'src/lib/core/**/*.test.ts';
/** These put another module in the place of one: they need their own. */
const MOCKING = ['src/lib/core/vocabulary/addedWord.test.ts'];

/**
 * Few larger files compress better than many small ones, but a page is to fetch no more than it needs (bench/firstLoad.mjs):
 * what is shared by nearly all, what draws the face, what judges. The rest divides itself by who uses it.
 */
const CHUNKS = [
	{ name: 'frame', test: /node_modules[\\/](svelte|@sveltejs|esm-env|clsx|devalue)[\\/]/, priority: 9 },
	{ name: 'dexie', test: /node_modules[\\/]dexie/, priority: 9 },
	{ name: 'zod', test: /node_modules[\\/]zod/, priority: 9 },
	{
		name: 'common',
		// Nearly every page has these; shapes, which check, come with the first write.
		test: /src[\\/]lib[\\/](?!.*(\.schema\.ts|applyEdit|edits\.ts|geometry|drawing|parts[\\/]map|core[\\/]records[\\/](?!tables|default|dataVersion|record\.)))/,
		minShareCount: 30,
		priority: 5
	},
	{
		name: 'face',
		test: /src[\\/]lib[\\/](ui[\\/]parts[\\/]map[\\/](?!MiniFace|PlacePicture|LimitMarks|limitShapes|MarkSign)|core[\\/]atlas[\\/](data[\\/])?(geometry|drawing|towards))|node_modules[\\/]d3-(shape|path)/,
		minShareCount: 4,
		priority: 4
	},
	{
		name: 'judging',
		test: /src[\\/]lib[\\/]core[\\/](rules[\\/](?!words|wording|texts|.*Doc|examples|mutes|mend)|fit[\\/]|glide[\\/])/,
		minShareCount: 4,
		priority: 3
	},
	{ name: 'questions', test: /src[\\/]lib[\\/]core[\\/]screening[\\/](flag|limits)/, priority: 3 }
];

export default defineConfig({
	plugins: [
		detectorPlugin(),
		flowKernelPlugin(),
		jobWorkerPlugin(),
		tailwindcss(),
		sveltekit(),
		licencesPlugin(),
		chunkCirclesPlugin()
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
