import { describe, expect, test } from 'vitest';
import { NOW } from '../testing';
import { DEFAULT_WORKING } from '../working/working.schema';
import { distanceChange, gradeChange, mdc95, sameHour, sumChange } from './distances';
import {
	distanceOf,
	distanceRows,
	emptyLook,
	gradeOf,
	minuteOfDay,
	withDistance,
	withGrade,
	zoneChanges
} from './look';
import { changeSentence } from './wording';

const W = DEFAULT_WORKING;

describe('is it real?', () => {
	test('by hand: MDC95 of a typical error of 1.1 mm is 1.96 × 1.41421 × 1.1 = 3.049 mm', () => {
		expect(mdc95(1.1)).toBeCloseTo(3.049, 3);
		expect(() => mdc95(0)).toThrow(/typicalError out of range > 0: 0/);
	});
	test('a distance: 3.0 mm may be error, 3.1 mm is not', () => {
		expect(distanceChange(100, 97, W).verdict).toBe('within-error');
		expect(distanceChange(100, 96.9, W).verdict).toBe('changed');
		expect(distanceChange(null, 96, W)).toMatchObject({ delta: null, verdict: 'not-comparable' });
		expect(distanceChange(100, 90, W, false).verdict).toBe('not-comparable');
	});
	test('the sum of three: 1.1 × √3 = 1.905 mm typical error, ± 5.28 mm', () => {
		expect(sumChange([100, 80, 90], [98, 78, 88], W)).toMatchObject({ delta: -6, verdict: 'changed' });
		expect(sumChange([100, 80, 90], [99, 78, 88], W)).toMatchObject({ delta: -5, verdict: 'within-error' });
		expect(sumChange([100, 80, null], [99, 78, 88], W).delta).toBeNull();
	});
	test('a grade: one step may be error, two are not', () => {
		expect(gradeChange(3, 2, W).verdict).toBe('within-error');
		expect(gradeChange(3, 1, W).verdict).toBe('changed');
	});
	test('the same hour, around midnight too', () => {
		expect(sameHour(7 * 60, 8 * 60 + 29, W)).toBe(true);
		expect(sameHour(7 * 60, 19 * 60, W)).toBe(false);
		expect(sameHour(23 * 60 + 50, 20, W)).toBe(true);
		expect(minuteOfDay({ startedAt: '2026-03-01T23:30:00.000Z', zoneOffsetMinutes: 60 })).toBe(30);
	});
});

describe('looks', () => {
	const before = withGrade(
		withGrade(emptyLook(NOW), 'puffiness', 'malar', 'left', 3),
		'puffiness',
		'malar',
		'right',
		1
	);
	test('not felt is absent, not nought', () => {
		expect(gradeOf(before, 'puffiness', 'brow', 'left')).toBeNull();
		const taken = withGrade(before, 'puffiness', 'malar', 'left', null);
		expect(taken.grades).toHaveLength(1);
		expect(before.grades).toHaveLength(2);
	});
	test('changes, figures and the sentence name only what is real', () => {
		let after = withGrade(emptyLook(NOW), 'puffiness', 'malar', 'left', 1);
		after = withGrade(after, 'puffiness', 'malar', 'right', 0);
		const changes = zoneChanges(before, after, 'puffiness', W);
		expect(changes.map((c) => [c.side, c.delta, c.verdict])).toEqual([
			['left', -2, 'changed'],
			['right', -1, 'within-error']
		]);
		const sentence = changeSentence(changes, distanceRows(before, after, W));
		expect(sentence.real).toBe('Changed: the left apple of the cheek from marked to slight.');
		expect(changeSentence(zoneChanges(before, null, 'puffiness', W), []).rest).toMatch(/looked at twice/);
	});
	test('distances: set, replaced, taken away; the sum comes with them', () => {
		let look = withDistance(emptyLook(NOW), 'tragus-mouth-corner', 'left', 105);
		look = withDistance(look, 'tragus-mouth-corner', 'left', 104);
		expect(distanceOf(look, 'tragus-mouth-corner', 'left')).toBe(104);
		const rows = distanceRows(look, withDistance(look, 'tragus-mouth-corner', 'left', null), W);
		expect(rows).toHaveLength(8);
		expect(rows[0]!.change).toMatchObject({ before: 104, after: null, verdict: 'not-comparable' });
	});
});
