import fc from 'fast-check';
import { sampleRankCorrelation } from 'simple-statistics';
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
import { underSchool, VARIANT_IDS, variantOf, variantsFor } from './variants';
import type { OutcomeVerdict } from './comparison.schema';
import { OUTCOME_IDS } from './outcomeIds';
import { rankCorrelation, ranksOf } from './ranks';
import { intervalOf, oftenWords, percentText, shownPercent } from './share';
import { resultOf, sameFigures, verdictOf } from './verdict';
import { WHERE_HELD, WHERE_PARTS } from './where';
import { hangsOnWords, intervalWords, leads, verdictWords } from './words';

/** Figures written by hand: two programmes, each draw of them; what the measure holds is all fluid unless said otherwise. */
const figures = (a: readonly number[], b: readonly number[], start = 20, held = start): PairedFigures => {
	const columns = [a, b].map((xs) => Float64Array.from(xs));
	const fill = (ml: number) => new Float64Array(a.length).fill(ml);
	return {
		draws: a.length,
		startMl: fill(start),
		outcomeStartMl: Object.fromEntries(OUTCOME_IDS.map((m) => [m, fill(held)])) as PairedFigures['outcomeStartMl'],
		fallMl: Object.fromEntries(OUTCOME_IDS.map((m) => [m, columns])) as unknown as PairedFigures['fallMl'],
		whereMl: Object.fromEntries(WHERE_PARTS.map((w) => [w, columns])) as unknown as PairedFigures['whereMl'],
		parameters: Object.fromEntries(
			FLOW_PARAMETER_NAMES.map((n, k) => [n, Float64Array.from(a, (_, i) => (k % 2 ? i : (7 * i) % 31))])
		) as unknown as PairedFigures['parameters'],
		touched: columns.map(() => FLOW_PARAMETER_NAMES)
	};
};
/** Ten times the same faces: fewer tell nothing. */
const tenfold = (list: readonly number[]): number[] => Array.from({ length: 10 }, () => list).flat();
const WORKED_GRADES = Float64Array.from({ length: faceNetwork().zoneCount }, (_, z) => startGrade(z));
const runOf = (names: Parameters<typeof programmeOf>[0][], draws: number, seed = 5) => {
	const run = new PairedRun({ programmes: names.map(programmeOf), grades: WORKED_GRADES, draws, seed });
	run.advance(draws);
	return run.figures;
};

describe('a verdict', () => {
	test('share, median and interval, by hand', () => {
		// Differences 1, 2, 3, -1: in three of four the first leaves less; the middle is 1.5 ml of 20, 7.5 %.
		const v = verdictOf(figures([3, 4, 5, 1], [2, 2, 2, 2]), 'all', 0, 1);
		expect([v.lessIn, v.moreIn, v.ml.median, v.practical]).toEqual([3, 1, 1.5, true]);
		expect(v.ofHeld!.median).toBeCloseTo(0.075, 12);
		// A twentieth of the way from the first to the last of four: between the first two, and between the last two.
		expect(v.ml.p5).toBeCloseTo(-0.7, 12);
		expect(v.ml.p95).toBeCloseTo(2.85, 12);
		expect(v.hangsOn).toEqual([]);
		expect(verdictWords(v, 'A', 'B', 4)).toBe(
			'Too few faces to say who leads in all: the two differ in 4 of 4 modelled faces.'
		);
		const [more, less] = [tenfold([3, 4, 5, 1]), tenfold([2, 2, 2, 2])];
		expect(verdictWords(verdictOf(figures(more, less), 'all', 0, 1), 'A', 'B', 40)).toBe(
			'“A” leaves less in all than “B” in about 75 % of 40 modelled faces; in the middle 1.5 ml less.'
		);
		expect(verdictWords(verdictOf(figures(less, more), 'eyes', 0, 1), 'A', 'B', 40)).toBe(
			'“B” leaves less under the eyes than “A” in about 75 % of 40 modelled faces; in the middle 1.5 ml less.'
		);
	});
	test('nobody leads where half of the faces lie within what so many tell; little is no practical difference', () => {
		// 12 of 20: by Wilson 38 to 78 %, by hand.
		const close = verdictOf(
			figures([...Array<number>(12).fill(3), ...Array<number>(8).fill(1)], Array<number>(20).fill(2)),
			'all',
			0,
			1
		);
		expect(verdictWords(close, 'A', 'B', 20)).toMatch(/^No difference in all that has a direction/);
		// Five per cent of what the lids hold, and yet less than a drop.
		expect(verdictOf(figures([2.02], [2], 20, 0.4), 'eyes', 0, 1).practical).toBe(false);
	});
	test('a median under one per cent of what the measure holds is no practical difference, followed by the share', () => {
		const v = verdictOf(figures(tenfold([2.1, 2.2, 2.1, 1.9]), tenfold([2, 2, 2, 2])), 'all', 0, 1);
		expect(v.practical).toBe(false);
		expect(verdictWords(v, 'A', 'B', 1000)).toBe(
			'No practical difference in all: “A” leaves a little less than “B” in about 75 % of the 40 of 1,000 modelled faces in which they differ.'
		);
		expect(verdictOf(figures([2.2, 2.2, 2.2, 2.2], [2, 2, 2, 2]), 'all', 0, 1).practical).toBe(true);
		// 0.1 ml is half a per cent of 20 ml of all fluid, and five per cent of the 2 ml under the eyes.
		expect(verdictOf(figures([2.1], [2], 20, 2), 'eyes', 0, 1).practical).toBe(true);
		expect(verdictOf(figures([2.1], [2], 20, 20), 'eyes', 0, 1).practical).toBe(false);
	});
	test('ties are ties: a sequence against itself is the same, noise is no difference, shares are of the rest', () => {
		const same = verdictOf(runOf(['a', 'a'], 40), 'all', 0, 1);
		expect(same).toMatchObject({ lessIn: 0, moreIn: 0, practical: false, hangsOn: [] });
		expect(verdictWords(same, 'A', 'B', 40)).toBe(
			'The same in all: “A” and “B” leave as much in every one of 40 modelled faces.'
		);
		// 1e-3 % of 20 ml is 2e-4 ml: three differences are below it, one of the other four is the other way.
		const noisy = verdictOf(
			figures(tenfold([2.0001, 2, 1.9999, 3, 3, 3, 1]), tenfold([2, 2, 2, 2, 2, 2, 2])),
			'all',
			0,
			1
		);
		expect([noisy.lessIn, noisy.moreIn]).toEqual([30, 10]);
		expect(verdictWords(noisy, 'A', 'B', 70)).toContain(
			'in about 75 % of the 40 of 70 modelled faces in which they differ'
		);
	});
	test('exchanging the two exchanges their names, and nothing else that is said or shown', () => {
		const list = fc.array(fc.integer({ min: -40, max: 40 }), { minLength: 1, maxLength: 60 });
		fc.assert(
			fc.property(list, fc.constantFrom(...OUTCOME_IDS), (steps, outcome) => {
				const a = steps.map((k) => 2 + k / 50);
				const b = steps.map(() => 2);
				const [one, other] = [verdictOf(figures(a, b), outcome, 0, 1), verdictOf(figures(a, b), outcome, 1, 0)];
				const same = one.lessIn + one.moreIn === 0;
				const even = one.lessIn === one.moreIn;
				const said = verdictWords(one, 'A', 'B', a.length);
				if (!same) expect(verdictWords(other, 'B', 'A', a.length)).toBe(said);
				const winner = leads(one) < 0 ? 'B' : 'A';
				if (!even) expect(hangsOnWords(other, winner)).toEqual(hangsOnWords(one, winner));
				expect(shownPercent(one) + shownPercent(other)).toBe(100);
				expect([other.ml.median, other.ml.p5, other.ml.p95].map((x) => 0 - x)).toEqual(
					[one.ml.median, one.ml.p95, one.ml.p5].map((x) => x)
				);
				expect(other.practical).toBe(one.practical);
				const [here, there] = [intervalOf(one), intervalOf(other)];
				if (here) expect([100 - here.high, 100 - here.low]).toEqual([there!.low, there!.high]);
			}),
			{ numRuns: 400 }
		);
	});
	test('on real faces too, whoever wins', () => {
		for (const [a, b] of [
			['a', 'c'],
			['c', 'a'],
			['h', 'a'],
			['d', 'a']
		] as const) {
			const run = runOf([a, b], 60);
			for (const m of OUTCOME_IDS) {
				const [one, other] = [verdictOf(run, m, 0, 1), verdictOf(run, m, 1, 0)];
				if (one.lessIn + one.moreIn) expect(verdictWords(other, 'B', 'A', 60)).toBe(verdictWords(one, 'A', 'B', 60));
				const winner = leads(one) < 0 ? 'B' : 'A';
				expect(hangsOnWords(other, winner)).toEqual(hangsOnWords(one, winner));
			}
		}
	});
	test('it names the parameters it hangs on: deep against light hangs on what depth costs, whoever is named first', () => {
		const result = resultOf(runOf(['a', 'd'], 300));
		const v: OutcomeVerdict = result.verdicts.all[0]!;
		const names = v.hangsOn.map((h) => h.parameter);
		expect(names).toContain('fX');
		expect(names).toContain('sEta');
		expect(v.hangsOn.find((h) => h.parameter === 'fX')!.rho).toBeGreaterThan(0.3);
		expect(hangsOnWords(v, 'Light').join()).toContain(
			'Extra filtration at full warmth, as share of K per second: the larger it is, the larger the lead of “Light”'
		);
		const turned = resultOf(runOf(['d', 'a'], 300)).verdicts.all[0]!;
		expect(turned.hangsOn).toEqual(v.hangsOn);
		expect(result.falls.all[0]!.median).toBeGreaterThan(result.falls.all[1]!.median);
	});
	test('each against each, and where all fluid went, which adds up', () => {
		const { matrix, where, draws, startMl } = resultOf(runOf(['a', 'c', 'a'], 50));
		for (const m of OUTCOME_IDS) {
			expect(matrix![m][0]![2]).toBe(0);
			expect(matrix![m][0]![1]! + matrix![m][1]![0]!).toBeLessThanOrEqual(draws);
			expect(matrix![m][0]![1]).toBe(matrix![m][2]![1]);
		}
		const run = runOf(['a', 'c', 'a'], 50);
		const meanStart = run.startMl.reduce((a, x) => a + x, 0) / draws;
		expect(startMl.median).toBeGreaterThan(0);
		for (const w of where!)
			expect(WHERE_HELD.reduce((sum, part) => sum + w[part].mean, 0)).toBeCloseTo(meanStart + w.filtered.mean, 9);
	});
	test('an earlier answer is repeated where all figures that both hold are the same', () => {
		const now = resultOf(runOf(['a', 'c'], 20));
		const earlier = { ...now, where: null, matrix: null, holdsMl: null };
		expect(sameFigures(earlier, now)).toBe(true);
		expect(sameFigures(earlier, resultOf(runOf(['a', 'c'], 20, 6)))).toBe(false);
	});
});

describe('a share as it is shown', () => {
	const of = (lessIn: number, moreIn: number) => percentText({ lessIn, moreIn });
	test('in steps of five, the same from both sides; all and none only where it is every face', () => {
		// 82.5 and 17.5 per cent: rounded away from the middle from both sides.
		expect([of(825, 175), of(175, 825)]).toEqual(['85 %', '15 %']);
		expect([of(815, 185), of(500, 500)]).toEqual(['80 %', '50 %']);
		expect([of(1000, 0), of(0, 1000), of(999, 1), of(1, 999)]).toEqual(['100 %', '0 %', '>99 %', '<1 %']);
		expect([of(980, 20), of(976, 24), of(970, 30)]).toEqual(['98 %', '97 %', '95 %']);
		expect(of(0, 0)).toBe('the same');
	});
	test('in words: practically all from 99 per cent', () => {
		const words = (lessIn: number, moreIn: number) => oftenWords({ lessIn, moreIn });
		expect([words(1000, 0), words(990, 10), words(989, 11), words(400, 600)]).toEqual([
			'in all',
			'in practically all',
			'in about 98 %',
			'in about 40 %'
		]);
		expect([words(0, 9), words(5, 995)]).toEqual(['in none', 'in practically none']);
	});
	test('its interval by Wilson, against hand-computed bounds', () => {
		// 80 of 100: centre 0.7889, reach 0.0776, so 0.7112 to 0.8666, rounded outwards.
		expect(intervalOf({ lessIn: 80, moreIn: 20 })).toEqual({ low: 71, high: 87 });
		expect(intervalOf({ lessIn: 10, moreIn: 0 })).toEqual({ low: 72, high: 100 });
		expect(intervalOf({ lessIn: 0, moreIn: 0 })).toBeNull();
		expect(intervalWords({ lessIn: 8000, moreIn: 2000 })).toBe('79 to 81 %');
	});
	test('ranks, equal ones in the middle of theirs; their correlation is Spearman’s', () => {
		expect([...ranksOf([5, 1, 5, 2])]).toEqual([3.5, 1, 3.5, 2]);
		fc.assert(
			fc.property(fc.array(fc.tuple(fc.nat(20), fc.nat(20)), { minLength: 3, maxLength: 30 }), (pairs) => {
				const [x, y] = [pairs.map((p) => p[0]), pairs.map((p) => p[1])];
				fc.pre(new Set(x).size > 1 && new Set(y).size > 1);
				expect(rankCorrelation(ranksOf(x), ranksOf(y))).toBeCloseTo(sampleRankCorrelation(x, y), 9);
			})
		);
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
			const other = variantOf(sequence, id, 'v', CONTEXT.working);
			expect(other.title.length).toBeGreaterThan(sequence.title.length);
			const plan = planOfSequence(other, CONTEXT);
			expect(plan.seconds).toBeGreaterThan(0);
		}
		const of = (id: (typeof VARIANT_IDS)[number]) => stepsIn(variantOf(sequence, id, 'v', CONTEXT.working));
		expect(of('reverse-order').map((s) => s.id)).toEqual(['b', 'a', 'o']);
		expect(of('opening-last').map((s) => s.id)).toEqual(['a', 'b', 'o']);
		expect(of('no-links').map((s) => s.end.kind)).toEqual(['none', 'none', 'none']);
		expect(of('against-drainage').map((s) => [s.places[0], s.end.kind])).toEqual([
			['n:terminus', 'none'],
			['jawline', 'link'],
			['malar', 'none']
		]);
		expect(of('deeper').map((s) => s.levels ?? s.pressure)).toEqual([2, 2, [1, 4]]);
		expect(of('lighter').map((s) => s.levels ?? s.pressure)).toEqual([0, 0, [0, 3]]);
	});
	test('instead of openings hands rest for as long: whatever their sides, links and passes', () => {
		const twice = sequenceOf([
			pump('o', 'terminus', { side: 'left', dose: { kind: 'reps', min: 7, target: 7, max: 7 }, paceSeconds: 1.3 }),
			pump('p', 'tonsillar', { end: { kind: 'link', places: ['n:deep-cervical'], pumps: 2, by: 'hand' } }),
			step('a', ['buccal', 'jawline'])
		]);
		twice.phases[0]!.passes = 3;
		const rested = variantOf(twice, 'no-openings', 'v', CONTEXT.working);
		expect(stepsIn(rested).map((s) => [s.id, s.contact, s.places.length])).toEqual([
			['o', 'none', 0],
			['p', 'none', 0],
			['a', 'flat-3', 2]
		]);
		expect(Math.abs(planOfSequence(rested, CONTEXT).seconds - planOfSequence(twice, CONTEXT).seconds)).toBeLessThan(
			0.5
		);
		expect(planOfSequence(rested, CONTEXT).leftOut).toEqual([]);
	});
	test('only ways that change something are offered', () => {
		const plain = sequenceOf([step('a', ['buccal', 'jawline'], { pressure: 0 })]);
		expect(variantsFor(plain, CONTEXT.working)).toEqual(['against-drainage', 'deeper']);
		expect(variantsFor(sequence, CONTEXT.working)).toEqual(VARIANT_IDS);
	});
	test('under another school its drain policy keeps the links', () => {
		const other = underSchool(sequence, schoolById('drain-every-move'), 'v', CONTEXT.working);
		expect(other.school.id).toBe('drain-every-move');
		expect(stepsIn(other).filter((s) => s.end.kind === 'link')).toHaveLength(2);
	});
});
