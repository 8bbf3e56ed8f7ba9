import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import license from 'rollup-plugin-license';
import type { Plugin } from 'vite';

/** Where the built application finds it: beside its other files. */
const FILE = '.svelte-kit/output/client/THIRD-PARTY-LICENSES.txt';
const RULE = `\n\n${'-'.repeat(72)}\n\n`;
/** Of the pages and of all workers, which are bundled one by one. */
const texts = new Map<string, string>();

/** Whatever others wrote and is sent to the browser, with its licence, as one file beside the application. */
export const licencesPlugin = (): Plugin => ({
	...(license({
		thirdParty: (dependencies) => {
			for (const dependency of dependencies) texts.set(`${dependency.name} ${dependency.version}`, dependency.text());
			mkdirSync(dirname(FILE), { recursive: true });
			writeFileSync(
				FILE,
				[...texts]
					.sort(([a], [b]) => a.localeCompare(b))
					.map(([, text]) => text)
					.join(RULE)
			);
		}
	}) as Plugin),
	applyToEnvironment: (environment) => environment.name === 'client'
});
