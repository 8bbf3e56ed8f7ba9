import { readFileSync, writeFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { mappingDoc } from '../src/lib/core/flow/mappingDoc';
import { notationDoc } from '../src/lib/core/notation/notationDoc';
import { rulesDoc } from '../src/lib/core/rules/rulesDoc';
import { schoolsDoc } from '../src/lib/core/school/schoolsDoc';

/** Pages that are made from the code. UPDATE_DOCS=1 writes them; without it they must be what the code says. */
const PAGES = [
	{ path: 'docs/model-mapping.md', make: mappingDoc },
	{ path: 'docs/notation.md', make: notationDoc },
	{ path: 'docs/rules.md', make: rulesDoc },
	{ path: 'docs/schools.md', make: schoolsDoc }
];

test.each(PAGES)('$path says what the code says', ({ path, make }) => {
	if (process.env.UPDATE_DOCS) writeFileSync(path, make());
	expect(readFileSync(path, 'utf8')).toBe(make());
});
