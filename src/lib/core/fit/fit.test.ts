import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { coverageOf, worthOf } from '../goal/coverage';
import { GOAL_IDS, GOALS, goalInfo } from '../goal/goals';
import { applyEdit, revertEdit } from '../sequence/applyEdit';
import { expand } from '../sequence/expand';
import type { Step } from '../step/step.schema';
import { stepsOf } from '../sequence/walk';
import { makeStep } from '../technique/makeStep';
import { techniqueById } from '../technique/library';
import { anySequence, CONTEXT, pump, sequenceOf, step } from '../testing';
import { fitTo, keepsItsCount, scaledDose } from './fit';

const secondsOf = (s: Parameters<typeof expand>[0]) => expand(s, CONTEXT).at(-1)?.endSeconds ?? 0;
const hold = (id: string, min: number, target: number, max: number, change: Partial<Step> = {}) =>
	step(id, ['nape'], { aim: 'release', dose: { kind: 'seconds', min, target, max }, ...change });

describe('fit to minutes', () => {
	test('by hand: 7 s of pumps and 100 s of holding into 67 s is a hold of 60 s', () => {
		const sequence = sequenceOf([pump('o', 'terminus'), hold('a', 20, 100, 120)]);
		const fit = fitTo(sequence, 67, CONTEXT);
		expect(fit).toMatchObject({ fits: true, seconds: 67 });
		expect(fit.changes.map((c) => `${c.number} ${c.text}`)).toEqual(['2 Nape: 60 instead of 100 s']);
		expect(fit.edit!.label).toBe('Fit to 1:07');
		expect(revertEdit(applyEdit(sequence, fit.edit!), fit.edit!)).toEqual(sequence);
	});
	test('longer: counts are raised, never past the time nor their range', () => {
		const sequence = sequenceOf([hold('a', 20, 100, 120)]);
		expect(fitTo(sequence, 110, CONTEXT).seconds).toBe(110);
		expect(fitTo(sequence, 500, CONTEXT).seconds).toBe(120);
		expect(fitTo(sequence, 100, CONTEXT)).toMatchObject({ edit: null, why: 'It fits as it is.' });
	});
	test('optional moves go only when counts do not suffice, the least for the goals first', () => {
		const eye = step('eye', ['lower-eyelid', 'zygoma'], { optional: true });
		const nape = step('nape', ['malar', 'zygoma'], { optional: true });
		const sequence = sequenceOf([eye, nape], { goals: [{ id: 'under-eye', weight: 1 }] });
		expect(worthOf(eye, sequence.goals)).toBeGreaterThan(worthOf(nape, sequence.goals));
		const fit = fitTo(sequence, 7, CONTEXT);
		expect(fit.changes.filter((c) => c.kind === 'left-out').map((c) => c.stepId)).toEqual(['nape']);
	});
	test('never left without right', () => {
		const left = hold('l', 20, 30, 40, { side: 'left', optional: true });
		const right = hold('r', 20, 30, 40, { side: 'right' });
		expect(fitTo(sequenceOf([left, right]), 30, CONTEXT).fits).toBe(false);
		const both = fitTo(sequenceOf([left, { ...right, optional: true }, hold('x', 10, 20, 30)]), 25, CONTEXT);
		expect(both.changes.filter((c) => c.kind === 'left-out').map((c) => c.stepId)).toEqual(['l', 'r']);
		const meant = fitTo(sequenceOf([{ ...left, reason: 'tighter' }, right]), 25, CONTEXT);
		expect(meant.changes.filter((c) => c.kind === 'left-out').map((c) => c.stepId)).toEqual(['l']);
	});
	test('says what is needed when nothing helps', () => {
		const fit = fitTo(sequenceOf([pump('o', 'terminus'), hold('a', 60, 80, 90)]), 30, CONTEXT);
		expect(fit).toMatchObject({ fits: false, edit: null, seconds: 67 });
		expect(fit.why).toMatch(/^At least 1:07 is needed/);
		expect(() => fitTo(sequenceOf([]), 0, CONTEXT)).toThrow(/seconds out of range > 0: 0/);
	});
	test('on random sequences: within the time where it says so, and not otherwise possible where it says not', () => {
		const optionalSequences = fc.tuple(anySequence, fc.integer({ min: 5, max: 900 }), fc.boolean());
		fc.assert(
			fc.property(optionalSequences, ([sequence, seconds, allOptional]) => {
				const marked = allOptional
					? {
							...sequence,
							phases: sequence.phases.map((p) => ({
								...p,
								blocks: p.blocks.map((b) => ({ ...b, steps: b.steps.map((s) => ({ ...s, optional: true })) }))
							}))
						}
					: sequence;
				const fit = fitTo(marked, seconds, CONTEXT);
				const after = fit.edit ? applyEdit(marked, fit.edit) : marked;
				if (fit.fits) expect(secondsOf(after)).toBeLessThanOrEqual(seconds + 1e-6);
				else {
					expect(fit.seconds).toBeGreaterThan(seconds);
					expect(after).toBe(marked);
				}
				const kept = new Set(stepsOf(after).map((s) => s.step.id));
				for (const { step: s } of stepsOf(marked)) {
					if (keepsItsCount(s)) expect(kept.has(s.id)).toBe(true);
					const now = stepsOf(after).find((x) => x.step.id === s.id)?.step;
					if (now) expect(now.dose.target >= s.dose.min && now.dose.target <= s.dose.max).toBe(true);
				}
			}),
			{ numRuns: 200 }
		);
	});
	test('hygiene, oil, tape, cold and what waits for a sign keep their time', () => {
		const kept = [
			step('wash', [], { aim: 'cleanse', target: 'hands', contact: 'none', motion: 'none', pressure: 0 }),
			step('oil', [], { aim: 'prepare', motion: 'sweep', contact: 'flat-hand', pressure: 0 }),
			step('ice', ['malar'], { aim: 'cool', motion: 'press-hold', pressure: 0 }),
			hold('soft', 10, 30, 60, { until: { signs: ['softer'], capSeconds: 60 } })
		];
		const sequence = sequenceOf([...kept, hold('a', 20, 100, 120)]);
		for (const seconds of [100, 120, 300]) {
			const { changes } = fitTo(sequence, seconds, CONTEXT);
			expect(changes.map((c) => c.stepId)).toEqual(['a']);
		}
	});
	test('comes within a twentieth of the time where the ranges allow', () => {
		const many = ['a', 'b', 'c', 'd'].map((id) => hold(id, 10, 40, 80));
		for (const seconds of [60, 100, 150, 222, 300]) {
			const fit = fitTo(sequenceOf(many), seconds, CONTEXT);
			expect(fit.seconds).toBeLessThanOrEqual(seconds);
			expect(fit.seconds).toBeGreaterThanOrEqual(0.95 * seconds);
		}
	});
	test('ends at an exit when nothing else suffices, by its name, and says what is left out', () => {
		const base = sequenceOf([hold('a', 20, 40, 60)]);
		const [work] = base.phases;
		const phases = [
			{ ...work!, title: 'Neck', exitAfter: true, exitTitle: 'Five minutes' },
			{ ...work!, id: 'p2', title: 'Face', blocks: [{ ...work!.blocks[0]!, id: 'b2', steps: [hold('b', 60, 80, 90)] }] }
		];
		const fit = fitTo({ ...base, phases }, 50, CONTEXT);
		expect(fit).toMatchObject({ fits: true, seconds: 50 });
		expect(fit.why).toBe('It ends after neck, as “Five minutes” does: without face.');
		expect(fit.changes.map((c) => `${c.stepId} ${c.kind}`)).toEqual(['a more', 'b left-out']);
	});
	test('a dose scaled stays in its range', () => {
		const dose = { kind: 'reps' as const, min: 3, target: 7, max: 10 };
		expect([-1, -0.5, 0, 0.5, 1].map((s) => scaledDose(dose, s).target)).toEqual([3, 5, 7, 8, 10]);
	});
});

describe('goals', () => {
	test('nineteen, each with needs, an hour, a frequency, a measure and a careful claim', () => {
		expect(GOAL_IDS).toHaveLength(19);
		for (const id of GOAL_IDS) {
			const goal = goalInfo(id);
			expect(Object.keys(goal.needs).length).toBeGreaterThan(0);
			expect(goal.perWeek).toBeGreaterThan(0);
			expect(`${goal.claim} ${goal.measure}`).not.toMatch(/cure|detox|permanent/i);
		}
		expect(GOALS['under-eye'].needs.drain['lower-eyelid']).toBe(6);
	});
	test('coverage by hand: one full dose under the eyes is six thirteenths of the goal', () => {
		const under = makeStep(techniqueById('ring-finger-stroke')!, { id: 'a', places: ['lower-eyelid', 'zygoma'] });
		const sequence = sequenceOf([under], { goals: [{ id: 'under-eye', weight: 1 }] });
		const [coverage] = coverageOf(sequence, expand(sequence, CONTEXT), CONTEXT.working);
		expect(coverage!.rows[0]).toMatchObject({ aim: 'drain', zone: 'lower-eyelid', doses: 1 });
		expect(coverage!.share).toBeCloseTo((6 + 1) / 13, 9);
		expect(coverage!.missing.map((r) => r.zone)).toContain('malar');
		expect(coverage!.rows[0]!.lightSeconds).toBeCloseTo((7 * 2.4) / 2, 9);
		expect(coverage!.rows[0]!.deepSeconds).toBe(0);
	});
	test('one side is half a dose; more than a full one counts once; deep work is told apart', () => {
		const knead = (change: Partial<Step>) =>
			makeStep(techniqueById('knuckle-knead')!, { id: 'k', places: ['masseter'], overrides: change });
		const share = (s: Step) => {
			const sequence = sequenceOf([s], { goals: [{ id: 'jaw-tension', weight: 1 }] });
			return coverageOf(sequence, expand(sequence, CONTEXT), CONTEXT.working)[0]!;
		};
		expect(share(knead({})).share).toBeCloseTo(0.6, 9);
		expect(share(knead({ side: 'left', reason: 'x' })).rows[0]!.doses).toBe(0.5);
		const long = { kind: 'seconds' as const, min: 30, target: 90, max: 90 };
		expect(share(knead({ dose: long })).share).toBeCloseTo(0.6, 9);
		expect(share(knead({})).rows[0]!.deepSeconds).toBe(45);
	});
	test('a sequence without goals has nothing to cover', () => {
		expect(coverageOf(sequenceOf([pump('o', 'terminus')]), [], CONTEXT.working)).toEqual([]);
	});
});
