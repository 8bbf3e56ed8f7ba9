import { existsSync, readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import { expect, test } from 'vitest';

const LIB = 'src/lib';
/** Statements that fetch another module before this one runs; those of types only do not. */
const IMPORTS = /^\s*(?:import|export)\s+(?!type\s)(?:([\w$*{}\s,]+?)\s+from\s+)?['"]([^'"]+)['"]/gm;
const isTypes = (names: string) => {
	const inner = /^\{([^}]*)\}$/.exec(names.trim())?.[1];
	return inner !== undefined && inner.split(',').every((n) => !n.trim() || n.trim().startsWith('type '));
};
/** The file that an address means, or the name of a package. */
function resolved(address: string, from: string): string {
	const path = address.startsWith('$lib/') ? join(LIB, address.slice(5)) : join(dirname(from), address);
	if (!address.startsWith('.') && !address.startsWith('$lib/')) return address;
	const ends = ['', '.ts', '/index.ts', '.svelte.ts'];
	return ends.map((end) => normalize(path + end)).find((p) => existsSync(p) && /\.\w+$/.test(p)) ?? address;
}
/** By which files a page comes to each module that it needs before it runs. */
function neededBy(page: string): Map<string, string | null> {
	const needed = new Map<string, string | null>([[page, null]]);
	for (const file of needed.keys()) {
		if (!/\.(ts|svelte)$/.test(file) || !existsSync(file)) continue;
		for (const [, names, address] of readFileSync(file, 'utf8').matchAll(IMPORTS)) {
			const next = isTypes(names ?? '') ? '' : resolved(address!, file);
			if (next && !needed.has(next)) needed.set(next, file);
		}
	}
	return needed;
}
const PAGES = ['', '/clients', '/progress', '/exchange', '/settings', '/session', '/library', '/compose/[id]'];

test.each(['/+layout.svelte', ...PAGES.map((p) => `${p}/+page.svelte`)])(
	'%s opens without what checks: shapes come with the first write',
	(path) => {
		const needed = neededBy(`src/routes${path}`);
		expect(needed.size).toBeGreaterThan(10);
		const way: string[] = [];
		for (let at: string | null | undefined = needed.has('zod') ? 'zod' : null; at; at = needed.get(at)) way.push(at);
		expect(way.join(' <- ')).toBe('');
	}
);

test('a page that does check is seen to', () =>
	expect(neededBy('src/lib/store/writing.ts').get('zod')).toMatch(/\.ts$/));
