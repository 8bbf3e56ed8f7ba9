import { expect, test } from 'vitest';
import { MediumSchema } from '../core/glide/medium.schema';
import { SchoolSchema } from '../core/school/school.schema';
import { TechniqueSchema } from '../core/technique/technique.schema';
import { CORE_VERSION } from '../core/version';
import { libraryOf, LIBRARY_KINDS } from './library';

test('every list is plain JSON with unique ids and names the version of the core', () => {
	for (const kind of LIBRARY_KINDS) {
		const list = libraryOf(kind);
		expect(list.core).toBe(CORE_VERSION);
		expect(JSON.parse(JSON.stringify(list))).toEqual(JSON.parse(JSON.stringify(list)));
		const ids = list.items.map((i) => (i as { id: string }).id);
		expect(ids.length).toBeGreaterThan(4);
		expect(new Set(ids).size).toBe(ids.length);
	}
});

test('what is served can be read back by the schemas', () => {
	const parsed = (
		kind: 'techniques' | 'schools' | 'media',
		schema: { safeParse: (x: unknown) => { success: boolean } }
	) => libraryOf(kind).items.every((item) => schema.safeParse(JSON.parse(JSON.stringify(item))).success);
	expect(parsed('techniques', TechniqueSchema)).toBe(true);
	expect(parsed('schools', SchoolSchema)).toBe(true);
	expect(parsed('media', MediumSchema)).toBe(true);
});
