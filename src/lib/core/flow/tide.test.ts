import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anySequence, CONTEXT, pump, sequenceOf, step } from '../testing';
import { emptyAssessment, withValue } from '../assess/assessment';
import { NOW } from '../testing';
import type { Sequence } from '../sequence/sequence.schema';
import type { Step } from '../step/step.schema';
import { planOfSequence, type FlowPlan } from './compile';
import { faceIndex, faceNetwork } from './network';
import { gradesOfAssessment, gradesOfStart, hasPuffiness, START_IDS } from './starts';
import { balanceAt, rowAt, tideOf, valueAt, type Tide } from './tide';
import { EngineFaces } from './faces';
import { markGroups } from './markGroups';
import { PairedRun } from './paired';
import { spreadOf } from './verdict';
import { markWords, stepEffectWords, worthWords } from './words';
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
		expect(markGroups(stranded).map(markWords)).toEqual([
			expect.stringMatching(/^0\.\d ml a side is set down in the apple of the cheek on both sides and never carried on$/)
		]);
		expect(markWords(markGroups(stranded.slice(0, 1))[0]!)).toMatch(
			/^0\.\d ml is set down in the left apple of the cheek and never carried on$/
		);
		const dam = tide(step('d', ['buccal', 'n:facial'], { dose: { kind: 'reps', min: 20, target: 20, max: 20 } }));
		expect(dam.marks[0]).toMatchObject({ kind: 'dammed', stepId: 'd', atSeconds: 0 });
		expect(markWords(markGroups(dam.marks)[0]!)).toMatch(/ml a side would not go into the cheek nodes on both sides/);
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
	const steps = [...OPEN, step('a', [...DRAIN], { end: LINK, dose: { kind: 'reps', min: 12, target: 12, max: 12 } }), step('nothing', ['ear'], { motion: 'press-hold' })];
	const plan = planned(sequenceOf(steps));
	const ended = <T>(work: Generator<number, T>): { told: number[]; value: T } => {
		const told: number[] = [];
		for (;;) {
			const piece = work.next();
			if (piece.done) return { told, value: piece.value };
			told.push(piece.value);
		}
	};
	const DRAWS = 30;
	const run = () => new WorthRun({ plan, grades: MORNING, draws: DRAWS });
	const of = (step: number) => ended(run().one(step)).value;
	/** As it is set against another plan, by a paired run of its own over the same faces. */
	function against(other: FlowPlan): number[] {
		const paired = new PairedRun({
			programmes: [plan.programme, other.programme],
			grades: MORNING,
			draws: DRAWS,
			seed: 1
		});
		paired.advance(DRAWS);
		const [own, rest] = paired.figures.fallMl.all;
		return [...own!].map((x, i) => x - rest![i]!);
	}

	test('over many faces less is gone without a drain step; without a touch nothing differs; the sentences say so', () => {
		const drain = of(3);
		expect(drain).toMatchObject({ stepId: 'a', draws: DRAWS });
		expect(drain.without.lessIn).toBe(DRAWS);
		expect(drain.without.ofStart.median).toBeGreaterThan(0.01);
		expect(drain.staysWithout!.places.map((i) => faceNetwork().ids[i])).toEqual(['buccal:left', 'buccal:right']);
		expect(drain.withoutLink!.ml.median).toBeLessThan(drain.without.ml.median);
		expect(worthWords(drain)[0]).toMatch(
			/^Without this step \d\.\d ml less is gone ten minutes after the end in all of 30 modelled faces \(\d\.\d to \d\.\d ml in nine of ten\); \d\.\d ml more stays in the hollow of the cheek on both sides each at the end\.$/
		);
		const touch = of(4);
		expect(touch.withoutLink).toBeNull();
		expect(worthWords(touch)).toEqual([
			'Without this step nothing that matters differs.',
			'A place earlier or later changes nothing that matters.'
		]);
	});
	test('leaving a step out is the run of the sequence with hands at rest instead, face by face', () => {
		const idle = step('a', [], {
			aim: 'settle',
			motion: 'none',
			contact: 'none',
			side: 'both',
			dose: { kind: 'seconds', min: 30, target: 30, max: 30 }
		});
		// The step takes 24 s, its link 3 places and 3 pumps at a second each: 30 s in all.
		const rested = planned(sequenceOf([...OPEN, idle, steps[4]!]));
		expect(plan.seconds).toBeCloseTo(rested.seconds, 9);
		const { without } = of(3);
		expect(without.ml.median).toBeCloseTo(spreadOf(against(rested)).median, 2);
	});
	test('a place earlier is the run of the swapped sequence; where two are not next to one another there is none', () => {
		const swapped = planned(sequenceOf([steps[0]!, steps[1]!, steps[3]!, steps[2]!, steps[4]!]));
		const gain = spreadOf(against(swapped)).median;
		expect(of(3).earlier!.ml.median).toBeCloseTo(gain, 9);
		expect(of(2).later!.ml.median).toBeCloseTo(gain, 9);
		expect(of(0).earlier).toBeNull();
		expect(of(4).later).toBeNull();
		expect(earlier(plan.programme, 99)).toBeNull();
	});
	test('the layer of all steps says of each what is said of it alone, by the kernel and by the engine', () => {
		const { told, value } = ended(run().all());
		expect(told.at(-1)).toBe(DRAWS);
		expect(value.steps.map((s) => s.stepId)).toEqual(plan.stepIds);
		value.steps.forEach(({ stepId, ...effect }, i) => expect(effect, stepId).toEqual(of(i).without));
		const engine = (...args: ConstructorParameters<typeof EngineFaces>) => new EngineFaces(...args);
		expect(ended(new WorthRun({ plan, grades: MORNING, draws: DRAWS }, engine).all()).value).toEqual(value);
		expect(value.steps.map((s) => stepEffectWords(s, DRAWS))).toContain('nothing that matters goes with it');
	});
});
