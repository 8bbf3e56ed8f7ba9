import { readFileSync, writeFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { claimsOf } from '../src/lib/core/flow/claims';
import { modelSentences, modelSentencesDoc, wrongWith } from '../src/lib/core/flow/modelSentences';
import { TEMPLATES } from '../src/lib/core/template/templates';
import { DEFAULT_WORKING } from '../src/lib/core/working/defaultWorking';
import { demoSequences } from '../src/lib/demo/sequences';

const PATH = 'src/lib/core/flow/claims.json';
const ALL = [...TEMPLATES, ...demoSequences('2026-01-01T00:00:00.000Z')];
/** Of different schools and paces: examples of every kind of sentence come from them. */
const TOLD = ALL.filter((s, i) => i === 0 || ['demo-glass-jaw', 'demo-stone-knuckle'].includes(s.id));

// UPDATE_DOCS=1 writes them; without it what the product says of the model in general must be what the model gives.
test('claims of the model are those of the present core', () => {
	const made = claimsOf(ALL, DEFAULT_WORKING);
	if (process.env.UPDATE_DOCS) writeFileSync(PATH, `${JSON.stringify(made, null, '\t')}\n`);
	expect(JSON.parse(readFileSync(PATH, 'utf8'))).toEqual(made);
	expect(made.ready.every((r) => r.sequences >= 5)).toBe(true);
});

test('every sentence about the model stands in its page, and none says what may not be said', () => {
	const sentences = modelSentences(TOLD, DEFAULT_WORKING);
	for (const { sentence } of sentences) expect(wrongWith(sentence), sentence).toEqual([]);
	const kinds = [
		/^“.*leaves less/,
		/^No practical difference/,
		/^The same/,
		/by less than 1 %/,
		/One place (earlier|later)/,
		/the larger it is/,
		/set down/,
		/would not go/,
		/^Not in the model/
	];
	for (const kind of kinds)
		expect(
			sentences.some((s) => kind.test(s.sentence)),
			String(kind)
		).toBe(true);
	const page = modelSentencesDoc(sentences);
	if (process.env.UPDATE_DOCS) writeFileSync('docs/model-sentences.md', page);
	expect(readFileSync('docs/model-sentences.md', 'utf8')).toBe(page);
	expect(wrongWith('Your client will feel it.')).toEqual(['rule 6: no forecast for a person']);
	expect(wrongWith('The chance is 80 %.')).toHaveLength(1);
});
