import { copyFileSync, existsSync, mkdirSync, statSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Plugin } from 'vite';

const from = (path: string) => fileURLToPath(new URL(`../node_modules/${path}`, import.meta.url));
const MODELS = ['blazeface', 'facemesh', 'iris'].flatMap((name) => [`${name}.json`, `${name}.bin`]);
const FILES = [
	...MODELS.map((name) => ({ name, path: from(`@vladmandic/human/models/${name}`) })),
	...['tfjs-backend-wasm-simd.wasm', 'tfjs-backend-wasm.wasm'].map((name) => ({
		name,
		path: from(`@tensorflow/tfjs-backend-wasm/dist/${name}`)
	}))
];
/** Where the application serves them; nothing of it is kept in the repository. */
const INTO = fileURLToPath(new URL('../static/detector/', import.meta.url));

/** The weights of the face detector and its arithmetic, beside the application: fetched when a detector is first asked. */
export const detectorPlugin = (): Plugin => ({
	name: 'detector-files',
	config() {
		mkdirSync(INTO, { recursive: true });
		for (const { name, path } of FILES) {
			const to = `${INTO}${name}`;
			if (!existsSync(to) || statSync(to).size !== statSync(path).size) copyFileSync(path, to);
		}
	}
});
