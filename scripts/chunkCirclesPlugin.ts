import type { Plugin } from 'vite';

interface Chunk {
	readonly fileName: string;
	readonly imports: readonly string[];
}

/** A circle of files that import one another, or null. @param chunks by their names */
export function circleOf(chunks: ReadonlyMap<string, Chunk>): readonly string[] | null {
	const done = new Set<string>();
	const path: string[] = [];
	function walk(name: string): readonly string[] | null {
		if (path.includes(name)) return [...path.slice(path.indexOf(name)), name];
		if (done.has(name)) return null;
		path.push(name);
		for (const next of chunks.get(name)?.imports ?? []) {
			const circle = walk(next);
			if (circle) return circle;
		}
		path.pop();
		done.add(name);
		return null;
	}
	for (const name of chunks.keys()) {
		const circle = walk(name);
		if (circle) return circle;
	}
	return null;
}

/**
 * Ends the build where files that it wrote wait for one another: one of them would run before what it needs. No module does so
 * (the linter sees to it), but groups of modules may.
 */
export const chunkCirclesPlugin = (): Plugin => ({
	name: 'soft-tide-chunk-circles',
	generateBundle(_options, bundle) {
		const chunks = new Map(
			Object.values(bundle).flatMap((file) => (file.type === 'chunk' ? [[file.fileName, file] as const] : []))
		);
		const circle = circleOf(chunks);
		if (!circle) return;
		const what = circle.map((name) => {
			const [first] = Object.keys((bundle[name] as { modules?: object }).modules ?? {});
			return `${name} (${first?.split('/src/').at(-1) ?? 'no module'} …)`;
		});
		this.error(`These files wait for one another; change the groups of vite.config.ts: ${what.join(' -> ')}`);
	}
});
