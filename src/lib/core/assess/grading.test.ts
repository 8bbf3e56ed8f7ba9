import { describe, expect, test } from 'vitest';
import { NOW } from '../testing';
import { emptyAssessment, sameGrades, valueAt, withValue } from './assessment';
import { asAnotherTime, withGrade, withRestNone } from './grading';
import { GRADE_IDS } from './registry';

const [puffiness, tension] = GRADE_IDS as [(typeof GRADE_IDS)[number], (typeof GRADE_IDS)[number]];
const none = emptyAssessment(NOW);
const both = ['left', 'right'] as const;

describe('grading', () => {
	test('one grade on both sides, taken away again on one', () => {
		const given = withGrade(none, puffiness, 'malar', both, 2);
		expect(both.map((side) => valueAt(given, puffiness, { place: 'malar', side }))).toEqual([2, 2]);
		const less = withGrade(given, puffiness, 'malar', ['left'], null);
		expect(both.map((side) => valueAt(less, puffiness, { place: 'malar', side }))).toEqual([null, 2]);
		expect(valueAt(given, tension, { place: 'malar', side: 'left' })).toBeNull();
		expect(none.entries).toEqual([]);
	});

	test('the rest is none: what was felt stays', () => {
		const given = withGrade(none, puffiness, 'malar', ['left'], 3);
		const all = withRestNone(given, puffiness, ['malar', 'jawline']);
		expect(valueAt(all, puffiness, { place: 'malar', side: 'left' })).toBe(3);
		expect(valueAt(all, puffiness, { place: 'malar', side: 'right' })).toBe(0);
		expect(valueAt(all, puffiness, { place: 'jawline', side: 'left' })).toBe(0);
		expect(all.entries).toHaveLength(4);
	});

	test('as another time: only what is open, only what was felt then, only the zones asked for', () => {
		const was = withGrade(withGrade(none, puffiness, 'malar', both, 2), puffiness, 'submental', both, 1);
		const given = withGrade(none, puffiness, 'malar', ['left'], 4);
		const now = asAnotherTime(given, was, puffiness, ['malar', 'jawline']);
		expect(valueAt(now, puffiness, { place: 'malar', side: 'left' })).toBe(4);
		expect(valueAt(now, puffiness, { place: 'malar', side: 'right' })).toBe(2);
		expect(valueAt(now, puffiness, { place: 'jawline', side: 'left' })).toBeNull();
		expect(valueAt(now, puffiness, { place: 'submental', side: 'left' })).toBeNull();
		expect(asAnotherTime(given, null, puffiness, ['malar'])).toEqual(given);
	});
});

test('grades are the same whatever the tape says, and not where one more, or another, was given', () => {
	const at = { place: 'malar', side: 'left' } as const;
	const graded = withValue(emptyAssessment('2026-03-01T08:00:00.000Z'), 'puffiness', at, 2);
	const taped = withValue(graded, 'neck-upper', {}, 340);
	expect([sameGrades(graded, taped), sameGrades(null, emptyAssessment('2026-03-01T08:00:00.000Z'))]).toEqual([
		true,
		true
	]);
	expect(sameGrades(graded, withValue(graded, 'puffiness', at, 3))).toBe(false);
	expect(sameGrades(graded, withValue(graded, 'tension', at, 1))).toBe(false);
	expect(sameGrades(graded, null)).toBe(false);
});
