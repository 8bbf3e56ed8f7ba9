import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anySequence, CONTEXT, pump, sequenceOf, step } from '../testing';
import { expand } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import { stepsOf } from '../sequence/walk';
import type { Step } from '../step/step.schema';
import { TEMPLATES } from '../template/templates';
import { MOTIONS, type Motion } from '../vocabulary/vocabulary';
import { originOf, planOfSequence, stepOfOrigin } from './compile';
import { LEFT_OUT, mappingOf, besideTheFace, isRest } from './mapping';
import { faceNetwork } from './network';
import type { ProgrammeOp } from './programme';
import { leftOutWords } from './words';

const planned = (sequence: Sequence) => planOfSequence(sequence, CONTEXT);
const planSteps = (...steps: Step[]) => planned(sequenceOf(steps));
/** Ops as short lines: technique, the path of each side, levels, repetitions by seconds. */
const lines = (ops: readonly ProgrammeOp[]) =>
	ops.map((op) => {
		const paths = op.paths.map((p) => [...p.places].map((i) => faceNetwork().ids[i]).join('>')).join(' | ');
		return `${op.technique} ${paths}${op.technique === 'rest' ? '' : ` @${[...(op.paths[0]?.levels ?? [])].join('')}`} ${op.reps}x${op.seconds}${op.deep ? ' deep' : ''}`;
	});
const L = { side: 'left' as const, reason: 'fuller' };

describe('a sequence in the words of the model', () => {
	test('both sides, one side, one after the other with the change of hands, in turn', () => {
		const way = ['jawline', 'under-jaw', 'n:submandibular'] as const;
		const both =
			'jawline:left>under-jaw:left>n:submandibular:left | jawline:right>under-jaw:right>n:submandibular:right';
		const [left, right] = both.split(' | ');
		expect(lines(planSteps(step('a', [...way])).programme)).toEqual([`stroke ${both} @111 5x2`]);
		expect(lines(planSteps(step('a', [...way], L)).programme)).toEqual([`stroke ${left} @111 5x2`]);
		expect(lines(planSteps(step('a', [...way], { side: { each: true, first: 'right' } })).programme)).toEqual([
			`stroke ${right} @111 5x2`,
			'rest  1x2',
			`stroke ${left} @111 5x2`
		]);
		expect(
			lines(
				planSteps(
					step('a', [...way], {
						side: { alternate: true, first: 'left' },
						dose: { kind: 'reps', min: 2, target: 2, max: 2 }
					})
				).programme
			)
		).toEqual([
			`stroke ${left} @111 1x2`,
			`stroke ${right} @111 1x2`,
			`stroke ${left} @111 1x2`,
			`stroke ${right} @111 1x2`
		]);
	});
	test('lanes, the way back with its levels, stations as holds', () => {
		const plan = planSteps(
			step('a', ['chin', 'jawline'], {
				...L,
				reverse: true,
				levels: [0, 1],
				dose: { kind: 'reps', min: 1, target: 1, max: 1 }
			})
		);
		expect(lines(plan.programme)).toEqual([
			'stroke chin:left>jawline:left @01 1x2',
			'stroke jawline:left>chin:left @10 1x2'
		]);
		const stops = planSteps(
			step('a', ['chin', 'jawline'], {
				...L,
				lanes: 2,
				dose: { kind: 'reps', min: 1, target: 1, max: 1 },
				stations: { places: ['jawline'], hold: { kind: 'seconds', amount: 3 } }
			})
		);
		expect(lines(stops.programme)).toEqual([
			'stroke chin:left>jawline:left @11 1x2',
			'hold jawline:left @1 1x3',
			'stroke chin:left>jawline:left @11 1x2',
			'hold jawline:left @1 1x3'
		]);
	});
	test('a drain link runs from the end of the step over what lies between to its node groups, and pumps at the last', () => {
		const plan = planSteps(
			step('a', ['brow', 'temple'], {
				...L,
				end: { kind: 'link', places: ['n:preauricular', 'n:tonsillar'], pumps: 3, by: 'hand' }
			})
		);
		expect(lines(plan.programme)).toEqual([
			'stroke brow:left>temple:left @11 5x2',
			'stroke temple:left>preauricular:left>n:preauricular:left>n:tonsillar:left @1111 1x2',
			'pump n:tonsillar:left @1 3x1'
		]);
		expect(plan.programme.map((op) => op.origin === originOf(0, 'link'))).toEqual([false, true, true]);
	});
	test('pumps, taps, rubs and holds; breaths are deep; a dose in time goes from place to place', () => {
		const dose = { kind: 'seconds' as const, min: 4, target: 4, max: 4 };
		expect(lines(planSteps(pump('o', 'terminus', L)).programme)).toEqual(['pump n:terminus:left @1 7x1']);
		expect(
			lines(planSteps(pump('o', 'terminus', { ...L, dose: { kind: 'breaths', min: 1, target: 2, max: 2 } })).programme)
		).toEqual(['pump n:terminus:left @1 2x10 deep']);
		expect(lines(planSteps(step('t', ['malar', 'zygoma'], { ...L, motion: 'tap', dose })).programme)).toEqual([
			'tap malar:left @1 2x2',
			'tap zygoma:left @1 2x2'
		]);
		expect(lines(planSteps(step('k', ['masseter'], { ...L, motion: 'knead', pressure: 3, dose })).programme)).toEqual([
			'rub masseter:left @3 2x2'
		]);
		expect(lines(planSteps(step('s', ['masseter'], { ...L, motion: 'sweep', dose })).programme)).toEqual([
			'hold masseter:left @1 2x2'
		]);
	});
	test('cold globes carry and cool; a cool hold cools; hands and tools that are cleansed are time', () => {
		const globes = {
			...L,
			contact: 'tool' as const,
			tool: { id: 'cold-globes' as const },
			dose: { kind: 'reps' as const, min: 1, target: 1, max: 1 }
		};
		expect(lines(planSteps(step('c', ['malar', 'zygoma'], globes)).programme)).toEqual([
			'rest  2x3',
			'stroke malar:left>zygoma:left @11 1x0',
			'cold malar:left>zygoma:left @11 1x2'
		]);
		const wash = step('w', [], { aim: 'cleanse', target: 'hands', motion: 'none', side: 'both' });
		expect(lines(planSteps(wash).programme)).toEqual(['rest  3x3.3333333333333335']);
	});
	test('the midline in one pass, and a path that crosses it, mirrored where both sides do it', () => {
		const cross = step('m', ['forehead-medial:left', 'forehead-medial:right'], { side: 'midline' });
		expect(lines(planSteps(cross).programme)).toEqual(['stroke forehead-medial:left>forehead-medial:right @11 5x2']);
		expect(lines(planSteps({ ...cross, side: 'both' }).programme)).toEqual([
			'stroke forehead-medial:left>forehead-medial:right | forehead-medial:right>forehead-medial:left @11 5x2'
		]);
	});
	test('what the model cannot express is named and left out; its time goes by', () => {
		const cases: [Step, string][] = [
			[
				step('x', ['chin', 'temple'], L),
				'Not in the model: two places of its path do not touch in the model (left chin, left temple).'
			],
			[
				step('x', ['under-jaw'], { ...L, motion: 'pump' }),
				'Not in the model: the model pumps node groups only, not a zone (below the jaw).'
			],
			[
				step('x', ['masseter'], { ...L, contact: 'thumb-inside', motion: 'knead' }),
				`Not in the model: ${LEFT_OUT.inside}.`
			],
			[
				step('x', ['masseter'], { ...L, aim: 'exercise', motion: 'resisted' }),
				`Not in the model: ${LEFT_OUT.exercise}.`
			],
			[step('x', ['masseter'], { ...L, aim: 'fix', motion: 'none' }), `Not in the model: ${LEFT_OUT.tape}.`]
		];
		for (const [one, words] of cases) {
			const plan = planSteps(one);
			expect(plan.leftOut.map(leftOutWords)[0]!.replace(/\(.*\)/, '')).toBe(words.replace(/\(.*\)/, ''));
			expect(plan.programme.every((op) => op.technique === 'rest')).toBe(true);
			expect(plan.seconds).toBeCloseTo(10, 9);
		}
	});
	test('of every sequence that comes with it each step is mapped or named, none in between', () => {
		for (const sequence of TEMPLATES) {
			const plan = planned(sequence);
			const worked = new Set(
				plan.programme.flatMap((op) => (op.technique === 'rest' ? [] : [stepOfOrigin(op.origin)]))
			);
			const named = new Set(plan.leftOut.map((l) => l.stepId));
			plan.stepIds.forEach((id, i) => {
				const { step: s } = stepsOf(sequence)[i]!;
				const rests = isRest(s) || besideTheFace(s);
				expect([worked.has(i), named.has(id), rests].some(Boolean), `${sequence.title}: ${id}`).toBe(true);
				if (rests) expect(worked.has(i)).toBe(false);
			});
		}
	});
	test('every motion is mapped; the table names what each does', () => {
		for (const motion of Object.keys(MOTIONS) as Motion[]) expect(mappingOf(motion).why.length).toBeGreaterThan(10);
	});
	test('any sequence: second for second as expanded, each op with its step, nothing thrown', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				const events = expand(sequence, CONTEXT);
				const plan = planned(sequence);
				expect(plan.seconds).toBeCloseTo(events.at(-1)?.endSeconds ?? 0, 6);
				for (const [i, op] of plan.programme.entries()) {
					const middle = plan.opStarts[i]! + (op.reps * op.seconds) / 2;
					if (op.seconds === 0) continue;
					const event = events.find((e) => e.endSeconds > middle - 1e-9)!;
					expect(plan.stepIds[stepOfOrigin(op.origin)]).toBe(event.stepId);
				}
			}),
			{ numRuns: 150 }
		);
	});
});

describe('skin that is stretched and let go along a way', () => {
	const dry = (change: Partial<Step> = {}) =>
		planOfSequence(
			sequenceOf([
				step('a', ['chin', 'jawline', 'n:submandibular'], {
					motion: 'skin-stretch',
					dose: { kind: 'reps', min: 5, target: 5, max: 5 },
					...change
				})
			]),
			CONTEXT
		).programme.filter((op) => op.technique !== 'rest');
	test('carries fluid in a drain: as a stroke does, over the whole way or on to the next place', () => {
		const over = dry({ doseAt: 'over-all' });
		expect(over.map((op) => op.technique)).toEqual(['stroke']);
		const each = dry({ doseAt: 'each-place' });
		expect(each.map((op) => op.technique)).toEqual(['stroke', 'stroke', 'hold']);
	});
	test('in any other aim, or over places that do not touch, it stays where it is', () => {
		for (const op of [...dry({ aim: 'release' }), ...dry({ places: ['chin', 'temple'] })])
			expect(op.technique).toBe('hold');
	});
});
