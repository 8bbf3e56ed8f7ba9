import { build, type Plugin } from 'vite';
import { flowKernelPlugin } from './flowKernelPlugin.ts';

const NAME = 'virtual:job-worker';
const ENTRY = new URL('../src/lib/server/jobWorker.ts', import.meta.url).pathname;

/**
 * The thread of the server's pool as one piece of text: whoever imports `virtual:job-worker` gets its code and opens a
 * thread from it, in development and in the built server alike, whatever the paths are there.
 */
export function jobWorkerPlugin(): Plugin {
	return {
		name: 'soft-tide-job-worker',
		resolveId: (id) => (id === NAME ? `\0${NAME}` : null),
		async load(id) {
			if (id !== `\0${NAME}`) return null;
			const made = await build({
				configFile: false,
				plugins: [flowKernelPlugin()],
				publicDir: false,
				logLevel: 'error',
				ssr: { noExternal: true },
				build: {
					target: 'node20',
					ssr: ENTRY,
					write: false,
					minify: true,
					rolldownOptions: { output: { format: 'cjs', codeSplitting: false } }
				}
			});
			const [first] = Array.isArray(made) ? made : [made];
			const chunk = first && 'output' in first ? first.output.find((o) => o.type === 'chunk') : undefined;
			if (!chunk || chunk.type !== 'chunk') throw new Error(`nothing was built from ${ENTRY}`);
			return `export default ${JSON.stringify(chunk.code)};`;
		}
	};
}
