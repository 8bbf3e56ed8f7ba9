import { readFileSync, writeFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { cautionsDoc } from '../src/lib/core/screening/cautionsDoc';
import { mappingDoc } from '../src/lib/core/flow/mappingDoc';
import { notationDoc } from '../src/lib/core/notation/notationDoc';
import { observationsDoc } from '../src/lib/core/assess/observationsDoc';
import { recordsDoc } from '../src/lib/core/records/recordsDoc';
import { sourcesDoc } from '../src/lib/core/working/sourcesDoc';
import { rulesDoc } from '../src/lib/core/rules/rulesDoc';
import { schoolsDoc } from '../src/lib/core/school/schoolsDoc';

/** Pages that are made from the code. UPDATE_DOCS=1 writes them; without it they must be what the code says. */
const PAGES = [
	{ path: 'docs/cautions.md', make: cautionsDoc },
	{ path: 'docs/model-mapping.md', make: mappingDoc },
	{ path: 'docs/notation.md', make: notationDoc },
	{ path: 'docs/observations.md', make: observationsDoc },
	{ path: 'docs/records.md', make: recordsDoc },
	{ path: 'docs/rules.md', make: rulesDoc },
	{ path: 'docs/schools.md', make: schoolsDoc },
	{ path: 'docs/sources.md', make: sourcesDoc }
];

test.each(PAGES)('$path says what the code says', ({ path, make }) => {
	if (process.env.UPDATE_DOCS) writeFileSync(path, make());
	expect(readFileSync(path, 'utf8')).toBe(make());
});
