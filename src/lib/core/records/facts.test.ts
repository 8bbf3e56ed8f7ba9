import { expect, test } from 'vitest';
import { MEDIA } from '../medium/media';
import { NOW } from '../testing';
import { kindOf } from './kinds';
import { plainFacts } from './facts';

test('fields are named as words, lists are joined, what is long is cut, the id is no fact', () => {
	const facts = new Map(
		plainFacts({ id: 'x', halfLifeSeconds: 720, allergens: ['nut-oil', 'latex'], note: '', deep: { a: 1 } })
	);
	expect([...facts]).toEqual([
		['Half life seconds', '720'],
		['Allergens', 'nut-oil, latex'],
		['Note', ''],
		['Deep', '{"a":1}']
	]);
	expect(plainFacts({ text: 'x'.repeat(500) })[0]![1]).toHaveLength(160);
});

test('two versions of a client, a session or a medium are told apart by their facts', () => {
	const differing = (kind: 'client' | 'medium', a: object, b: object) => {
		const of = (record: object) => kindOf(kind).facts!(record as never);
		return of(a).flatMap(([name, words], i) => (words === of(b)[i]![1] ? [] : [name]));
	};
	const client = { id: 'c', revision: 1, updatedAt: NOW, name: 'Bo', cautions: '', note: '', archived: false };
	expect(differing('client', client, { ...client, revision: 2, cautions: 'latex', archived: true })).toEqual([
		'Client alert',
		'Archived'
	]);
	const medium = { id: 'm', revision: 1, updatedAt: NOW, item: MEDIA[0]! };
	expect(differing('medium', medium, { ...medium, item: { ...MEDIA[0]!, note: 'other' } })).toEqual(['Note']);
});
