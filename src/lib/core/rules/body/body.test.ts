import { describe, expect, test } from 'vitest';
import { applyEdit } from '../../sequence/applyEdit';
import type { Sequence } from '../../sequence/sequence.schema';
import type { Step } from '../../step/step.schema';
import { stepsOf } from '../../sequence/walk';
import { CONTEXT, sequenceOf, step } from '../../testing';
import { fixIn, judge } from '../judge';
import { outOfReach } from './selfReach';
import { takesBothHands } from './twoHands';

const found = (ruleId: string, s: Step, change: Partial<Sequence> = {}) =>
	judge(sequenceOf([s], change), CONTEXT).findings.filter((f) => f.ruleId === ruleId);
const mended = (ruleId: string, s: Step, change: Partial<Sequence> = {}): Step => {
	const sequence = sequenceOf([s], change);
	const { findings, context } = judge(sequence, CONTEXT);
	const edit = fixIn(
		context,
		findings.find((f) => f.ruleId === ruleId)!
	);
	return stepsOf(applyEdit(sequence, edit!))[0]!.step;
};
const SELF = { performer: 'self' as const };
const LEFT_RIGHT = { each: true, first: 'left' };

describe('nobody has four hands', () => {
	const cheek = (change: Partial<Step>) => step('a', ['buccal', 'malar'], { aim: 'lift', ...change });
	test.each([
		['hand over hand', cheek({ motion: 'hand-over-hand' }), true],
		['an opposed stretch', cheek({ motion: 'opposed-stretch' }), true],
		['a hand that anchors', cheek({ support: { place: 'jawline', stays: true } }), true],
		['one hand that stays', cheek({ support: { stays: true } }), false],
		['a plain stroke', cheek({}), false]
	] as const)('%s takes both: %o', (_, s, both) => {
		expect(takesBothHands(s)).toBe(both);
		expect(found('two-hands', s)).toHaveLength(both ? 1 : 0);
	});
	test('crossed hands lie one on each side, and a head that is pushed needs the still hand only', () => {
		expect(found('two-hands', cheek({ contact: 'crossed-hands' }))).toEqual([]);
		const pushed = { stays: true, head: 'pushed' } as const;
		expect(found('two-hands', cheek({ motion: 'opposed-stretch', support: pushed }))).toEqual([]);
	});
	test('one side after the other can be done', () => {
		const s = cheek({ motion: 'hand-over-hand', side: { each: true, first: 'right' } });
		expect(found('two-hands', s)).toEqual([]);
		expect(mended('two-hands', cheek({ motion: 'hand-over-hand' })).side).toEqual(LEFT_RIGHT);
	});
});

describe('within one’s own reach', () => {
	test('the nape with a fist, both shoulders with strength; hands laid over one another reach all of it', () => {
		expect(outOfReach(step('a', ['nape'], { contact: 'fist' }))).toBe('nape');
		expect(outOfReach(step('a', ['nape'], { contact: 'pads-3' }))).toBeNull();
		expect(outOfReach(step('a', ['shoulder'], { motion: 'knead', contact: 'fist' }))).toBe('shoulder');
		expect(outOfReach(step('a', ['shoulder'], { motion: 'knead' }))).toBeNull();
		expect(outOfReach(step('a', ['shoulder'], { motion: 'press-hold' }))).toBeNull();
		expect(outOfReach(step('a', ['brow', 'hairline'], { contact: 'crossed-hands' }))).toBeNull();
		expect(outOfReach(step('a', ['postauricular'], { contact: 'crossed-hands' }))).toBeNull();
		const still = { stays: true, head: 'pushed' } as const;
		expect(outOfReach(step('a', ['nape'], { contact: 'fist', support: still }))).toBeNull();
	});
	test('is asked only of what one does on oneself', () => {
		const fist = step('a', ['nape'], { aim: 'release', contact: 'fist' });
		expect(found('self-reach', fist)).toEqual([]);
		expect(found('self-reach', fist, SELF)).toHaveLength(1);
	});
	test('the fix takes the pads, one side at a time, or a flat hand', () => {
		expect(mended('self-reach', step('a', ['nape'], { aim: 'release', contact: 'knuckles' }), SELF).contact).toBe(
			'pads-3'
		);
		expect(
			mended('self-reach', step('a', ['shoulder'], { aim: 'release', motion: 'knead', contact: 'heel' }), SELF).side
		).toEqual(LEFT_RIGHT);
	});
});

describe('who does it, and with what face', () => {
	test('an exercise is the client’s', () => {
		const exercise = step('a', ['submental'], { aim: 'exercise', motion: 'resisted', contact: 'none', pressure: 0 });
		expect(found('exercise-by', exercise)).toHaveLength(1);
		expect(mended('exercise-by', exercise).by).toBe('client');
		expect(found('exercise-by', { ...exercise, by: 'client' })).toEqual([]);
	});
	test('the chewing muscle is released with the teeth apart, on its nodes too', () => {
		const release = step('a', ['masseter'], { aim: 'release', motion: 'pinned-circle', pressure: 2 });
		expect(found('jaw-clenched', release)).toHaveLength(1);
		expect(found('jaw-clenched', { ...release, pressure: 1 })).toEqual([]);
		expect(found('jaw-clenched', { ...release, places: ['chin', 'masseter'], motion: 'stroke' })).toEqual([]);
		expect(found('jaw-clenched', { ...release, mouth: 'parted' })).toEqual([]);
		expect(found('jaw-clenched', { ...release, aim: 'drain' })).toEqual([]);
		expect(mended('jaw-clenched', release).mouth).toBe('parted');
	});
	test('eyes are closed while the lids are touched, not elsewhere', () => {
		const lid = step('a', ['lower-eyelid', 'outer-canthus'], { eyes: 'open', contact: 'ring-finger' });
		expect(found('eyes-open', lid)).toHaveLength(1);
		expect(mended('eyes-open', lid).eyes).toBe('closed');
		expect(found('eyes-open', { ...lid, places: ['malar', 'zygoma'] })).toEqual([]);
		expect(found('eyes-open', { ...lid, by: 'client' })).toEqual([]);
	});
});
