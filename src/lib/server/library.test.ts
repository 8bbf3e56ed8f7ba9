import { expect, test } from 'vitest';
import { librarySchema } from '../formats/librarySchemas';
import { CORE_VERSION } from '../core/version';
import { libraryOf, LIBRARY_KINDS } from './library';

test('every list is plain JSON with unique ids and names the version of the core', () => {
	for (const kind of LIBRARY_KINDS) {
		const list = libraryOf(kind);
		expect(list.core).toBe(CORE_VERSION);
		// Nothing is lost on the way: no field that is undefined, no value that JSON does not know.
		expect(JSON.parse(JSON.stringify(list))).toStrictEqual(list);
		const ids = list.items.map((i) => (i as { id: string }).id);
		expect(ids.length).toBeGreaterThan(4);
		expect(new Set(ids).size).toBe(ids.length);
	}
});

test('every list is what its published schema says', () => {
	for (const kind of LIBRARY_KINDS) {
		const read = librarySchema(kind).safeParse(JSON.parse(JSON.stringify(libraryOf(kind))));
		expect(read.error?.issues.slice(0, 2) ?? [], kind).toEqual([]);
	}
});

test('every goal names techniques that are in the library', () => {
	const ids = new Set(libraryOf('techniques').items.map((t) => (t as { id: string }).id));
	for (const goal of libraryOf('goals').items as { techniques: string[] }[]) {
		expect(goal.techniques.length).toBeGreaterThan(3);
		expect(goal.techniques.filter((id) => !ids.has(id))).toEqual([]);
	}
});
