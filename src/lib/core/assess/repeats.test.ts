import { describe, expect, test } from 'vitest';
import { NOW } from '../testing';
import { DEFAULT_WORKING } from '../working/defaultWorking';
import { emptyAssessment, withValue, valueAt } from './assessment';
import { changeAt, errorOf } from './change';
import { errorFunnel, ownTapeErrors, readingsAt, repeatedOnly, withReading } from './repeats';
import { TAPE_GUIDES } from './tapeGuides';
import { ENTERED_MEASURED_IDS } from './registry';

const spot = { side: 'left' as const };
const taken = (...mm: number[]) =>
	mm.reduce((a, value, i) => withReading(a, 'jaw-angle-nose-wing', spot, i + 1, value), emptyAssessment(NOW));

describe('repeats', () => {
	test('each reading stands by itself; the value is their mean', () => {
		const twice = taken(84, 85);
		expect([...readingsAt(twice, 'jaw-angle-nose-wing', spot)]).toEqual([
			[1, 84],
			[2, 85]
		]);
		expect(valueAt(twice, 'jaw-angle-nose-wing', spot)).toBe(84.5);
		const mended = withReading(twice, 'jaw-angle-nose-wing', spot, 2, 83);
		expect(valueAt(mended, 'jaw-angle-nose-wing', spot)).toBe(83.5);
		expect(valueAt(withReading(mended, 'jaw-angle-nose-wing', spot, 2, null), 'jaw-angle-nose-wing', spot)).toBe(84);
	});

	test('the own error: √((6·1.1² + Σ(x − x̄)²) / (6 + n)), and nothing where nothing was repeated', () => {
		expect(ownTapeErrors([taken(84)], DEFAULT_WORKING)).toEqual({});
		// Two pairs, 2 mm and 4 mm apart: 2 + 8.
		const own = ownTapeErrors([taken(84, 86), taken(90, 94)], DEFAULT_WORKING)['jaw-angle-nose-wing']!;
		expect(own).toMatchObject({ df: 8, ownDf: 2 });
		expect(own.te).toBeCloseTo(Math.sqrt((6 * DEFAULT_WORKING.distanceErrorMm ** 2 + 10) / 8), 9);
		expect(own.own).toBeCloseTo(Math.sqrt(5), 9);
	});

	test('a sum has the error of its own repeats: parts that err against one another cancel', () => {
		const parts = ['tragus-mouth-corner', 'jaw-angle-nose-wing', 'jaw-angle-outer-canthus'] as const;
		const sets = [
			[100, 84, 96],
			[102, 82, 96]
		];
		const assessment = sets.reduce(
			(a, values, take) => values.reduce((b, mm, i) => withReading(b, parts[i]!, spot, take + 1, mm), a),
			emptyAssessment(NOW)
		);
		const own = ownTapeErrors([assessment], DEFAULT_WORKING);
		expect(own.composite!.own).toBe(0);
		expect(own['tragus-mouth-corner']!.own).toBeCloseTo(Math.SQRT2, 9);
	});

	test('a practitioner who measures loosely is told less: the same 4 mm are within her error', () => {
		const [before, after] = [taken(90), taken(86)];
		const change = (own = {}) =>
			changeAt('jaw-angle-nose-wing', spot, before, after, DEFAULT_WORKING, true, own).verdict;
		expect(change()).toBe('changed');
		const loose = ownTapeErrors(
			Array.from({ length: 10 }, () => taken(80, 85)),
			DEFAULT_WORKING
		);
		expect(change(loose)).toBe('within-error');
		expect(errorOf('jaw-angle-nose-wing', DEFAULT_WORKING, loose)).toBeCloseTo(
			loose['jaw-angle-nose-wing']!.mdcDecision,
			9
		);
	});

	test('every distance that is entered has its guide', () => {
		expect(Object.keys(TAPE_GUIDES).sort()).toEqual([...ENTERED_MEASURED_IDS].sort());
	});

	test('the error grows surer with each moment of repeats: the last one is what counts, its interval the narrowest', () => {
		const moments = [taken(80, 82), taken(90), taken(81, 80), taken(79, 80, 81)];
		const funnel = errorFunnel(moments, 'jaw-angle-nose-wing', DEFAULT_WORKING);
		expect(funnel.map((f) => f.ownDf)).toEqual([1, 2, 4]);
		expect(funnel.at(-1)).toEqual(ownTapeErrors(moments, DEFAULT_WORKING)['jaw-angle-nose-wing']);
		const width = ({ interval: [low, high] }: { interval: readonly [number, number] }) => high / low;
		expect(width(funnel[2]!)).toBeLessThan(width(funnel[0]!));
	});

	test('what was measured once says nothing of the error, and is left out; of the rest the distances alone', () => {
		expect(repeatedOnly(taken(80))).toEqual([]);
		const graded = withValue(taken(80, 82), 'puffiness', { place: 'malar', side: 'left' }, 2);
		expect(repeatedOnly(graded)[0]!.entries.map((e) => e.observation)).toEqual([
			'jaw-angle-nose-wing',
			'jaw-angle-nose-wing'
		]);
	});
});
