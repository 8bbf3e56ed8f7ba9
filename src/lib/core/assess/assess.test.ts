import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyEntry } from '../records/testing';
import { NOW } from '../testing';
import { DEFAULT_WORKING } from '../working/defaultWorking';
import { AssessmentSchema, EntrySchema } from './assessment.schema';
import { countOf, emptyAssessment, nextGrade, valueAt, withChoice, withValue, wordsAt } from './assessment';
import { allChanges, changeAt, changesOf, errorOf, mdc95, sameHour } from './change';
import { OBSERVATIONS } from './observations';
import { GRADE_IDS, gradeRow, HEADLINE_GRADE, HEADLINE_MEASURED, measuredRow, observation } from './registry';
import { comparableSessions, contextWords, minuteOfDay } from './sessions';
import { lengthText, readMeasured } from './units';
import { changeSentence, changeWords } from './wording';

const W = DEFAULT_WORKING;
const LEFT = { side: 'left' } as const;
const malar = (side: 'left' | 'right') => ({ place: 'malar', side }) as const;
const tape = (mm: number) => withValue(emptyAssessment(NOW), 'tragus-mouth-corner', LEFT, mm);

describe('is it real?', () => {
	test('by hand: MDC95 of a typical error of 1.1 mm is 1.96 × 1.41421 × 1.1 = 3.049 mm', () => {
		expect(mdc95(1.1)).toBeCloseTo(3.049, 3);
		expect(() => mdc95(0)).toThrow(/typicalError out of range > 0: 0/);
	});
	test('a distance: 3.0 mm may be error, 3.1 mm is not; another hour is not comparable', () => {
		const verdict = (mm: number | null, comparable = true) =>
			changeAt('tragus-mouth-corner', LEFT, tape(100), mm === null ? null : tape(mm), W, comparable).verdict;
		expect([verdict(97), verdict(96.9), verdict(null), verdict(90, false)]).toEqual([
			'within-error',
			'changed',
			'not-comparable',
			'not-comparable'
		]);
	});
	test('the sum of the three has a typical error of its own, 2.6 mm: ± 7.207 mm; without one part there is no sum', () => {
		const sum = (...mm: number[]) =>
			(['tragus-mouth-corner', 'jaw-angle-nose-wing', 'jaw-angle-outer-canthus'] as const).reduce(
				(a, id, i) => (mm[i] ? withValue(a, id, LEFT, mm[i]!) : a),
				emptyAssessment(NOW)
			);
		expect(errorOf('composite', W)).toBeCloseTo(7.207, 3);
		expect(changeAt('composite', LEFT, sum(100, 80, 90), sum(97, 78, 87.5), W)).toMatchObject({
			delta: -7.5,
			verdict: 'changed'
		});
		expect(changeAt('composite', LEFT, sum(100, 80, 90), sum(98, 78, 87), W).verdict).toBe('within-error');
		expect(valueAt(sum(100, 80), 'composite', LEFT)).toBeNull();
	});
	test('a grade, of whatever it is: one step may be error, more is noted; a single pair is never a change', () => {
		for (const id of GRADE_IDS) {
			const at = (grade: number) => withValue(emptyAssessment(NOW), id, malar('left'), grade);
			expect(changeAt(id, malar('left'), at(3), at(2), W).verdict, id).toBe('within-error');
			expect(changeAt(id, malar('left'), at(3), at(1), W).verdict, id).toBe('one-pair');
			expect(changeAt(id, malar('left'), at(4), at(0), W).verdict, id).toBe('one-pair');
		}
	});
	test('the same hour, around midnight too', () => {
		expect(sameHour(7 * 60, 8 * 60 + 29, W)).toBe(true);
		expect(sameHour(7 * 60, 19 * 60, W)).toBe(false);
		expect(sameHour(23 * 60 + 50, 20, W)).toBe(true);
		expect(minuteOfDay({ startedAt: '2026-03-01T23:30:00.000Z', zoneOffsetMinutes: 60 })).toBe(30);
		const visit = (startedAt: string) => ({ startedAt, zoneOffsetMinutes: 0 });
		expect(comparableSessions(visit('2026-03-01T07:00:00Z'), visit('2026-04-01T08:00:00Z'), W)).toBe(true);
	});
});

describe('assessments', () => {
	const before = withValue(
		withValue(emptyAssessment(NOW), 'puffiness', malar('left'), 3),
		'puffiness',
		malar('right'),
		1
	);
	test('not felt is absent, not nought; the assessment before stays as it was', () => {
		expect(valueAt(before, 'puffiness', { place: 'brow', side: 'left' })).toBeNull();
		expect(withValue(before, 'puffiness', malar('left'), null).entries).toHaveLength(1);
		expect(before.entries).toHaveLength(2);
		expect([nextGrade(null), nextGrade(3), nextGrade(4)]).toEqual([1, 4, 0]);
	});
	test('several readings: the mean of lengths, the median of grades; counted as one', () => {
		const entries = [100, 103].map((value, i) => ({
			observation: 'neck-upper' as const,
			value: value + 200,
			...(i ? { retake: 2 } : {})
		}));
		expect(valueAt({ entries }, 'neck-upper')).toBe(301.5);
		const grades = [1, 4, 3].map((value) => ({ observation: 'tension' as const, ...malar('left'), value }));
		expect(valueAt({ entries: grades }, 'tension', malar('left'))).toBe(3);
		expect(countOf({ entries: [...entries, ...grades] }, ['tension', 'neck-upper'])).toBe(2);
	});
	test('a choice takes the place of the one before it; what was told is said in words', () => {
		const told = withChoice(withChoice(withChoice([], 'sleep', 'over-7'), 'sleep', 'under-5'), 'also', 'flight');
		expect(wordsAt({ entries: told }, 'sleep')).toEqual(['under-5']);
		expect(contextWords(told)).toBe('sleep under 5 h, also flight');
		expect(withChoice(told, 'sleep', null)).toHaveLength(1);
	});
	test('what was set is read back, at every spot and for every observation', () => {
		fc.assert(
			fc.property(
				fc.array(anyEntry, { maxLength: 8 }),
				anyEntry,
				(entries, { observation: id, place, side, value }) => {
					const spot = { place, side };
					const set = withValue({ takenAt: NOW, entries }, id, spot, value);
					expect(AssessmentSchema.safeParse(set).success).toBe(true);
					if (typeof value === 'number') expect(valueAt(set, id, spot)).toBeCloseTo(value, 9);
					else expect(wordsAt(set, id)).toContain(value);
					expect(withValue(set, id, spot, null).entries.length).toBeLessThan(set.entries.length);
				}
			)
		);
	});
	test('an entry that its row does not allow is refused, with the field named', () => {
		const problem = (entry: object) => EntrySchema.safeParse(entry).error?.issues[0];
		expect(problem({ observation: 'puffiness', place: 'malar', value: 2 })?.path).toEqual(['side']);
		expect(problem({ observation: 'puffiness', side: 'left', value: 2 })?.message).toMatch(/zone by zone/);
		expect(problem({ observation: 'tension', ...malar('left'), value: 2.5 })?.message).toMatch(/whole grade/);
		expect(problem({ observation: 'neck-upper', side: 'left', value: 300 })?.path).toEqual(['side']);
		expect(problem({ observation: 'neck-upper', value: 30 })?.message).toMatch(/220 to 600 mm/);
		expect(problem({ observation: 'sleep', value: 'plenty' })?.message).toMatch(/under-5/);
		expect(problem({ observation: 'composite', ...LEFT, value: 300 })?.message).toMatch(/taken together/);
	});
});

describe('what changed, in words', () => {
	const felt = (id: 'puffiness' | 'tension', left: number, right: number) =>
		withValue(withValue(emptyAssessment(NOW), id, malar('left'), left), id, malar('right'), right);
	test('names only what is real, each observation in its own words', () => {
		const puffy = changesOf('puffiness', felt('puffiness', 3, 1), felt('puffiness', 1, 0), W);
		expect(puffy.map((c) => [c.side, c.delta, c.verdict])).toEqual([
			['left', -2, 'one-pair'],
			['right', -1, 'within-error']
		]);
		expect(changeSentence(puffy)).toEqual({
			real: '',
			rest: 'Graded: the left apple of the cheek from marked to slight; one pair of grades is not judged alone. The rest stays within measuring error.'
		});
		const tense = changesOf('tension', felt('tension', 4, 1), felt('tension', 1, 1), W);
		expect(changeSentence([...puffy, ...tense]).rest).toContain(
			'Graded: the left apple of the cheek from marked to slight and the tension of the left apple of the cheek from hard to slight;'
		);
		const neck = (mm: number) => withValue(emptyAssessment(NOW), 'neck-lower', {}, mm);
		const both = changeSentence([...changesOf('neck-lower', neck(360), neck(345), W), ...puffy]);
		expect(both.real).toBe('Changed: the lower neck measures 15.0 mm less.');
		expect(both.rest).toMatch(/^Graded: the left apple/);
		expect(changeSentence(changesOf('puffiness', felt('puffiness', 3, 1), null, W)).rest).toMatch(/looked at twice/);
	});
	test('a circumference, and a single distance that the sentence leaves to the table', () => {
		const neck = (mm: number) => withValue(emptyAssessment(NOW), 'neck-lower', {}, mm);
		const [change] = changesOf('neck-lower', neck(360), neck(345), W);
		expect(changeWords(change!)).toBe('the lower neck measures 15.0 mm less');
		expect(changeWords(changeAt('tragus-mouth-corner', LEFT, tape(104), tape(94), W))).toBeNull();
		expect(allChanges(neck(360), neck(345), W)).toHaveLength(1);
	});
});

test('lengths in both units; the record stays in mm; a slip is answered with what was probably meant', () => {
	expect([lengthText(104.5, 'mm'), lengthText(101.6, 'inch')]).toEqual(['104.5', '4.00']);
	expect(readMeasured('tragus-mouth-corner', '4', 'inch')).toEqual({ ok: true, value: 101.6 });
	expect(readMeasured('tragus-mouth-corner', '104,5', 'mm')).toEqual({ ok: true, value: 104.5 });
	const said = (text: string) => {
		const reading = readMeasured('tragus-mouth-corner', text, 'mm');
		return reading.ok ? '' : reading.message;
	};
	expect(said('10.4')).toMatch(/between 40.0 and 220.0 mm.*centimetres it would be 104.0/);
	expect([said('wide'), said('')].every((m) => m.includes('is no number'))).toBe(true);
	expect(said('-5')).toMatch(/cannot be tragus to mouth corner/);
});

test('the rows hold together: parts of a sum exist, one headline of each kind, words for every grade', () => {
	for (const id of Object.keys(OBSERVATIONS) as (keyof typeof OBSERVATIONS)[]) {
		const row = observation(id);
		if ('sumOf' in row && row.sumOf) for (const part of row.sumOf) expect(Object.keys(OBSERVATIONS)).toContain(part);
		expect(row.label.length, id).toBeGreaterThan(2);
	}
	expect([HEADLINE_GRADE, HEADLINE_MEASURED]).toEqual(['puffiness', 'composite']);
	expect(() => gradeRow('sleep')).toThrow(/not a grade: sleep/);
	expect(() => measuredRow('sleep')).toThrow(/not measured: sleep/);
});
