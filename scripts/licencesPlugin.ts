import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import license from 'rollup-plugin-license';
import type { Plugin } from 'vite';

/** Where the built application finds it: beside its other files. */
const FILE = '.svelte-kit/output/client/THIRD-PARTY-LICENSES.txt';
const RULE = `\n\n${'-'.repeat(72)}\n\n`;
/** Of the pages and of all workers, which are bundled one by one. */
const texts = new Map<string, string>();

/** What is sent as it is, beside the scripts: the arithmetic of the detector and its weights. */
const AS_THEY_ARE = [
	{ name: '@tensorflow/tfjs-backend-wasm', what: 'WebAssembly of the face detector' },
	{ name: '@vladmandic/human', what: 'Library and weights of the face detector' }
];
/** The package says nothing of where its weights come from. */
const WEIGHTS =
	'The licence above is that of the package which brings the weights of the face detector (blazeface, facemesh, iris). The package does not say under which licence each of them was first given away.';
const from = (name: string, file: string) => new URL(`../node_modules/${name}/${file}`, import.meta.url);
function textOf({ name, what }: (typeof AS_THEY_ARE)[number]): string {
	const { version, license: id } = JSON.parse(readFileSync(from(name, 'package.json'), 'utf8')) as {
		version: string;
		license: string;
	};
	const said = `Name: ${name}\nVersion: ${version}\nLicense: ${id}\nWhat: ${what}`;
	return name === '@vladmandic/human' ? `${said}\n\n${readFileSync(from(name, 'LICENSE'), 'utf8')}\n${WEIGHTS}` : said;
}

/** Whatever others wrote and is sent to the browser, with its licence, as one file beside the application. */
export const licencesPlugin = (): Plugin => ({
	...(license({
		thirdParty: (dependencies) => {
			for (const dependency of dependencies) texts.set(`${dependency.name} ${dependency.version}`, dependency.text());
			for (const sent of AS_THEY_ARE) texts.set(`${sent.name}, as it is`, textOf(sent));
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
