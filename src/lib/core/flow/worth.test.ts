import { describe, expect, test } from 'vitest';
import { CONTEXT, pump, sequenceOf, step } from '../testing';
import type { Sequence } from '../sequence/sequence.schema';
import { FlowCoefficients } from './coefficients';
import { originOf, planOfSequence, restingWhere, type FlowPlan } from './compile';
import { Draws } from './draws';
import { EngineFaces } from './faces';
import { faceNetwork } from './network';
import { PairedRun } from './paired';
import { WEIGHING_STEP_SECONDS } from './parameterTable';
import { gradesOfStart } from './starts';
import { spreadOf } from './verdict';
import { openingWords, stepEffectWords, worthWords } from './words';
import { WORTH_DRAWS, worthDrawsFor } from './worthDraws';
import { earlier, WorthRun } from './worth';

const planned = (sequence: Sequence) => planOfSequence(sequence, CONTEXT);
const MORNING = gradesOfStart('morning');
const DRAIN = ['buccal', 'jawline', 'n:submandibular'] as const;
const OPEN = ['terminus', 'deep-cervical', 'submandibular'].map((n) => pump(`o-${n}`, n));

describe('what a step is worth', () => {
	const LINK = {
		kind: 'link' as const,
		places: ['n:tonsillar', 'n:deep-cervical', 'n:terminus'] as never,
		pumps: 3,
		by: 'hand' as const
	};
	const steps = [
		...OPEN,
		step('a', [...DRAIN], { end: LINK, dose: { kind: 'reps', min: 12, target: 12, max: 12 } }),
		step('nothing', ['ear'], { motion: 'press-hold' })
	];
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
			/^Without this step \d\.\d ml less is gone ten minutes after the end in all of 30 modelled faces \(\d\.\d+ to \d\.\d ml in nine of ten\); \d\.\d ml a side more stays in the hollow of the cheek on both sides at the end\.$/
		);
		const touch = of(4);
		expect(touch.withoutLink).toBeNull();
		expect(worthWords(touch)).toEqual([
			'Without this step what is left of all fluid ten minutes after the end differs by less than 1 %.',
			'A place earlier or later changes what is left of all fluid by less than 1 %.'
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
		// Short repetitions are done in a row here: that changes less than a hundredth of it.
		expect(without.ml.median / spreadOf(against(rested)).median).toBeCloseTo(1, 2);
	});
	test('a place earlier is the run of the swapped sequence; where two are not next to one another there is none', () => {
		const swapped = planned(sequenceOf([steps[0]!, steps[1]!, steps[3]!, steps[2]!, steps[4]!]));
		const gain = spreadOf(against(swapped)).median;
		expect(of(3).earlier!.ml.median).toBeCloseTo(gain, 3);
		expect(of(2).later!.ml.median).toBeCloseTo(of(3).earlier!.ml.median, 12);
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
		expect(value.steps.map((s) => stepEffectWords(s, DRAWS))).toContain('less than 1 % of all fluid goes with it');
	});
	test('an opening as a whole is the run with hands at rest in all of its steps, and more than the sum of its parts may say', () => {
		const { openings } = ended(run().all()).value;
		expect(openings.map((o) => o.stepIds)).toEqual([OPEN.map((s) => s.id)]);
		const closed = restingWhere(plan.programme, (origin) => origin < 2 * OPEN.length);
		const paired = new PairedRun({ programmes: [plan.programme, closed], grades: MORNING, draws: DRAWS, seed: 1 });
		paired.advance(DRAWS);
		const [own, rest] = paired.figures.fallMl.all;
		const by = [...own!].map((x, i) => x - rest![i]!);
		const { ml, lessIn } = openings[0]!;
		expect(Math.abs(ml.median - spreadOf(by).median)).toBeLessThan(0.02 * Math.max(0.05, Math.abs(ml.median)));
		expect(lessIn).toBeGreaterThan(0);
		expect(openingWords(openings[0]!, [1, 2, 3], DRAWS)).toMatch(/^Opening as a whole \(steps 1 to 3\): /);
	});
	test('all steps are weighed over fewer faces where there are many: never more work than sixty over all of them', () => {
		expect([1, 60, 120, 240, 1000].map(worthDrawsFor)).toEqual([200, 200, 50, 16, 16]);
		expect(120 ** 2 * worthDrawsFor(120)).toBeLessThanOrEqual(60 ** 2 * WORTH_DRAWS);
	});
	test('longer passive steps change what a step is worth by no more than a fiftieth of the most', () => {
		const { steps: weighed } = ended(run().all()).value;
		const exact = weighed.map((_, i) => {
			const origins = [originOf(i, 'work'), originOf(i, 'link')];
			const without = restingWhere(plan.programme, (origin) => origins.includes(origin));
			const programmes = [plan.programme, without];
			const paired = new PairedRun({ programmes, grades: MORNING, draws: DRAWS, seed: 1, stepSeconds: 1 });
			paired.advance(DRAWS);
			const [own, rest] = paired.figures.fallMl.all;
			return spreadOf(own!.map((x, k) => x - rest![k]!)).median;
		});
		const most = Math.max(...exact.map(Math.abs));
		weighed.forEach(({ ml, stepId }, i) => expect(Math.abs(ml.median - exact[i]!) / most, stepId).toBeLessThan(0.02));
	});
	test('passive steps of 8 s keep every compartment between empty and full, in every face that can be drawn', () => {
		const draws = new Draws(faceNetwork(), 4);
		const k = new FlowCoefficients(faceNetwork());
		let fastest = 0;
		for (let i = 0; i < 3000; i++) {
			const { parameters, jitter } = draws.next();
			k.set(parameters, jitter);
			fastest = Math.max(fastest, k.fastest(parameters.beta));
		}
		expect(WEIGHING_STEP_SECONDS * fastest).toBeLessThan(1);
	});
});
