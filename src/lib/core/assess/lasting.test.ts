import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { seededRandom } from '../random';
import { emptyAssessment, withValue } from './assessment';
import { atOnceOf, lastingOf, leftLessRight, meanOfSides, onSide } from './lasting';

const ID = 'tragus-mouth-corner';
const LEFT = onSide(ID, 'left');
const taken = (mm: number) => withValue(emptyAssessment('2026-01-01T08:00:00.000Z'), ID, { side: 'left' }, mm);
/** A visit so many days after the first, at an hour. */
const visit = (day: number, before: number, after: number | null = null, hour = 8) => ({
	startedAt: new Date(Date.UTC(2026, 0, 1 + day, hour)).toISOString(),
	zoneOffsetMinutes: 0,
	before: taken(before),
	after: after === null ? null : taken(after)
});

describe('at once', () => {
	test('by hand: −1, −2, −3 are −2 ± 4.303 · 1 / √3', () => {
		const got = atOnceOf([visit(0, 100, 99), visit(7, 100, 98), visit(14, 100, 97)], LEFT);
		expect(got).toMatchObject({ middle: -2, n: 3, verdict: 'may-be-chance' });
		expect([got.low, got.high]).toEqual([expect.closeTo(-4.484, 3), expect.closeTo(0.484, 3)]);
	});
	test('two sessions are too few, the other side says nothing', () => {
		expect(atOnceOf([visit(0, 100, 90), visit(7, 100, 90)], LEFT).verdict).toBe('too-few');
		expect(atOnceOf([visit(0, 100, 90)], onSide(ID, 'right'))).toMatchObject({ n: 0, verdict: 'too-few' });
		const steady = Array.from({ length: 6 }, (_, i) => visit(i, 100, 98 + (i % 2) / 10));
		expect(atOnceOf(steady, LEFT).verdict).toBe('less');
	});
});

describe('lasting', () => {
	test('a fall of half a millimetre a week is found at one hour; other hours say less', () => {
		const fall = Array.from({ length: 12 }, (_, i) => visit(7 * i, 104 - 0.5 * i + ((i * 7) % 5) / 20));
		expect(lastingOf(fall, LEFT)).toMatchObject({ n: 12, verdict: 'less' });
		expect(lastingOf(fall, LEFT).middle).toBeCloseTo(-0.5, 1);
		expect(lastingOf(fall.slice(0, 7), LEFT)).toMatchObject({ n: 7, verdict: 'too-few' });
		// Mornings first, one evening at the end: that one compares with nothing.
		const late = [...fall.slice(0, 8), visit(60, 90, null, 18)];
		expect(lastingOf(late, LEFT).n).toBe(8);
		// Four mornings, then four evenings: fewer pairs, and a wider interval.
		const noisy = (evenings: boolean) =>
			Array.from({ length: 8 }, (_, i) =>
				visit(7 * i, 104 - 0.5 * i + ((i * 7) % 5), null, evenings && i > 3 ? 18 : 8)
			);
		const width = ({ low, high }: { low: number; high: number }) => high - low;
		expect(width(lastingOf(noisy(true), LEFT))).toBeGreaterThan(width(lastingOf(noisy(false), LEFT)));
	});
	test('a level for each hour says nothing', () => {
		fc.assert(
			fc.property(fc.integer({ min: -8, max: 8 }), fc.integer({ min: 0, max: 1000 }), (by, seed) => {
				const random = seededRandom(seed);
				const visits = Array.from({ length: 14 }, (_, i) => ({ day: 5 * i, mm: 100 + 3 * random(), late: i % 2 }));
				const at = (raise: number) =>
					lastingOf(
						visits.map(({ day, mm, late }) => visit(day, mm + raise * late, null, late ? 18 : 8)),
						LEFT
					);
				expect(at(by).middle).toBeCloseTo(at(0).middle, 6);
				expect(at(by).verdict).toBe(at(0).verdict);
			}),
			{ numRuns: 40 }
		);
	});
	test('where nothing changes it is seldom said that something does', () => {
		let said = 0;
		for (let client = 0; client < 200; client++) {
			const random = seededRandom(1000 + client);
			const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
			const visits = Array.from({ length: 12 }, (_, i) => visit(5 * i, 100 + 2 * normal()));
			const { verdict } = lastingOf(visits, LEFT);
			if (verdict === 'less' || verdict === 'more') said++;
		}
		// 5 of 100, and three standard errors of 200 clients.
		expect(said / 200).toBeLessThan(0.05 + 3 * Math.sqrt((0.05 * 0.95) / 200));
	});
});

test('what lies between the sides, and the mean of both, need both', () => {
	const sides = withValue(taken(104), ID, { side: 'right' }, 101);
	expect([leftLessRight(ID)(sides), meanOfSides(ID, true)(sides)]).toEqual([3, 102.5]);
	expect([leftLessRight(ID)(taken(104)), meanOfSides(ID, true)(taken(104)), leftLessRight(ID)(null)]).toEqual([
		null,
		null,
		null
	]);
	const neck = withValue(taken(104), 'neck-upper', {}, 340);
	expect(meanOfSides('neck-upper', false)(neck)).toBe(340);
});
