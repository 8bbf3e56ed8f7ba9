import { describe, expect, test } from 'vitest';
import { schoolById } from '../../school/schools';
import { applyEdit } from '../../sequence/applyEdit';
import type { School } from '../../school/school.schema';
import type { Step } from '../../step/step.schema';
import { stepsOf } from '../../sequence/walk';
import { CONTEXT, sequenceOf, step } from '../../testing';
import { riseOf } from '../facts';
import { fixIn, judge } from '../judge';

const found = (ruleId: string, s: Step, school: School = schoolById('outlet-first')) =>
	judge(sequenceOf([s], { school }), CONTEXT).findings.filter((f) => f.ruleId === ruleId);
const mended = (ruleId: string, s: Step, school: School = schoolById('outlet-first')): Step => {
	const sequence = sequenceOf([s], { school });
	const { findings, context } = judge(sequence, CONTEXT);
	const edit = fixIn(
		context,
		findings.find((f) => f.ruleId === ruleId)!
	);
	return stepsOf(applyEdit(sequence, edit!))[0]!.step;
};

describe('a stroke along the jaw', () => {
	test.each([
		[['chin', 'jawline'], 'drain', true],
		[['marionette', 'jawline'], 'drain', true],
		[['chin', 'jawline'], 'lift', true],
		[['chin', 'jawline'], 'release', false],
		[['jawline', 'under-jaw', 'n:submandibular'], 'drain', false],
		[['jawline', 'masseter', 'preauricular'], 'lift', false],
		[['buccal', 'jawline'], 'drain', true],
		[['malar', 'buccal', 'marionette'], 'drain', true],
		[['throat', 'jawline'], 'lift', false],
		[['buccal', 'jawline', 'n:submandibular'], 'drain', false]
	] as const)('%j as %s stops short: %o', (places, aim, short) => {
		expect(found('jaw-short', step('a', [...places], { aim }))).toHaveLength(short ? 1 : 0);
	});
	test('is led on to the jaw nodes, a lift to the ear, at one safe level', () => {
		expect(mended('jaw-short', step('a', ['chin', 'jawline'])).places.at(-1)).toBe('n:submandibular');
		const lift = mended('jaw-short', step('a', ['chin', 'jawline'], { aim: 'lift', levels: [2, 3] }));
		expect(lift.places).toEqual(['chin', 'jawline', 'masseter', 'preauricular']);
		expect([lift.pressure, lift.levels]).toEqual([3, undefined]);
	});
	test('there and back ends where it began', () => {
		expect(found('jaw-short', step('a', ['jawline', 'under-jaw', 'n:submandibular'], { reverse: true }))).toHaveLength(
			1
		);
	});
});

describe('against the drainage', () => {
	test.each([
		[['nasolabial', 'malar', 'zygoma', 'preauricular'], false],
		[['nose-wing', 'malar', 'zygoma', 'preauricular', 'n:preauricular'], false],
		[['chin', 'jawline', 'masseter', 'preauricular'], false],
		[['nasolabial', 'malar'], true],
		[['preauricular', 'zygoma', 'malar', 'nasolabial'], true],
		[['zygoma', 'malar', 'zygoma', 'preauricular'], true]
	] as const)('%j: %o', (places, against) => {
		expect(found('against-drainage', step('a', [...places]))).toHaveLength(against ? 1 : 0);
	});
});

describe('up and down', () => {
	test('rise: from the place where it starts to where it ends; none with the way back, or where it stays', () => {
		expect(riseOf(step('a', ['chin', 'malar']))).toBeGreaterThan(0);
		expect(riseOf(step('a', ['malar', 'chin']))).toBeLessThan(0);
		expect(riseOf(step('a', ['malar', 'chin'], { reverse: true }))).toBe(0);
		expect(riseOf(step('a', ['malar', 'chin'], { motion: 'press-hold' }))).toBe(0);
		expect(riseOf(step('a', ['malar']))).toBe(0);
	});
	test('a lift downwards is turned, its levels with it', () => {
		const down = step('a', ['malar', 'buccal'], { aim: 'lift', levels: [1, 2] });
		expect(mended('lift-down', down)).toMatchObject({ places: ['buccal', 'malar'], levels: [2, 1] });
		expect(found('lift-down', step('a', ['malar', 'buccal']))).toEqual([]);
		const lift = (places: Step['places'], change: Partial<Step> = {}) => step('a', places, { aim: 'lift', ...change });
		expect(found('lift-down', lift(['forehead-medial', 'forehead-lateral', 'temple']))).toEqual([]);
		expect(found('lift-down', lift(['malar', 'buccal'], { end: { kind: 'lift' } }))).toEqual([]);
		// Outwards and down: turned it would lead to the middle, so it gets a small lift at its end.
		expect(mended('lift-down', lift(['malar', 'buccal', 'masseter']))).toMatchObject({ end: { kind: 'lift' } });
		expect(found('lift-down', step('a', ['buccal', 'malar'], { aim: 'lift' }))).toEqual([]);
	});
	test('the mouth finishes upwards where the school lifts', () => {
		const rise = schoolById('rise-and-drain');
		const down = step('a', ['lower-lip', 'chin'], { aim: 'release', motion: 'zigzag' });
		expect(found('mouth-ends-down', down)).toEqual([]);
		expect(found('mouth-ends-down', down, rise)).toHaveLength(1);
		expect(mended('mouth-ends-down', down, rise).end).toEqual({ kind: 'lift' });
		expect(found('mouth-ends-down', { ...down, aim: 'drain' }, rise)).toEqual([]);
		expect(found('mouth-ends-down', { ...down, places: ['malar', 'buccal'] }, rise)).toEqual([]);
	});
	test('up the neck is for schools that lift it', () => {
		const up = step('a', ['throat', 'under-jaw'], { aim: 'lift' });
		expect(found('neck-direction', up)).toHaveLength(1);
		expect(found('neck-direction', up)[0]!.fixable).toBe(false);
		expect(found('neck-direction', up, schoolById('rise-and-drain'))).toEqual([]);
	});
});

describe('the stone and the lids', () => {
	const stone = (tiltDegrees: number, places: Step['places']) =>
		step('a', places, {
			aim: 'lift',
			contact: 'tool',
			tool: { id: 'stone-plate', edge: 'notch', tiltDegrees },
			side: 'left',
			reason: 'x'
		});
	test('nearly flat on the face, up to 45° on the neck', () => {
		expect(found('steep-tilt', stone(30, ['malar', 'zygoma']))).toEqual([]);
		expect(found('steep-tilt', stone(31, ['malar', 'zygoma'])).map((f) => f.params.limit)).toEqual([30]);
		expect(found('steep-tilt', stone(45, ['sternocleidomastoid', 'supraclavicular']))).toEqual([]);
		expect(found('steep-tilt', stone(45, ['sternocleidomastoid', 'jawline']))).toHaveLength(1);
		expect(mended('steep-tilt', stone(60, ['malar', 'zygoma'])).tool!.tiltDegrees).toBe(15);
	});
	test('strong fingers stay off the lids; a touch is no finger', () => {
		const lid = (change: Partial<Step>) => step('a', ['upper-eyelid', 'outer-canthus'], change);
		expect(found('lid-contact', lid({ contact: 'thumb' })).map((f) => f.place)).toEqual(['upper-eyelid']);
		expect(found('lid-contact', lid({ contact: 'ring-finger' }))).toEqual([]);
		expect(found('lid-contact', lid({ contact: 'thumb', pressure: 0 }))).toEqual([]);
		expect(mended('lid-contact', lid({ contact: 'index-hook' })).contact).toBe('ring-finger');
	});
});
