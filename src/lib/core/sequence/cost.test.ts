import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { stepCost, STEP_LIMITS } from '../step/stepCost';
import { setStep } from './edits';
import { applyEdit } from './applyEdit';
import { anySequence, CONTEXT, sequenceOf, step } from '../testing';
import { computable, overLimits, sequenceCost, SEQUENCE_LIMITS } from './cost';
import { expand, secondsOf } from './expand';
import { SequenceSchema, StoredSequenceSchema } from './sequence.schema';
import { judge } from '../rules/judge';
import { sentenceOf } from '../rules/wording';
import type { Step } from '../step/step.schema';

const reps = (n: number) => ({ kind: 'reps' as const, min: 1, target: n, max: n });
/** A few hundred bytes that ask for a day of hands. */
const HUGE: Partial<Step> = {
	dose: reps(1000),
	lanes: 12,
	reverse: true,
	side: { alternate: true, first: 'left' },
	stations: { places: ['chin', 'jawline'], hold: { kind: 'breaths', amount: 100 } }
};
const huge = (id: string) => step(id, ['chin', 'jawline'], HUGE);

describe('cost, by hand', () => {
	test('3 lanes × 2 directions × 5 times on one side and the other: 12 stretches, 60 repetitions', () => {
		const s = step('a', ['chin', 'jawline'], {
			dose: reps(5),
			lanes: 3,
			reverse: true,
			side: { each: true, first: 'left' }
		});
		// 2 sides × 3 × 2 stretches and a change before each side; two places each; 60 times 2 s
		expect(stepCost(s)).toEqual({ stretches: 14, visits: 28, repetitions: 60, seconds: 120 });
	});
	test('stations part every repetition; a link brings its places and pumps', () => {
		const s = step('a', ['chin', 'jawline'], {
			dose: reps(4),
			stations: { places: ['jawline'], hold: { kind: 'seconds', amount: 3 } },
			end: { kind: 'link', places: ['n:tonsillar', 'n:terminus'], pumps: 3, by: 'hand' }
		});
		// 4 × (1 + 1) stretches, a change, a link; (8 + 1) × 2 places and 2 of the link; 4 and 3 pumps; 4 × (2 + 3) s
		expect(stepCost(s)).toEqual({ stretches: 10, visits: 20, repetitions: 7, seconds: 20 });
	});
	test('a second of taps counts as many repetitions as its pace gives, at each place', () => {
		const s = step('a', ['chin', 'jawline'], {
			motion: 'tap',
			paceSeconds: 0.25,
			dose: { kind: 'seconds', min: 1, target: 10, max: 10 }
		});
		expect(stepCost(s)).toMatchObject({ repetitions: 80, seconds: 20 });
	});
});

test('the cost is never below what is really made', () => {
	fc.assert(
		fc.property(anySequence, (sequence) => {
			const events = expand(sequence, CONTEXT, 'max');
			const cost = sequenceCost(sequence);
			expect(events.length).toBeLessThanOrEqual(cost.stretches);
			const visits = events.reduce((sum, e) => sum + Math.max(1, e.places.length), 0);
			expect(visits).toBeLessThanOrEqual(cost.visits);
			const done = events.filter((e) => e.kind === 'work').reduce((sum, e) => sum + e.reps, 0);
			expect(done).toBeLessThanOrEqual(cost.repetitions);
			expect(overLimits(sequence)).toEqual([]);
			expect(computable(sequence)).toBe(sequence);
		}),
		{ numRuns: 100 }
	);
});

describe('what asks for too much', () => {
	const sequence = sequenceOf([step('a', ['malar', 'zygoma']), huge('b'), step('c', ['temple', 'preauricular'])]);
	test('is refused with the field, the limit and what was asked; what is stored already is read', () => {
		const refused = SequenceSchema.safeParse(sequence);
		expect(refused.success).toBe(false);
		const [first] = refused.error!.issues;
		expect(first!.path).toEqual(['phases', 0, 'blocks', 0, 'steps', 1, 'dose']);
		expect(first!.message).toMatch(/^at most 4,000 separate stretches \(.*\) are allowed in one step: 144,002$/);
		expect(StoredSequenceSchema.safeParse(sequence).success).toBe(true);
	});
	test('many that are each within the limits may be too much together', () => {
		const many = sequenceOf(
			Array.from({ length: 30 }, (_, i) =>
				step(`s${i}`, ['chin', 'jawline'], { dose: reps(900), lanes: 12, paceSeconds: 0.1 })
			)
		);
		expect(overLimits(many).map((o) => [o.stepId, o.kind])).toEqual([[null, 'repetitions']]);
		expect(SequenceSchema.safeParse(many).error!.issues[0]!.message).toMatch(/allowed in a sequence: 324,000$/);
		expect(expand(many, CONTEXT).reduce((sum, e) => sum + e.reps, 0)).toBeLessThanOrEqual(SEQUENCE_LIMITS.repetitions);
	});
	test('is cut to one repetition wherever it is reckoned with; all else stays as it is', () => {
		const events = expand(sequence, CONTEXT);
		expect(events.filter((e) => e.stepId === 'b' && e.kind === 'work').map((e) => e.reps)).toEqual([2]);
		expect(events.filter((e) => e.stepId === 'a')).toEqual(
			expand(sequenceOf([step('a', ['malar', 'zygoma'])]), CONTEXT)
		);
		expect(secondsOf(sequence, CONTEXT, 'max').total).toBeLessThan(60);
	});
	test('is said, as a stop, and nothing else is judged; every other step can be removed, and this one mended', () => {
		const { findings, context } = judge(sequence, CONTEXT);
		expect(new Set(findings.map((f) => f.ruleId))).toEqual(new Set(['too-much-work']));
		expect(findings.map((f) => [f.key, f.severity])).toEqual([['too-much-work|b||', 'stop']]);
		expect(sentenceOf(findings[0]!).body).toMatch(/counted as one repetition, and nothing else is judged/);
		expect(context.steps).toHaveLength(3);
		const less = applyEdit(sequence, setStep(sequence, 'c', { dose: reps(2) }));
		expect(less.phases[0]!.blocks[0]!.steps[2]!.dose.target).toBe(2);
		const still = setStep(sequence, 'b', { lanes: 11 });
		expect(() => applyEdit(sequence, still)).not.toThrow();
	});
	test('cannot be made by an edit, nor made worse', () => {
		const plain = sequenceOf([step('b', ['chin', 'jawline'])]);
		expect(() => applyEdit(plain, setStep(plain, 'b', HUGE))).toThrow(/allowed in one step/);
		expect(() => applyEdit(sequence, setStep(sequence, 'c', { dose: reps(500) }))).toThrow(/allowed in one step/);
	});
});

test('two thousand steps of ordinary doses are well within', () => {
	const ordinary: Partial<Step> = {
		dose: reps(10),
		lanes: 2,
		side: { each: true, first: 'left' },
		stations: { places: ['jawline'], hold: { kind: 'seconds', amount: 2 } },
		end: { kind: 'link', places: ['n:tonsillar', 'n:deep-cervical', 'n:terminus'], pumps: 3, by: 'hand' }
	};
	const steps = Array.from({ length: 2000 }, (_, i) =>
		step(
			`s${i}`,
			['chin', 'jawline', 'preauricular'],
			i % 16 ? { ...ordinary, stations: undefined, lanes: 1 } : ordinary
		)
	);
	expect(overLimits(sequenceOf(steps))).toEqual([]);
	expect(STEP_LIMITS.repetitions).toBeGreaterThan(1000);
});
