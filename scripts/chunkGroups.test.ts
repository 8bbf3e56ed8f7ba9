import { existsSync } from 'node:fs';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { groupOf, groupsByUse, type Graph } from './chunkGroups.ts';
import { reached } from './reached.ts';

const graph = (imports: Record<string, string[]>, size = 9000): Graph => ({
	importsOf: (id) => imports[id] ?? [],
	sizeOf: () => size
});

test('what the same pages need lies together; what is always there, and what no page needs, is told apart', () => {
	const groups = groupsByUse(
		graph({
			today: ['dates', 'frame'],
			compose: ['dates', 'edit', 'node_modules/immer'],
			edit: ['sizes'],
			writing: ['sizes', 'hash'],
			frame: []
		}),
		['frame'],
		{ T: ['today'], c: ['compose'] },
		{ w: ['writing'] }
	);
	expect(Object.fromEntries(groups)).toEqual({
		today: 'T',
		compose: 'c',
		dates: 'Tc',
		edit: 'c',
		// Also fetched with what writes: who writes elsewhere does not fetch all of Compose.
		sizes: 'cw',
		frame: 'everywhere'
	});
});

test('a small file of several pages goes with what is everywhere, unless it needs what is not there', () => {
	const imports = {
		today: ['small'],
		compose: ['small', 'needy'],
		clients: ['needy', 'rare'],
		needy: ['rare'],
		frame: []
	};
	const groups = groupsByUse(graph(imports, 10), ['frame'], { T: ['today'], C: ['clients'], c: ['compose', 'rare'] });
	expect([groups.get('small'), groups.get('needy'), groups.get('today')]).toEqual(['everywhere', 'everywhere', 'T']);
	const large = { ...graph(imports, 10), sizeOf: (id: string) => (id === 'rare' ? 9000 : 10) };
	expect(
		groupsByUse(large, ['frame'], { C: ['clients', 'needy'], c: ['compose'], T: ['needy'] }).get('needy')
	).not.toBe('everywhere');
});

test('groups never wait for one another, however modules import', () =>
	fc.assert(
		fc.property(
			fc.array(fc.array(fc.nat(19), { maxLength: 4 }), { minLength: 20, maxLength: 20 }),
			fc.array(fc.integer({ min: 10, max: 6000 }), { minLength: 20, maxLength: 20 }),
			fc.array(fc.nat(19), { minLength: 5, maxLength: 5 }),
			(edges, sizes, roots) => {
				// Only to later modules: no module waits for itself.
				const importsOf = (id: string) => [...new Set(edges[Number(id)]!.filter((to) => to > Number(id)))].map(String);
				const [a, b, c, d, e] = roots.map(String) as [string, string, string, string, string];
				const groups = groupsByUse(
					{ importsOf, sizeOf: (id) => sizes[Number(id)]! },
					[e],
					{ A: [a], B: [b], C: [c] },
					{ d: [d] }
				);
				const needs = new Map<string, Set<string>>();
				for (const [id, name] of groups)
					for (const next of importsOf(id)) {
						const to = groups.get(next);
						expect(to, `${id} needs ${next} before it runs`).toBeDefined();
						if (to !== name) needs.set(name, (needs.get(name) ?? new Set()).add(to!));
					}
				const after = (name: string) => [...(needs.get(name) ?? [])];
				for (const name of needs.keys()) expect(reached(after(name), after).has(name)).toBe(false);
			}
		)
	));

test('the files that it starts from are there', () => {
	const asked: string[] = [];
	groupOf()('x', { getModuleInfo: (id) => (asked.push(id), { importedIds: [], code: '' }) });
	expect(asked.length).toBeGreaterThan(30);
	for (const file of asked) if (!file.includes('.svelte-kit')) expect(existsSync(file), file).toBe(true);
});
