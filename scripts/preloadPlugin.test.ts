import { expect, test } from 'vitest';
import { withWholeImports, type Entry } from './preloadPlugin.ts';

const PAGE = '.svelte-kit/generated/client-optimized/nodes/7.js';
/** As the framework walks it: depth first, a later fetch before the next import, each name once. */
function fetchedWith(manifest: Readonly<Record<string, Entry>>, key: string): Set<string> {
	const files = new Set<string>();
	const seen = new Set<string>();
	const walk = (name: string, now: boolean) => {
		if (seen.has(name)) return;
		seen.add(name);
		if (now) files.add(manifest[name]!.file);
		for (const next of manifest[name]!.imports ?? []) walk(next, now);
		for (const next of manifest[name]!.dynamicImports ?? []) walk(next, false);
	};
	walk(key, true);
	return files;
}

test('a page is sent with all that it imports, also what a later fetch comes to first', () => {
	const manifest = {
		[PAGE]: { file: '7.js', imports: ['view', 'menu'] },
		view: { file: 'view.js', imports: ['frame'], dynamicImports: ['list'] },
		list: { file: 'list.js', imports: ['menu', 'popper'] },
		menu: { file: 'menu.js', imports: ['frame'] },
		frame: { file: 'frame.js' },
		popper: { file: 'popper.js' }
	};
	expect(fetchedWith(manifest, PAGE)).not.toContain('menu.js');
	const whole = withWholeImports(manifest);
	expect([...fetchedWith(whole, PAGE)].sort()).toEqual(['7.js', 'frame.js', 'menu.js', 'view.js']);
	expect(whole.view).toEqual(manifest.view);
});
