import { describe, expect, test } from 'vitest';
import { PLACE_IDS } from '../atlas/places';
import { techniquesFor } from '../technique/library';
import { complete, matching } from './complete';
import { explain } from './explain';
import { notationDoc, SAMPLE } from './notationDoc';
import { parse, troubleText } from './parse';

const texts = (line: string, options = {}) => complete(line, options)?.options.map((o) => o.text) ?? [];

describe('completion', () => {
	test('offers aims first, and heads and phases in a whole text only', () => {
		expect(texts('')).toContain('drain ');
		expect(texts('')).not.toContain('~ ');
		expect(texts('dr', { whole: true })).toContain('title ');
		expect(complete('  dr')!.from).toBe(2);
	});
	test('offers every place after the aim, and where the fluid runs first after a >', () => {
		expect(texts('drain ')).toEqual(expect.arrayContaining([...PLACE_IDS, 'collarbone nodes', 'under the eyes']));
		expect(texts('drain chin > ').slice(0, 4)).toContain('jawline');
		expect(texts('drain chin > ')).not.toContain('chin');
		expect(complete('drain chin > jaw')!.from).toBe('drain chin > '.length);
	});
	test('offers moves that suit the way first in the first clause, then clauses that were not said yet', () => {
		const movesFor = (_aim: string, places: readonly (typeof PLACE_IDS)[number][]) => techniquesFor(places);
		expect(texts('drain chin > jawline, ', { movesFor })[0]).toMatch(/^as /);
		expect(texts('drain chin, ')).toContain('light');
		expect(texts('drain chin, light, ')).not.toContain('light');
		expect(complete('drain chin, hand ov')!.from).toBe('drain chin, '.length);
		expect(texts('drain chin, then ')).toContain('n:terminus');
	});
	test('labels and plain words complete as ids do; what is written whole is no suggestion', () => {
		const offered = (line: string) => {
			const found = complete(line)!;
			return matching(found.options, line.slice(found.from)).map((o) => o.text);
		};
		// One word for each place, its label first; of its id only who begins it is told.
		expect(offered('open collarb')).toEqual([
			'collarbone nodes',
			'collarbone',
			'above the collarbone',
			'chest below the collarbone',
			'chest'
		]);
		expect(offered('open n:ter')).toEqual(['n:terminus']);
		expect(offered('drain chin > nec')).toEqual(expect.arrayContaining(['neck', 'neck nodes']));
		expect(offered('drain under th')[0]).toMatch(/^under the/);
		expect(offered('drain under the e')).toContain('under the eyes');
		expect(offered('drain chin, split fin')).toContain('fingers split at the ear');
		expect(offered('drain chin')).not.toContain('chin');
		expect(offered('drain chin, light')).not.toContain('light');
	});
	test('is silent in a title, in a text and after something unknown', () => {
		expect([
			complete('~ Fa'),
			complete('drain chin, note "a'),
			complete('rub chin, '),
			complete('drain chin ')
		]).toEqual([null, null, null, null]);
		expect(texts('.. n')).toContain('note ""');
	});
	test('whatever is taken reads as the beginning of something', () => {
		for (const text of texts('drain chin, ').filter((t) => !['then', 'stops', 'levels'].includes(t)))
			expect(
				parse(`drain chin, ${text}`)
					.troubles.filter((t) => /no part of a step/.test(t.message))
					.map(troubleText)
			).toEqual([]);
	});
});

describe('explanation', () => {
	const at = (line: string, word: string) => explain(line, line.indexOf(word))?.text;
	test('says what an aim, a place and a clause mean', () => {
		const line = 'drain chin > n:submental, index hook, 8 each side';
		expect(at(line, 'drain')).toMatch(
			/Drain\. Unless said otherwise: three fingers, press and hold on one place, stroke along a path, light/
		);
		expect(at(line, 'chin')).toBe('Chin: Regio mentalis');
		expect(at(line, 'n:sub')).toMatch(/Nodes under the chin: Nodi submentales/);
		expect(at('drain chin > nodes under the chin, 8', 'under')).toMatch(/Nodes under the chin: Nodi submentales/);
		expect(at(line, 'hook')).toMatch(/What touches the skin/);
		expect(at(line, 'each')).toMatch(/How much on one side/);
	});
	test('of heads, phases and texts too, and nothing where there is nothing to say', () => {
		expect(at('school outlet-first', 'school')).toMatch(/Its school/);
		expect(at('~ Face', '~')).toMatch(/A phase/);
		expect(at('.. note "x"', 'note')).toMatch(/A note to oneself/);
		expect([
			explain('drain chin', 6)?.from,
			explain('', 0),
			explain('drain "', 3),
			explain('drain chin, foo', 13)
		]).toEqual([6, null, null, null]);
	});
});

test('the sample of the page is understood, and the page names every clause', () => {
	expect(parse(SAMPLE).troubles.map(troubleText)).toEqual([]);
	expect(notationDoc()).toContain('## Clauses of a step');
});
