import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anySequence, CONTEXT, pump, sequenceOf, step } from '../testing';
import { emptyAssessment, withValue } from '../assess/assessment';
import { NOW } from '../testing';
import type { Sequence } from '../sequence/sequence.schema';
import type { Step } from '../step/step.schema';
import { planOfSequence } from './compile';
import { faceIndex, faceNetwork } from './network';
import { gradesOfAssessment, gradesOfStart, hasPuffiness, START_IDS } from './starts';
import { balanceAt, rowAt, tideOf, valueAt, type Tide } from './tide';
import { markWords, worthWords } from './words';
import { earlier, WorthRun } from './worth';

const planned = (sequence: Sequence) => planOfSequence(sequence, CONTEXT);
const MORNING = gradesOfStart('morning');
const tide = (...steps: Step[]) => tideOf(planned(sequenceOf(steps)), MORNING);
const gradeAt = (t: Tide, zone: 'jawline' | 'buccal', seconds: number) =>
	valueAt(t.grades, faceNetwork().zoneCount, faceIndex(zone, 'left'), rowAt(t, seconds));
const DRAIN = ['buccal', 'jawline', 'n:submandibular'] as const;
const OPEN = ['terminus', 'deep-cervical', 'submandibular'].map((n) => pump(`o-${n}`, n));

describe('the tide of a sequence', () => {
	test('begins at the grades that were chosen, and falls where it is drained', () => {
		const t = tide(...OPEN, step('a', [...DRAIN], { dose: { kind: 'reps', min: 9, target: 9, max: 9 } }));
		expect(gradeAt(t, 'buccal', 0)).toBeCloseTo(2, 5);
		expect(gradeAt(t, 'buccal', t.seconds)).toBeLessThan(1.5);
		expect(t.reliefMl).toBeGreaterThan(0.1);
		expect(t.lastingReliefMl).toBeGreaterThan(t.reliefMl);
		expect(t.times[0]).toBe(0);
		expect(t.times.at(-1)).toBeCloseTo(t.seconds, 9);
	});
	test('where it went always adds up, at every moment, for any sequence', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				const t = tideOf(planned(sequence), MORNING);
				for (const share of [0, 0.3, 0.77, 1]) {
					const { faceMl, neckMl, nodesMl, returnedMl } = balanceAt(t, share * t.seconds);
					const sum = faceMl + neckMl + nodesMl + returnedMl;
					expect(sum).toBeGreaterThanOrEqual(t.startMl - 1e-9);
					expect(sum).toBeLessThanOrEqual(t.startMl + t.filteredMl + 1e-9);
				}
				const end = balanceAt(t, t.seconds);
				const all = end.faceMl + end.neckMl + end.nodesMl + end.returnedMl;
				expect(all).toBeCloseTo(t.startMl + t.filteredMl, 9);
				expect(t.reliefMl).toBeCloseTo(end.returnedMl - t.filteredMl, 9);
			}),
			{ numRuns: 60 }
		);
	});
	test('a hand that lifts only strands; a drain over closed nodes dams; each names its step, place and moment', () => {
		const lift = tide(pump('o', 'terminus'), step('up', ['jawline', 'buccal', 'malar'], { aim: 'lift' }));
		const stranded = lift.marks.filter((m) => m.kind === 'stranded');
		expect(stranded.map((m) => [m.stepId, faceNetwork().ids[m.place], m.atSeconds])).toEqual([
			['up', 'malar:left', 7],
			['up', 'malar:right', 7]
		]);
		expect(markWords(stranded[0]!)).toMatch(
			/^0\.\d ml is set down in the left apple of the cheek and never carried on$/
		);
		const dam = tide(step('d', ['buccal', 'n:facial'], { dose: { kind: 'reps', min: 20, target: 20, max: 20 } }));
		expect(dam.marks[0]).toMatchObject({ kind: 'dammed', stepId: 'd', atSeconds: 0 });
		expect(markWords(dam.marks[0]!)).toMatch(/ml would not go into the (left|right) cheek nodes/);
	});
	test('what is carried on later is not stranded', () => {
		const up = step('up', ['jawline', 'buccal'], { aim: 'lift' });
		const on = step('on', ['buccal', 'masseter', 'n:tonsillar'], {
			dose: { kind: 'reps', min: 30, target: 30, max: 30 }
		});
		expect(tide(up).marks.some((m) => m.kind === 'stranded')).toBe(true);
		expect(tide(up, on).marks.some((m) => m.kind === 'stranded' && m.stepId === 'up')).toBe(false);
	});
	test('an empty sequence is a run of no time; a start that cannot be is refused with its zone', () => {
		const t = tide();
		expect([t.seconds, t.reliefMl, t.times.length, t.marks.length]).toEqual([0, 0, 1, 0]);
		expect(() =>
			tideOf(
				planned(sequenceOf([step('a', ['chin', 'jawline'])])),
				MORNING.map(() => 9)
			)
		).toThrow(/start of forehead-medial:left/);
	});
	test('a long sequence is looked at no more than 1500 times', () => {
		const long = Array.from({ length: 400 }, (_, i) => step(`s${i}`, [...DRAIN]));
		expect(tide(...long).times.length).toBeLessThanOrEqual(1500);
	});
});

describe('starts', () => {
	test('what was felt, what was not felt as 0; and made-up faces, the same on both sides', () => {
		const assessment = withValue(emptyAssessment(NOW), 'puffiness', { place: 'malar', side: 'right' }, 3);
		const grades = gradesOfAssessment(assessment);
		expect([grades[faceIndex('malar', 'right')], grades[faceIndex('malar', 'left')]]).toEqual([3, 0]);
		expect([hasPuffiness(assessment), hasPuffiness(null), hasPuffiness(emptyAssessment(NOW))]).toEqual([
			true,
			false,
			false
		]);
		for (const id of START_IDS) {
			const all = gradesOfStart(id);
			expect(all.slice(0, 34)).toEqual(all.slice(34));
			expect(Math.max(...all) > 0).toBe(id !== 'even');
		}
	});
});

describe('what a step is worth', () => {
	const LINK = {
		kind: 'link' as const,
		places: ['n:tonsillar', 'n:deep-cervical', 'n:terminus'] as never,
		pumps: 3,
		by: 'hand' as const
	};
	const steps = [...OPEN, step('a', [...DRAIN], { end: LINK }), step('nothing', ['ear'], { motion: 'press-hold' })];
	const plan = planned(sequenceOf(steps));
	const worth = new WorthRun(plan, MORNING);

	test('without a drain step less is gone; without a touch nothing differs; the sentences say so', () => {
		const drain = worth.of(3);
		expect(drain.stepId).toBe('a');
		expect(drain.without.reliefMl).toBeGreaterThan(0.1);
		expect(faceNetwork().ids[drain.without.place!]).toMatch(/^buccal:/);
		expect(drain.withoutLink!.reliefMl).toBeLessThan(drain.without.reliefMl);
		expect(worthWords(drain)[0]).toMatch(
			/^Without this step 0\.\d+ ml more stays in the (left|right) hollow of the cheek, and/
		);
		const touch = worth.of(4);
		expect(touch.withoutLink).toBeNull();
		expect(worthWords(touch)).toEqual([
			'Without this step hardly anything differs.',
			'A place earlier or later makes hardly any difference.'
		]);
	});
	test('leaving a step out is the run of the sequence with hands at rest instead', () => {
		const whole = tideOf(plan, MORNING).lastingReliefMl;
		const idle = step('a', [], {
			aim: 'settle',
			motion: 'none',
			contact: 'none',
			side: 'both',
			dose: { kind: 'seconds', min: 15, target: 15, max: 15 }
		});
		const rested = planned(sequenceOf([...OPEN, idle, steps[4]!]));
		// The link takes 3 places and 3 pumps at a second each: 10 + 6 = 16 s in all, one more than the rest above.
		expect(plan.seconds - rested.seconds).toBeCloseTo(1, 9);
		const without = whole - worth.of(3).without.reliefMl;
		expect(without).toBeCloseTo(tideOf(rested, MORNING).lastingReliefMl, 2);
	});
	test('a place earlier is the run of the swapped sequence; where two are not next to one another there is none', () => {
		const swapped = planned(sequenceOf([steps[0]!, steps[1]!, steps[3]!, steps[2]!, steps[4]!]));
		const gain = tideOf(swapped, MORNING).lastingReliefMl - tideOf(plan, MORNING).lastingReliefMl;
		expect(worth.of(3).earlierMl).toBeCloseTo(gain, 9);
		expect(worth.of(2).laterMl).toBeCloseTo(gain, 9);
		expect(worth.of(0).earlierMl).toBeNull();
		expect(worth.of(4).laterMl).toBeNull();
		expect(earlier(plan.programme, 99)).toBeNull();
	});
});
