import type { Plugin } from 'vite';
import { reached } from './reached.ts';

/** A file as the manifest of the build tells of it. */
export interface Entry {
	readonly file: string;
	readonly imports?: readonly string[];
	readonly dynamicImports?: readonly string[];
}
type Manifest = Readonly<Record<string, Entry>>;

/** Whether a file belongs to one page or layout. */
const ofPage = (key: string) => /client-optimized\/nodes\/\d+\.js$/.test(key);

/**
 * The manifest in which each page names all that it imports, also by way of others. The framework, which tells the browser what
 * to fetch with a page, forgets a file that it comes to by way of a later fetch first: half of a large page then waits until the
 * other half has run. Under a name of their own, and leading nowhere, none is come to first.
 */
export function withWholeImports(manifest: Manifest): Manifest {
	const whole: Record<string, Entry> = { ...manifest };
	for (const [key, entry] of Object.entries(manifest)) {
		if (!ofPage(key)) continue;
		const needed = reached(entry.imports ?? [], (name) => manifest[name]?.imports ?? []);
		const alone = [...needed].map((name) => {
			whole[`${name}#alone`] = { file: manifest[name]!.file };
			return `${name}#alone`;
		});
		whole[key] = { ...entry, imports: [...alone, ...(entry.imports ?? [])] };
	}
	return whole;
}

/** Lets a page be sent with the names of all files that it needs to open. */
export const preloadPlugin = (): Plugin => ({
	name: 'soft-tide-preload',
	enforce: 'post',
	generateBundle: {
		order: 'post',
		handler(_options, bundle) {
			const manifest = bundle['.vite/manifest.json'];
			if (this.environment.name !== 'client' || manifest?.type !== 'asset') return;
			manifest.source = JSON.stringify(withWholeImports(JSON.parse(String(manifest.source)) as Manifest), null, '\t');
		}
	}
});
