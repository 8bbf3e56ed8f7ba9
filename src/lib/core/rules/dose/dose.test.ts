import { describe, expect, test } from 'vitest';
import { applyEdit } from '../../sequence/applyEdit';
import type { Dose, Step } from '../../step/step.schema';
import { stepsOf } from '../../sequence/walk';
import { CONTEXT, sequenceOf, step } from '../../testing';
import { fixIn, judge } from '../judge';
import { sentenceOf } from '../wording';
import { contradictionOf } from './contradiction';
import { cutDose } from './cutDose';

const found = (ruleId: string, steps: Step[]) =>
	judge(sequenceOf(steps, { budgetSeconds: 7200 }), CONTEXT).findings.filter((f) => f.ruleId === ruleId);
const mended = (ruleId: string, steps: Step[]): Step[] => {
	const sequence = sequenceOf(steps, { budgetSeconds: 7200 });
	const { findings, context } = judge(sequence, CONTEXT);
	const edit = fixIn(
		context,
		findings.find((f) => f.ruleId === ruleId)!
	);
	return stepsOf(applyEdit(sequence, edit!)).map((s) => s.step);
};
const seconds = (n: number, min = 1): Dose => ({ kind: 'seconds', min, target: n, max: Math.max(n, 120) });
const reps = (n: number): Dose => ({ kind: 'reps', min: 1, target: n, max: Math.max(n, 10) });
const LEFT_RIGHT = { each: true as const, first: 'left' as const };

describe('a usual dose', () => {
	test.each([
		[
			'light strokes for fluid, 3 to 10',
			step('a', ['malar', 'zygoma'], { dose: reps(10) }),
			step('a', ['malar', 'zygoma'], { dose: reps(11) })
		],
		[
			'by tool, 2 to 8',
			step('a', ['malar', 'zygoma'], { contact: 'tool', tool: { id: 'roller' }, dose: reps(2) }),
			step('a', ['malar', 'zygoma'], { contact: 'tool', tool: { id: 'roller' }, dose: reps(9) })
		],
		[
			'kneading, 20 to 120 s',
			step('a', ['masseter'], { aim: 'release', motion: 'knead', dose: seconds(20) }),
			step('a', ['masseter'], { aim: 'release', motion: 'knead', dose: seconds(19) })
		],
		[
			'hand over hand, 10 to 30',
			step('a', ['buccal', 'malar'], { aim: 'lift', motion: 'hand-over-hand', dose: reps(30), side: LEFT_RIGHT }),
			step('a', ['buccal', 'malar'], { aim: 'lift', motion: 'hand-over-hand', dose: reps(31), side: LEFT_RIGHT })
		]
	])('%s', (_, inside, outside) => {
		expect(found('dose-range', [inside])).toEqual([]);
		expect(found('dose-range', [outside])).toHaveLength(1);
	});
	test('settling and cleansing have none', () => {
		expect(found('dose-range', [step('a', ['shoulder'], { aim: 'settle', dose: seconds(600) })])).toEqual([]);
	});
	test('the fix brings all three numbers in, and the sentence says what is usual', () => {
		const many = step('a', ['malar', 'zygoma'], { dose: { kind: 'reps', min: 2, target: 40, max: 50 } });
		expect(mended('dose-range', [many])[0]!.dose).toEqual({ kind: 'reps', min: 3, target: 10, max: 10 });
		expect(sentenceOf(found('dose-range', [many])[0]!)).toEqual({
			head: '1 is done 40 times.',
			body: 'Usual for such a move: 3 to 10 times a side.'
		});
	});
});

describe('deep work has an end', () => {
	const deep = (id: string, n: number, change: Partial<Step> = {}) =>
		step(id, ['masseter'], {
			aim: 'release',
			motion: 'knead',
			pressure: 3,
			dose: seconds(n, 10),
			side: LEFT_RIGHT,
			...change
		});
	test('two minutes a side are enough, summed over the steps', () => {
		expect(found('deep-too-long', [deep('a', 60), deep('b', 60)])).toEqual([]);
		const [finding] = found('deep-too-long', [deep('a', 61), deep('b', 60)]);
		expect(finding).toMatchObject({ place: 'masseter', stepIds: ['a', 'b'], params: { seconds: 121, cap: 120 } });
	});
	test('level 2 is not deep', () => {
		expect(found('deep-too-long', [deep('a', 110, { pressure: 2 }), deep('b', 110, { pressure: 2 })])).toEqual([]);
	});
	test('the fix shortens all by the same share', () => {
		const after = mended('deep-too-long', [deep('a', 100), deep('b', 100)]);
		expect(after.map((s) => s.dose.target)).toEqual([58.8, 58.8]);
	});
});

describe('the same skin', () => {
	const lift = (id: string) =>
		step(id, ['buccal', 'malar'], { aim: 'lift', motion: 'sweep', dose: reps(15), side: 'both' });
	const times = (n: number) => Array.from({ length: n }, (_, i) => lift(`s${i}`));
	test('may be slid over a hundred times', () => {
		expect(found('skin-rubbed', times(6))).toEqual([]);
		expect(found('skin-rubbed', times(7)).map((f) => [f.place, f.params.times])).toEqual([
			['buccal', 105],
			['malar', 105]
		]);
	});
	test('pinned moves do not rub', () => {
		const pinned = times(7).map((s) => ({ ...s, motion: 'pinned-circle' as const }));
		expect(found('skin-rubbed', pinned)).toEqual([]);
	});
});

describe('pace, cold and contradictions', () => {
	test('a drain slower than a second and a half is not rushed', () => {
		expect(found('rushed-drain', [step('a', ['malar', 'zygoma'], { paceSeconds: 1.5 })])).toEqual([]);
		const [after] = mended('rushed-drain', [step('a', ['malar', 'zygoma'], { paceSeconds: 1.4 })]);
		expect(after!.paceSeconds).toBe(2.5);
		expect(found('rushed-drain', [step('a', ['malar', 'zygoma'], { aim: 'lift', paceSeconds: 1 })])).toEqual([]);
	});
	test('cold may rest for forty seconds on a place', () => {
		const cold = (n: number) =>
			step('a', ['malar'], {
				aim: 'cool',
				contact: 'tool',
				tool: { id: 'cold-globes' },
				motion: 'press-hold',
				dose: seconds(n)
			});
		expect(found('cold-too-long', [cold(40)])).toEqual([]);
		expect(found('cold-too-long', [cold(41)])).toHaveLength(1);
		expect(mended('cold-too-long', [cold(80)])[0]!.dose.target).toBe(39.2);
	});
	test('what cannot be together is named; circles may go back', () => {
		const circle = step('a', ['temple'], { aim: 'release', motion: 'pinned-circle' });
		expect(contradictionOf({ ...circle, lanes: 2 })).toBe('lanes');
		expect(contradictionOf({ ...circle, reverse: true })).toBeNull();
		expect(contradictionOf({ ...circle, motion: 'press-hold', reverse: true })).toBe('way-back');
		expect(contradictionOf({ ...circle, contact: 'tool', tool: { id: 'spoon', tiltDegrees: 20 } })).toBe('tilt');
		const stations = { places: ['temple' as const], hold: { kind: 'seconds' as const, amount: 2 } };
		expect(contradictionOf({ ...circle, stations })).toBe('stations');
		expect(contradictionOf(step('b', ['malar', 'zygoma'], { lanes: 3, reverse: true }))).toBeNull();
	});
	test('a dose is never cut below one', () => {
		expect(cutDose({ kind: 'reps', min: 3, target: 10, max: 12 }, 0.05)).toEqual({
			kind: 'reps',
			min: 1,
			target: 1,
			max: 3
		});
		expect(cutDose({ kind: 'seconds', min: 10, target: 100, max: 120 }, 0.5)).toEqual({
			kind: 'seconds',
			min: 10,
			target: 50,
			max: 50
		});
	});
});
