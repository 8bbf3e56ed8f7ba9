import { readdirSync } from 'node:fs';
import { resolve } from 'node:path';
import { reached } from './reached.ts';

/** What is asked of a module graph here. */
export interface Graph {
	/** Modules that run before this one. */
	importsOf(id: string): readonly string[];
	/** Rough size of a module, bytes of source. */
	sizeOf(id: string): number;
}

/** Below this many bytes of source a file is not worth a request of its own. */
const WORTH_A_FILE_BYTES = 5000;
const EVERYWHERE = 'everywhere';

/** Of packages a file says what it takes, not what it comes to: they are divided by who uses them (`entriesAware`). */
const ofPackage = (id: string) => id.includes('node_modules');

const closureOf = (graph: Graph, roots: readonly string[]): Set<string> =>
	reached(roots, (id) => graph.importsOf(id).filter((next) => !ofPackage(next)));

/**
 * Puts each module that a page needs to open into one group with all that are needed by the same pages: a page fetches a few
 * larger files instead of a hundred small ones, and little that it does not need. What a module imports is needed by all who
 * need the module, so that groups never wait for one another.
 * @param everywhere roots of what is always loaded
 * @param pages roots by the letter of a page
 * @param parts roots by the letter of what several pages fetch later: these divide a group, and make none of their own
 * @returns names of groups by module; what no page needs before it runs has none
 */
export function groupsByUse(
	graph: Graph,
	everywhere: readonly string[],
	pages: Readonly<Record<string, readonly string[]>>,
	parts: Readonly<Record<string, readonly string[]>> = {}
): Map<string, string> {
	const groups = new Map<string, string>();
	for (const [letter, roots] of Object.entries(pages))
		for (const id of closureOf(graph, roots)) groups.set(id, (groups.get(id) ?? '') + letter);
	for (const [letter, roots] of Object.entries(parts))
		for (const id of closureOf(graph, roots)) if (groups.has(id)) groups.set(id, groups.get(id)! + letter);
	for (const id of closureOf(graph, everywhere)) groups.set(id, EVERYWHERE);
	return withoutSmall(graph, groups);
}

/** Small groups of several pages join what is everywhere, where all that they import is there already: the widest first. */
function withoutSmall(graph: Graph, groups: Map<string, string>): Map<string, string> {
	const members = new Map<string, string[]>();
	for (const [id, name] of groups) members.set(name, [...(members.get(name) ?? []), id]);
	const stays = (id: string, name: string) =>
		graph.importsOf(id).every((next) => ofPackage(next) || [name, EVERYWHERE].includes(groups.get(next) ?? name));
	for (const [name, ids] of [...members].sort(([a], [b]) => b.length - a.length)) {
		const bytes = ids.reduce((sum, id) => sum + graph.sizeOf(id), 0);
		if (name.length === 1 || bytes >= WORTH_A_FILE_BYTES || !ids.every((id) => stays(id, name))) continue;
		for (const id of ids) groups.set(id, EVERYWHERE);
	}
	return groups;
}

const page = (path: string) => `src/routes${path}/+page.svelte`;
/** The pages that are held to a budget (bench/firstLoad.mjs). A group is named by the letters of all who need it. */
const PAGES = {
	T: [page('')],
	C: [page('/clients')],
	P: [page('/progress')],
	X: [page('/exchange')],
	S: [page('/settings')],
	s: [page('/session')],
	L: [page('/library'), 'src/routes/library/+layout.svelte'],
	c: [page('/compose/[id]')]
};
const views = (...names: string[]) => names.map((name) => `src/lib/ui/views/${name}`);
const PARTS = {
	/** What these pages fetch by themselves once they are on the screen. */
	d: [
		'src/lib/state/tide.svelte.ts',
		'src/lib/core/screening/clientFacts.ts',
		...views('session/planning.ts'),
		...['ZoneChangeMap', 'MeasuredChanges', 'SessionStrip', 'AtOnceAndLasting'].map(
			(name) => `src/lib/ui/views/progress/${name}.svelte`
		)
	],
	/** The moves themselves. */
	t: ['src/lib/core/technique/library.ts'],
	/** What writes, and what looks at every value of an edit. */
	w: ['src/lib/store/writing.ts', 'src/lib/store/upgrade.ts', 'src/lib/core/sequence/applyEdit.ts'],
	/** All other pages. */
	o: readdirSync('src/routes', { recursive: true, encoding: 'utf8' }).flatMap((f) =>
		f.endsWith('+page.svelte') ? `src/routes/${f}` : []
	)
};

interface Modules {
	getModuleInfo(id: string): { importedIds: string[]; code: string | null } | null;
}
/** The group of a module, as the bundler asks for it: a new one for each build. */
export function groupOf() {
	let groups: Map<string, string> | undefined;
	const whole = (roots: Record<string, string[]>) =>
		Object.fromEntries(Object.entries(roots).map(([letter, files]) => [letter, files.map((file) => resolve(file))]));
	return (id: string, modules: Modules): string | null => {
		groups ??= groupsByUse(
			{
				importsOf: (m) => modules.getModuleInfo(m)?.importedIds ?? [],
				sizeOf: (m) => modules.getModuleInfo(m)?.code?.length ?? 0
			},
			['.svelte-kit/generated/client-optimized/app.js', 'src/routes/+layout.svelte'].map((file) => resolve(file)),
			whole(PAGES),
			whole(PARTS)
		);
		return groups.get(id) ?? null;
	};
}
