import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';
import { licencesPlugin } from './scripts/licencesPlugin.ts';
import { jobWorkerPlugin } from './scripts/jobWorkerPlugin.ts';

export default defineConfig({
	plugins: [jobWorkerPlugin(), tailwindcss(), sveltekit(), licencesPlugin()],
	worker: { format: 'es', plugins: () => [licencesPlugin()] },
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
									test: /node_modules[\\/](?!.*bits[\\/](dialog|alert-dialog|popover|checkbox|switch)[\\/])(bits-ui|svelte-toolbelt|@floating-ui|tabbable|runed|@lucide)/,
									minShareCount: 5
								},
								{ name: 'icons', test: /node_modules[\\/]@lucide/, minShareCount: 4 },
								{
									name: 'drawing',
									test: /src[\\/]lib[\\/]ui[\\/](glyphs|controls|map|score|steps)[\\/](?!WayEditor|Modal|Stepper|MiniFace|MiniScore|motionGlyph|MotionGlyph|SpotMark)/,
									minShareCount: 3
								},
								{ name: 'keeping', test: /src[\\/]lib[\\/](store|state|formats)[\\/]/, minShareCount: 4 },
								{ name: 'records', test: /node_modules[\\/](dexie|zod|immer)/, minShareCount: 2 },
								{
									name: 'judging',
									test: /src[\\/]lib[\\/]core[\\/](?!fit|notation|compare|perform|flow)/,
									minShareCount: 6
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
		include: ['src/**/*.test.ts', 'scripts/**/*.test.ts'],
		environment: 'node',
		// Property tests shrink what they find; that takes longer than a plain test.
		testTimeout: 120_000
	}
});
