import { describe, expect, test } from 'vitest';
import { schoolById } from '$lib/core/school/schools';
import { CONTEXT, pump, sequenceOf, step } from '$lib/core/testing';
import { rowOf, wishedRows, type Wish } from './overview';

const used = new Map([
	['b', '2026-03-01T08:00:00.000Z'],
	['c', '2026-02-01T08:00:00.000Z']
]);
const row = (
	id: string,
	title: string,
	change: Parameters<typeof sequenceOf>[1],
	updatedAt: string,
	archived = false
) =>
	rowOf(
		{ sequence: sequenceOf([pump('p', 'terminus')], { id, title, ...change }), archived, updatedAt },
		used,
		CONTEXT
	);
const ROWS = [
	row('a', 'Evening jaw', { goals: [{ id: 'under-eye', weight: 1 }] }, '2026-03-03T00:00:00.000Z'),
	row('b', 'Morning ferry', { notes: 'for a flat sleeper' }, '2026-03-01T00:00:00.000Z'),
	row('c', 'Crown walk', { school: schoolById('crown-down') }, '2026-03-02T00:00:00.000Z'),
	row('d', 'Put away', {}, '2026-03-04T00:00:00.000Z', true)
];
const titles = (wish: Partial<Wish>) =>
	wishedRows(ROWS, { words: '', school: '', sort: 'used', archived: false, ...wish }).map((r) => r.sequence.title);

describe('the overview', () => {
	test('sorts by use, change, title and length', () => {
		expect(titles({})).toEqual(['Morning ferry', 'Crown walk', 'Evening jaw']);
		expect(titles({ sort: 'changed' })).toEqual(['Evening jaw', 'Crown walk', 'Morning ferry']);
		expect(titles({ sort: 'title' })).toEqual(['Crown walk', 'Evening jaw', 'Morning ferry']);
		const long = rowOf(
			{ sequence: sequenceOf([step('s', ['chin', 'jawline'])], { id: 'l', title: 'Long' }), updatedAt: '' },
			used,
			CONTEXT
		);
		expect(
			wishedRows([long, ...ROWS], { words: '', school: '', sort: 'length', archived: false }).at(-1)!.sequence.title
		).toBe('Long');
	});
	test('finds by words of title, goals, school and notes, in any order', () => {
		expect(titles({ words: 'sleeper morning' })).toEqual(['Morning ferry']);
		expect(titles({ words: 'eye' })).toEqual(['Evening jaw']);
		expect(titles({ words: 'nothing such' })).toEqual([]);
	});
	test('parts by school and archive', () => {
		expect(titles({ school: 'crown-down' })).toEqual(['Crown walk']);
		expect(titles({ archived: true })).toEqual(['Put away']);
	});
});
