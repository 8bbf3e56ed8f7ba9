import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { editTo } from '../sequence/editTo';
import type { Sequence } from '../sequence/sequence.schema';
import { stepsOf } from '../sequence/walk';
import { pump, sequenceOf, step } from '../testing';
import { alignLines, withText } from './align';
import { parse } from './parse';
import { print } from './print';

let n = 0;
const newId = () => `new-${n++}`;

describe('ids', () => {
	const before = sequenceOf([
		pump('a', 'terminus'),
		pump('b', 'tonsillar'),
		step('c', ['malar', 'zygoma']),
		step('d', ['chin', 'jawline'])
	]);
	const ids = (s: Sequence) => stepsOf(s).map((p) => p.step.id);
	const edited = (change: (text: string) => string) => withText(before, parse(change(print(before))), newId);
	test('stay where a line is changed, where one is added and where one goes', () => {
		expect(ids(edited((t) => t.replace('apple of the cheek > cheekbone', 'malar > zygoma > preauricular')))).toEqual([
			'a',
			'b',
			'c',
			'd'
		]);
		expect(ids(edited((t) => t.replace('drain apple', 'open n:submental\ndrain apple')))).toEqual([
			'a',
			'b',
			expect.stringMatching(/^new/),
			'c',
			'd'
		]);
		expect(ids(edited((t) => t.replace(/open nodes below the ear.*\n/, '')))).toEqual(['a', 'c', 'd']);
	});
	test('go with a line that is moved', () => {
		const lines = print(before).split('\n');
		const at = lines.findIndex((l) => l.startsWith('open collarbone nodes'));
		const moved = [...lines.slice(0, at), ...lines.slice(at + 1, -1), lines[at]!, ''].join('\n');
		expect(ids(withText(before, parse(moved), newId))).toEqual(['b', 'c', 'd', 'a']);
	});
	test('an unchanged text changes nothing, and untouched steps stay the same objects', () => {
		expect(
			editTo(
				before,
				edited((t) => t),
				'x'
			)
		).toBeNull();
		const after = edited((t) => t.replace('drain chin > jawline', 'drain chin > jawline > masseter'));
		expect(after.phases[0]!.blocks[0]!.steps[0]).toBe(before.phases[0]!.blocks[0]!.steps[0]);
		expect(editTo(before, after, 'x')!.patch).toHaveLength(1);
	});
	test('a line is never given to two, whatever is done to the text', () => {
		const line = fc.constantFrom('a', 'b', 'c', 'd', 'e');
		fc.assert(
			fc.property(fc.array(line, { maxLength: 12 }), fc.array(line, { maxLength: 12 }), (a, b) => {
				const given = alignLines(a, b).filter((i) => i >= 0);
				expect(new Set(given).size).toBe(given.length);
				expect(given.length).toBeLessThanOrEqual(Math.min(a.length, b.length));
				if (a.join() === b.join()) expect(alignLines(a, b)).toEqual(a.map((_, i) => i));
			})
		);
	});
});
