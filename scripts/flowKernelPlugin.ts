import type { Plugin } from 'vite';

const NAME = 'virtual:flow-kernel';
const SOURCE = 'assembly/passive.ts';
const ROOT = new URL('..', import.meta.url).pathname;

/** The compiled kernel in base 64: made once a process, for a build of ours builds several bundles. */
let made: Promise<string> | null = null;

async function compile(): Promise<string> {
	const { default: asc } = await import('assemblyscript/asc');
	const options = ['--baseDir', ROOT, '--outFile', 'kernel.wasm'];
	const flags = ['--optimizeLevel', '3', '--runtime', 'stub', '--noAssert', '--importMemory', '--enable', 'simd'];
	let bytes: Uint8Array | null = null;
	const { error, stderr } = await asc.main([SOURCE, ...options, ...flags], {
		writeFile: (_name, contents) => {
			if (typeof contents !== 'string') bytes = contents;
		}
	});
	if (error || !bytes)
		throw new Error(`${SOURCE} does not compile: ${error?.message ?? 'nothing came of it'}\n${stderr.toString()}`);
	return Buffer.from(bytes).toString('base64');
}

/** The flow model's inner loop as WebAssembly: whoever imports `virtual:flow-kernel` gets its bytes in base 64. */
export function flowKernelPlugin(): Plugin {
	return {
		name: 'soft-tide-flow-kernel',
		resolveId: (id) => (id === NAME ? `\0${NAME}` : null),
		async load(id) {
			if (id !== `\0${NAME}`) return null;
			return `export default ${JSON.stringify(await (made ??= compile()))};`;
		}
	};
}
