import { readFileSync, writeFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { claimsOf } from '../src/lib/core/flow/claims';
import { TEMPLATES } from '../src/lib/core/template/templates';
import { DEFAULT_WORKING } from '../src/lib/core/working/working.schema';
import { demoSequences } from '../src/lib/demo/sequences';

const PATH = 'src/lib/core/flow/claims.json';

// UPDATE_DOCS=1 writes them; without it what the product says of the model in general must be what the model gives.
test('claims of the model are those of the present core', () => {
	const made = claimsOf([...TEMPLATES, ...demoSequences('2026-01-01T00:00:00.000Z')], DEFAULT_WORKING);
	if (process.env.UPDATE_DOCS) writeFileSync(PATH, `${JSON.stringify(made, null, '\t')}\n`);
	expect(JSON.parse(readFileSync(PATH, 'utf8'))).toEqual(made);
	expect(made.ready.every((r) => r.sequences >= 5)).toBe(true);
});
