import fc from 'fast-check';
import { expect, test } from 'vitest';
import { gradeShape, linesOf } from './cardShapes';

test('lines hold all words in their order, none longer than asked unless a single word is', () => {
	fc.assert(
		fc.property(fc.array(fc.stringMatching(/^[a-z]{1,12}$/)), fc.integer({ min: 4, max: 40 }), (words, most) => {
			const lines = linesOf(words.join(' '), most);
			expect(lines.join(' ')).toBe(words.join(' '));
			for (const line of lines) expect(line.length <= most || !line.includes(' ')).toBe(true);
		})
	);
	expect(linesOf('', 10)).toEqual([]);
});
test('the right side is another outline than the left', () => {
	const [left, right] = (['left', 'right'] as const).map((side) => gradeShape({ zone: 'malar', side }));
	expect(left).not.toBe('');
	expect(right).not.toBe(left);
});
