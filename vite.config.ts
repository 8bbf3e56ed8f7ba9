import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';
import { licencesPlugin } from './scripts/licencesPlugin.ts';
import { detectorPlugin } from './scripts/detectorPlugin.ts';
import { flowKernelPlugin } from './scripts/flowKernelPlugin.ts';
import { jobWorkerPlugin } from './scripts/jobWorkerPlugin.ts';

const CORE_TESTS = 'src/lib/core/**/*.test.ts';
/** These put another module in the place of one: they need their own. */
const MOCKING = ['src/lib/core/vocabulary/addedWord.test.ts'];

export default defineConfig({
	plugins: [detectorPlugin(), flowKernelPlugin(), jobWorkerPlugin(), tailwindcss(), sveltekit(), licencesPlugin()],
	worker: { format: 'es', plugins: () => [flowKernelPlugin(), licencesPlugin()] },
	environments: {
		client: {
			build: {
				rolldownOptions: {
					output: {
						// Few larger files compress better than many small ones; what is fetched on demand stays apart.
						codeSplitting: {
							groups: [
								{
									name: 'controls',
									// Without what only some pages open: menus, dialogs and fields of choice.
									test: /node_modules[\\/](?!.*bits[\\/](dialog|alert-dialog|checkbox|switch|select|combobox|menu|dropdown-menu|menubar|context-menu|tabs|slider)[\\/])(bits-ui|svelte-toolbelt|@floating-ui|tabbable|runed|@lucide)/,
									minShareCount: 5
								},
								{
									name: 'choices',
									test: /node_modules[\\/]bits-ui.*bits[\\/](select|menu|dropdown-menu|tabs)[\\/]/,
									minShareCount: 3
								},
								{ name: 'icons', test: /node_modules[\\/]@lucide/, minShareCount: 4 },
								{
									name: 'drawing',
									test: /src[\\/]lib[\\/]ui[\\/]parts[\\/](glyphs|map|score|steps)[\\/](?!MiniFace|motionGlyph|MotionGlyph|SpotMark|PlacePicture)/,
									minShareCount: 3
								},
								{
									// Without what the pages of photographs and measuring share: no other page needs it.
									name: 'keeping',
									test: /src[\\/]lib[\\/](store|state)[\\/](?!photo|placing|faceFinder|liveHints|tapeErrors|simulated|cameraSource|countdown)/,
									minShareCount: 4
								},
								{ name: 'records', test: /node_modules[\\/](dexie|zod|immer)/, minShareCount: 2 },
								// What every record is made of. The rules have no file of their own: with it every page would fetch them.
								{
									name: 'shapes',
									test: /src[\\/]lib[\\/]core[\\/](atlas[\\/](?!geometry|data[\\/]geometry)|vocabulary|step|point|working|school|medium|records|assess)/,
									minShareCount: 8
								}
							]
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
