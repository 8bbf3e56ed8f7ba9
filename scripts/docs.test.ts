import { readFileSync, writeFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { rulesDoc } from '../src/lib/core/rules/rulesDoc';

/** Pages that are made from the code. UPDATE_DOCS=1 writes them; without it they must be what the code says. */
const PAGES = [{ path: 'docs/rules.md', make: rulesDoc }];

test.each(PAGES)('$path says what the code says', ({ path, make }) => {
	if (process.env.UPDATE_DOCS) writeFileSync(path, make());
	expect(readFileSync(path, 'utf8')).toBe(make());
});
