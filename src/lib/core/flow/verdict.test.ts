import { describe, expect, test } from 'vitest';
import { CONTEXT, pump, sequenceOf, step } from '../testing';
import { schoolById } from '../school/schools';
import type { Sequence } from '../sequence/sequence.schema';
import { stepsOf } from '../sequence/walk';
import { planOfSequence } from './compile';
import { programmeOf, startGrade } from './fixtures';
import { faceNetwork } from './network';
import { PairedRun, type PairedFigures } from './paired';
import { FLOW_PARAMETER_NAMES } from './parameterTable';
import { underSchool, VARIANT_IDS, variantOf } from './variants';
import type { OutcomeVerdict } from './comparison.schema';
import { fallOf, resultOf, toFivePercent, verdictOf } from './verdict';
import { hangsOnWords, shareWords, verdictWords } from './words';

/** Figures written by hand: two programmes, four draws. */
const figures = (a: number[], b: number[], start = 20): PairedFigures => {
	const columns = { all: [a, b], face: [a, b], eyes: [a, b], zones: [a, b] };
	const all = (xs: number[][]) => xs.map((x) => Float64Array.from(x));
	return {
		draws: a.length,
		startMl: new Float64Array(a.length).fill(start),
		outcomeStartMl: {} as PairedFigures['outcomeStartMl'],
		fallMl: Object.fromEntries(
			Object.entries(columns).map(([k, v]) => [k, all(v)])
		) as unknown as PairedFigures['fallMl'],
		parameters: Object.fromEntries(
			FLOW_PARAMETER_NAMES.map((n) => [n, Float64Array.from(a, (_, i) => i)])
		) as unknown as PairedFigures['parameters']
	};
};

describe('a verdict', () => {
	test('share, median and interval, by hand', () => {
		// Differences 1, 2, 3, -1: in three of four the first leaves less; the middle is 1.5 ml of 20, 7.5 %.
		const v = verdictOf(figures([3, 4, 5, 1], [2, 2, 2, 2]), 'all', 0, 1);
		expect([v.share, v.shownPercent, v.ml.median, v.practical]).toEqual([0.75, 75, 1.5, true]);
		expect(v.ofStart.median).toBeCloseTo(0.075, 12);
		// A twentieth of the way from the first to the last of four: between the first two, and between the last two.
		expect(v.ml.p5).toBeCloseTo(-0.7, 12);
		expect(v.ml.p95).toBeCloseTo(2.85, 12);
		expect(v.hangsOn).toEqual([]);
		expect(verdictWords(v, 'A', 'B', 4)).toBe(
			'“A” leaves less in all than “B” in about 75 % of 4 modelled faces; in the middle 1.5 ml less.'
		);
		expect(verdictWords(verdictOf(figures([2, 2, 2, 2], [3, 4, 5, 1]), 'eyes', 0, 1), 'A', 'B', 4)).toBe(
			'“B” leaves less under the eyes than “A” in about 75 % of 4 modelled faces; in the middle 1.5 ml less.'
		);
	});
	test('a median under one per cent of the start is no practical difference, followed by the share', () => {
		const v = verdictOf(figures([2.1, 2.2, 2.1, 1.9], [2, 2, 2, 2]), 'all', 0, 1);
		expect(v.practical).toBe(false);
		expect(verdictWords(v, 'A', 'B', 1000)).toBe(
			'No practical difference in all: “A” leaves a little less than “B” in about 75 % of 1,000 modelled faces.'
		);
		expect(verdictOf(figures([2.2, 2.2, 2.2, 2.2], [2, 2, 2, 2]), 'all', 0, 1).practical).toBe(true);
	});
	test('shares are shown in steps of five', () => {
		expect([0.8149, 0.825, 0.994, 0.02].map(toFivePercent)).toEqual([80, 85, 100, 0]);
		expect([shareWords(100), shareWords(0), shareWords(40)]).toEqual([
			'in practically all',
			'in practically none',
			'in about 40 %'
		]);
	});
	test('it names the parameters it hangs on: deep against light hangs on what depth costs', () => {
		const run = new PairedRun({
			programmes: [programmeOf('a'), programmeOf('d')],
			grades: Float64Array.from({ length: faceNetwork().zoneCount }, (_, z) => startGrade(z)),
			draws: 300,
			seed: 5
		});
		run.advance(300);
		const result = resultOf(run.figures);
		const v: OutcomeVerdict = result.verdicts.all[0]!;
		const names = v.hangsOn.map((h) => h.parameter);
		expect(names).toContain('fX');
		expect(names).toContain('sEta');
		expect(v.hangsOn.find((h) => h.parameter === 'fX')!.rho).toBeGreaterThan(0.3);
		expect(hangsOnWords(v).join()).toContain(
			'Extra filtration at full warmth, as share of K per second: the larger it is, the larger'
		);
		expect(result.falls.all[0]).toEqual(fallOf(run.figures, 'all', 0));
		expect(result.falls.all[0]!.median).toBeGreaterThan(result.falls.all[1]!.median);
	});
});

describe('other ways of one sequence', () => {
	const sequence = sequenceOf([
		pump('o', 'terminus', { side: 'both' }),
		step('a', ['buccal', 'jawline'], { end: { kind: 'link', places: ['n:submandibular'], pumps: 3, by: 'hand' } }),
		step('b', ['malar', 'zygoma'], { levels: [0, 4], aim: 'lift' })
	]);
	const stepsIn = (s: Sequence) => stepsOf(s).map((p) => p.step);
	test('each changes what it says and nothing else, and can be run', () => {
		for (const id of VARIANT_IDS) {
			const other = variantOf(sequence, id, 'v');
			expect(other.title.length).toBeGreaterThan(sequence.title.length);
			const plan = planOfSequence(other, CONTEXT);
			expect(plan.seconds).toBeGreaterThan(0);
		}
		const of = (id: (typeof VARIANT_IDS)[number]) => stepsIn(variantOf(sequence, id, 'v'));
		expect(of('reverse-order').map((s) => s.id)).toEqual(['b', 'a', 'o']);
		expect(of('opening-last').map((s) => s.id)).toEqual(['a', 'b', 'o']);
		expect(of('no-openings').map((s) => s.id)).toEqual(['a', 'b']);
		expect(of('no-links').map((s) => s.end.kind)).toEqual(['none', 'none', 'none']);
		expect(of('against-drainage').map((s) => s.places[0])).toEqual(['n:terminus', 'jawline', 'malar']);
		expect(of('deeper').map((s) => s.levels ?? s.pressure)).toEqual([2, 2, [1, 4]]);
		expect(of('lighter').map((s) => s.levels ?? s.pressure)).toEqual([0, 0, [0, 3]]);
	});
	test('under another school its drain policy keeps the links', () => {
		const other = underSchool(sequence, schoolById('drain-every-move'), 'v', CONTEXT.working);
		expect(other.school.id).toBe('drain-every-move');
		expect(stepsIn(other).filter((s) => s.end.kind === 'link')).toHaveLength(2);
	});
});
