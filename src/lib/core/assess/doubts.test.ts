import { expect, test } from 'vitest';
import { emptyAssessment, withValue } from './assessment';
import { entryQuestion, usualOf } from './doubts';

const NOW = '2026-03-01T08:00:00.000Z';
const LEFT = { side: 'left' } as const;
const none = emptyAssessment(NOW);
const before = (mm: number) => withValue(none, 'tragus-mouth-corner', LEFT, mm);

test('centimetres, inches and a digit too many are asked with what they would be; the usual is not', () => {
	const asked = (mm: number) => entryQuestion(none, null, 'tragus-mouth-corner', LEFT, mm, 'mm');
	expect(asked(104)).toBeNull();
	expect(asked(10.4)).toEqual({
		words: '10.4 mm is unusual for tragus to mouth corner. In centimetres it would be 104.0 mm.',
		instead: { label: 'Take 104.0', values: [['tragus-mouth-corner', 104]] }
	});
	expect(asked(4.3)?.words).toMatch(/In inches it would be 109\.2 mm/);
	expect(asked(1140)?.instead?.label).toBe('Take 114.0');
	expect(asked(160)).toEqual({
		words: '160.0 mm is unusual for tragus to mouth corner. If the tape says so, leave it.',
		instead: null
	});
	expect(entryQuestion(none, null, 'composite', LEFT, 3, 'mm')).toBeNull();
});
test('of somebody known her own readings count, on that side only', () => {
	const asked = (mm: number, side: 'left' | 'right') =>
		entryQuestion(none, before(104), 'tragus-mouth-corner', { side }, mm, 'mm');
	expect(asked(124, 'left')?.words).toBe('124.0 mm is far from her 104.0 mm of before. If the tape says so, leave it.');
	expect(asked(124, 'right')).toBeNull();
	expect(entryQuestion(none, before(104), 'tragus-mouth-corner', LEFT, 124, 'inch')?.words).toMatch(/^4\.88 inch/);
});
test('two that were exchanged are put right together', () => {
	const usual = withValue(before(118), 'jaw-angle-nose-wing', LEFT, 84);
	const entered = withValue(none, 'tragus-mouth-corner', LEFT, 84);
	expect(entryQuestion(entered, usual, 'jaw-angle-nose-wing', LEFT, 118, 'mm')).toEqual({
		words: '118.0 mm and 84.0 mm fit better the other way round: jaw angle to nose wing and tragus to mouth corner.',
		instead: {
			label: 'Exchange them',
			values: [
				['jaw-angle-nose-wing', 84],
				['tragus-mouth-corner', 118]
			]
		}
	});
});
test('her usual is the middle of all earlier readings; one slip among them does not count', () => {
	const usual = usualOf([before(104), before(105), before(140)]);
	expect(entryQuestion(none, usual, 'tragus-mouth-corner', LEFT, 106, 'mm')).toBeNull();
	expect(entryQuestion(none, usual, 'tragus-mouth-corner', LEFT, 140, 'mm')?.words).toMatch(/far from her 105\.0 mm/);
	expect(usualOf([]).entries).toEqual([]);
});
