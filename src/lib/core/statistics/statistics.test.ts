import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { seededRandom } from '../random';
import { normalBelow, normalQuantile, tBelow, tQuantile } from './distributions';
import { gradeThreshold, signFlip, signTest } from './grades';
import { lagOne, trendOf, type Point } from './trend';
import { changeTest, holm, typicalError } from './typicalError';

const number = fc.integer({ min: -50, max: 50 });

test('what lies below a quantile is its share; t of many degrees is normal', () => {
	fc.assert(
		fc.property(fc.double({ min: 0.001, max: 0.999, noNaN: true }), fc.integer({ min: 1, max: 200 }), (p, df) => {
			expect(tBelow(tQuantile(p, df), df)).toBeCloseTo(p, 9);
			expect(normalBelow(normalQuantile(p))).toBeCloseTo(p, 9);
			expect(tQuantile(1 - p, df)).toBeCloseTo(-tQuantile(p, df), 6);
		}),
		{ numRuns: 60 }
	);
	expect(tBelow(1.3, 2e6)).toBeCloseTo(normalBelow(1.3), 9);
});

describe('typical error', () => {
	test('by hand: pairs that differ by 0.2 and 0.4 have a variance of 0.02 and 0.08, in the middle 0.05', () => {
		const { te, own, ownDf, mdc95 } = typicalError([[1, 1.2], [7, 7.4], [3]], null);
		expect([te, own, ownDf]).toEqual([expect.closeTo(Math.sqrt(0.05), 12), expect.closeTo(Math.sqrt(0.05), 12), 2]);
		expect(mdc95).toBeCloseTo(1.96 * Math.SQRT2 * te, 4);
		expect(() => typicalError([[3]], null)).toThrow(RangeError);
		expect(typicalError([], { te: 1.1, df: 6 })).toMatchObject({ own: null, df: 6, te: expect.closeTo(1.1, 12) });
	});
	test('the level of a set says nothing; a change grows more certain with more readings', () => {
		const sets = fc.array(fc.array(number, { minLength: 2, maxLength: 4 }), { minLength: 1, maxLength: 6 });
		fc.assert(
			fc.property(sets, number, (list, by) => {
				const prior = { te: 1, df: 6 };
				const raised = list.map((set, i) => set.map((v) => v + by * i));
				expect(typicalError(raised, prior).te).toBeCloseTo(typicalError(list, prior).te, 9);
			})
		);
		const error = { te: 1, df: 12 };
		expect(changeTest(2, error, 3, 3).p).toBeLessThan(changeTest(2, error).p);
		expect(changeTest(-2, error).p).toBe(changeTest(2, error).p);
	});
	test('Holm: none becomes smaller, their order stays, the smallest counts for all', () => {
		fc.assert(
			fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 8 }), (ps) => {
				const adjusted = holm(ps);
				ps.forEach((p, i) => expect(adjusted[i]).toBeGreaterThanOrEqual(p));
				expect(Math.min(...adjusted)).toBeCloseTo(Math.min(1, ps.length * Math.min(...ps)), 12);
				for (const [i, p] of ps.entries())
					for (const [j, q] of ps.entries()) if (p < q) expect(adjusted[i]).toBeLessThanOrEqual(adjusted[j]!);
			})
		);
	});
});

describe('trend', () => {
	const points = fc
		.array(number, { minLength: 4, maxLength: 14 })
		.map((ys) => ys.map((y, i): Point => [i * 3 + (i % 2), y]));
	test('a constant for each bin says nothing; it scales with y, and against t', () => {
		fc.assert(
			fc.property(points, number, (list, by) => {
				const bins = list.map((_, i) => i % 2);
				const plain = trendOf(list, { bins });
				const raised = trendOf(
					list.map(([x, y], i): Point => [x, y + by * bins[i]!]),
					{ bins }
				);
				expect([raised.slope, raised.s, raised.p]).toEqual([plain.slope, plain.s, plain.p]);
				const scaled = trendOf(
					list.map(([x, y]): Point => [x / 7, 2 * y]),
					{ bins }
				);
				expect(scaled.slope).toBeCloseTo(14 * plain.slope, 6);
				// Kendall's test goes by ranks.
				const bent = trendOf(
					list.map(([x, y]): Point => [x, y ** 3 + y]),
					{ bins }
				);
				expect([bent.s, bent.p]).toEqual([plain.s, plain.p]);
			})
		);
	});
	test('neighbours that are alike make it less certain', () => {
		const rising = Array.from({ length: 12 }, (_, i): Point => [i, i + (i % 3)]);
		expect(trendOf(rising, { inflate: 3 }).p).toBeGreaterThan(trendOf(rising).p);
		expect(lagOne([1, 2, 3, 4, 5, 6])).toBeCloseTo(0.5, 12);
		expect([lagOne([]), lagOne([2, 2])]).toEqual([0, 0]);
	});
});

describe('grades', () => {
	test('what counts as a change of one pair is what error alone gives in at most 5 of 100; worse graders need more', () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 0, max: 30 }), { minLength: 5, maxLength: 5 }), (counts) => {
				const { steps, share } = gradeThreshold(counts);
				expect(share).toBeLessThanOrEqual(0.05);
				expect(gradeThreshold(counts.map((c, i) => (i === 4 ? c + 50 : c))).steps).toBeGreaterThanOrEqual(steps);
			})
		);
		expect(gradeThreshold([0, 0, 0, 0, 0]).steps).toBe(3);
		expect(gradeThreshold([20, 9, 1, 0, 0]).steps).toBe(2);
	});
	test('the order of sessions and of zones says nothing; equal seeds give equal draws', () => {
		const session = fc.tuple(number, number, number);
		fc.assert(
			fc.property(fc.array(session, { minLength: 3, maxLength: 8 }), (list) => {
				const plain = signFlip(list, () => 0);
				expect(signFlip(list.toReversed(), () => 0).pFamily).toEqual(plain.pFamily);
				const other = signFlip(
					list.map(([a, b, c]) => [c, b, a]),
					() => 0
				);
				expect(other.pFamily.toReversed()).toEqual(plain.pFamily);
				plain.p.forEach((p, i) => expect(plain.pFamily[i]).toBeGreaterThanOrEqual(p));
			}),
			{ numRuns: 40 }
		);
		const many = Array.from({ length: 14 }, (_, i) => [i % 3 ? -1 : 0, i % 2 ? 1 : -1]);
		const drawn = (seed: number) => signFlip(many, seededRandom(seed), 500);
		expect(drawn(3)).toEqual(drawn(3));
		expect([drawn(3).exact, drawn(3).p[0]! < 0.02, drawn(3).p[1]! > 0.5]).toEqual([false, true, true]);
		expect(() => signFlip([], () => 0)).toThrow(RangeError);
		expect(signTest([])).toEqual({ p: 1, higher: 0, lower: 0 });
	});
});
