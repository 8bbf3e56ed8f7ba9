import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { schoolById, SCHOOLS } from '../school/schools';
import { SchoolSchema, SCHOOL_IDS } from '../school/school.schema';
import { anySequence, CONTEXT, NOW, pump, sequenceOf, step } from '../testing';
import { makeStep } from '../technique/makeStep';
import { techniqueById } from '../technique/library';
import { clock, doseText, sideText, stepTitle } from '../step/describe';
import { insertStep } from './edits';
import { applyEdit } from './applyEdit';
import { expand } from './expand';
import { newSequence } from './newSequence';
import { passesOf } from './passes';
import { repsOn, sideOfRep, sidesOf, turnsOf } from './workedSide';
import { spotFor } from './placement';
import { SequenceSchema } from './sequence.schema';
import { findStep, stepsOf } from './walk';
import { levelsOf, movesFluid, peakLevel } from '../step/levelsOf';

describe('words', () => {
	test.each([
		[0, '0:00'],
		[59.4, '0:59'],
		[59.6, '1:00'],
		[754, '12:34'],
		[-3, '0:00']
	])('%d s is %s', (seconds, text) => expect(clock(seconds)).toBe(text));
	test('a step is named by its ends, a place by itself, a cleaning by its target', () => {
		expect(stepTitle(step('a', ['chin', 'jawline', 'n:submandibular']))).toBe('Chin to under the jaw');
		expect(stepTitle(step('a', ['nape']))).toBe('Nape');
		expect(stepTitle({ places: [], aim: 'cleanse', target: 'hands' })).toBe('Clean the hands');
		expect(stepTitle({ places: [], aim: 'prepare' })).toBe('Whole face');
	});
	test('doses and sides', () => {
		expect(doseText({ kind: 'reps', min: 1, target: 7, max: 9 })).toBe('7 ×');
		expect(doseText({ kind: 'seconds', min: 1, target: 20, max: 30 })).toBe('20 s');
		expect(doseText({ kind: 'breaths', min: 1, target: 1, max: 3 })).toBe('1 breath');
		expect(doseText({ kind: 'breaths', min: 1, target: 2, max: 3 })).toBe('2 breaths');
		expect(sideText('both')).toBe('both');
		expect(sideText('left')).toBe('left only');
		expect(sideText({ each: true, first: 'right' })).toBe('R then L');
		expect(sideText({ each: true, first: 'left' })).toBe('L then R');
		expect(sideText({ alternate: true, first: 'left' })).toBe('in turn');
		expect(sideText(undefined)).toBe('in block');
	});
});

describe('walking', () => {
	test('steps are numbered through all phases and blocks', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				const steps = stepsOf(sequence);
				steps.forEach((s, i) => {
					expect(s.number).toBe(i + 1);
					const [p, b, k] = s.at;
					expect(sequence.phases[p]!.blocks[b]!.steps[k]).toBe(s.step);
				});
			}),
			{ numRuns: 50 }
		);
		expect(findStep(sequenceOf([]), 'none')).toBeUndefined();
	});
	test('levels: one for all places, or one each; the peak names the step', () => {
		expect(levelsOf(step('a', ['malar', 'zygoma'], { pressure: 2 }))).toEqual([2, 2]);
		expect(levelsOf(step('a', ['malar', 'zygoma'], { levels: [1, 3] }))).toEqual([1, 3]);
		expect(peakLevel(step('a', ['malar', 'zygoma'], { levels: [1, 3] }))).toBe(3);
		expect(levelsOf(step('a', [], { aim: 'prepare' }))).toEqual([1]);
		expect(movesFluid(pump('a', 'terminus'))).toBe(false);
		expect(movesFluid(step('a', ['malar', 'zygoma'], { aim: 'close' }))).toBe(true);
	});
});

describe('passes', () => {
	const of = (...steps: Parameters<typeof sequenceOf>[0]) => passesOf(expand(sequenceOf(steps), CONTEXT));
	test('lanes and directions are one pass; each side and each link is one of its own', () => {
		const end = { kind: 'link' as const, places: ['n:terminus' as const], pumps: 3, by: 'hand' as const };
		const list = of(
			step('a', ['chin', 'jawline'], { lanes: 2, reverse: true, side: { each: true, first: 'left' }, end })
		);
		expect(list.map((p) => `${p.kind} ${p.side} ${p.reps}`)).toEqual([
			'work left 20',
			'link left 3',
			'work right 20',
			'link right 3'
		]);
	});
	test('alternating sides are two passes that overlap', () => {
		const [left, right] = of(step('a', ['chin', 'jawline'], { side: { alternate: true, first: 'left' } }));
		expect([left!.reps, right!.reps]).toEqual([5, 5]);
		expect(right!.startSeconds).toBeLessThan(left!.endSeconds);
	});
	test('sides of a pass', () => {
		expect(sidesOf('midline')).toEqual(['left', 'right']);
		expect(sidesOf('right')).toEqual(['right']);
		expect(sidesOf('in-turn-right')).toEqual(['right', 'left']);
		expect([turnsOf('both'), turnsOf('in-turn-left')]).toEqual([undefined, ['left', 'right']]);
	});
	test('of seven repetitions in turn the first side gets four; on both sides each gets all', () => {
		expect([0, 1, 2].map((rep) => sideOfRep('in-turn-right', rep))).toEqual(['right', 'left', 'right']);
		expect([repsOn('in-turn-right', 'right', 7), repsOn('in-turn-right', 'left', 7)]).toEqual([4, 3]);
		expect([repsOn('both', 'left', 7), repsOn('midline', 'right', 7), repsOn('left', 'right', 7)]).toEqual([7, 7, 0]);
	});
});

describe('placement', () => {
	const empty = newSequence({ id: 's', updatedAt: NOW, school: schoolById('outlet-first') });
	const add = (
		sequence: typeof empty,
		technique: string,
		place: Parameters<typeof pump>[1],
		selected: string | null
	) => {
		const s = makeStep(techniqueById(technique)!, { id: `${technique}-${place}`, places: [place as never] });
		return applyEdit(sequence, insertStep(sequence, s, spotFor(sequence, s.aim, selected)));
	};
	test('openings go first, work in the middle, the close last', () => {
		let s = add(empty, 'closing-pump', 'n:terminus', null);
		s = add(s, 'pinned-circles', 'masseter', null);
		s = add(s, 'open-nodes', 'n:terminus', null);
		expect(s.phases.map((p) => p.blocks[0]!.steps.map((x) => x.aim))).toEqual([['open'], ['release'], ['close']]);
		expect(SequenceSchema.safeParse(s).success).toBe(true);
	});
	test('after the selected step where both belong to the same stage', () => {
		let s = add(empty, 'open-nodes', 'n:terminus', null);
		s = add(s, 'open-nodes', 'n:tonsillar', null);
		s = add(s, 'open-nodes', 'n:submandibular', 'open-nodes-n:terminus');
		expect(stepsOf(s).map((x) => x.step.places[0])).toEqual(['n:terminus', 'n:submandibular', 'n:tonsillar']);
		expect(spotFor(s, 'drain', 'open-nodes-n:terminus')).toEqual({ phase: 'work' });
	});
	test('a sequence of one phase takes everything', () => {
		const one = { ...empty, phases: empty.phases.slice(0, 1) };
		expect(spotFor(one, 'drain', null)).toEqual({ phase: 'open' });
		expect(spotFor(one, 'close', null)).toEqual({ phase: 'open' });
	});
});

describe('schools', () => {
	test('the six, each a full set of policies with its reason', () => {
		expect(SCHOOLS.map((s) => s.id).sort()).toEqual([...SCHOOL_IDS].sort());
		for (const school of SCHOOLS) {
			expect(SchoolSchema.safeParse(school).success).toBe(true);
			expect(school.reason.length).toBeGreaterThan(60);
		}
		expect(new Set(SCHOOLS.map((s) => s.reason)).size).toBe(6);
	});
	test('they differ where they are said to', () => {
		expect(schoolById('rise-and-drain')).toMatchObject({ neckDirection: 'up', order: 'chest-up', mouthFinish: 'up' });
		expect(schoolById('release-then-drain')).toMatchObject({ layering: 'separate', caps: { fluid: 1, muscle: 4 } });
		expect(schoolById('crown-down')).toMatchObject({ underChin: 'straight-down', opening: { required: false } });
		expect(schoolById('drain-every-move').drainPolicy).toBe('every-move');
		expect(schoolById('nape-first').order).toBe('nape-first');
		expect(schoolById('unknown').id).toBe('outlet-first');
	});
});
