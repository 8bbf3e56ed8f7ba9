import { describe, expect, test } from 'vitest';
import { schoolById } from '../school/schools';
import { applyEdit } from '../sequence/applyEdit';
import type { Sequence } from '../sequence/sequence.schema';
import type { Step } from '../step/step.schema';
import { stepsOf } from '../sequence/walk';
import { basicTechnique } from '../technique/basics';
import { makeStep } from '../technique/makeStep';
import { CONTEXT, sequenceOf, step } from '../testing';
import { fixIn, judge } from './judge';

/** Tape, inside work, hygiene, glide and effort: what surrounds the strokes. */
const found = (ruleId: string, steps: Step[], change: Partial<Sequence> = {}) =>
	judge(sequenceOf(steps, change), CONTEXT).findings.filter((f) => f.ruleId === ruleId);
const mended = (ruleId: string, steps: Step[], change: Partial<Sequence> = {}): Step[] => {
	const sequence = sequenceOf(steps, change);
	const { findings, context } = judge(sequence, CONTEXT);
	const edit = fixIn(
		context,
		findings.find((f) => f.ruleId === ruleId)!
	);
	return stepsOf(applyEdit(sequence, edit!)).map((s) => s.step);
};
const ids = (steps: readonly Step[]) => steps.map((s) => s.id);
const basic = (id: Parameters<typeof basicTechnique>[0], as: string) => makeStep(basicTechnique(id), { id: as });
const TAPE = { lengthMm: 30, widthMm: 8, wearHours: 3 };
const tape = (id: string, place: Step['places'][number], change: Partial<Step> = {}) =>
	step(id, [place], {
		aim: 'fix',
		motion: 'none',
		contact: 'tool',
		tool: { id: 'tape' },
		tape: TAPE,
		pressure: 0,
		...change
	});
const inside = (id: string, change: Partial<Step> = {}) =>
	step(id, ['masseter'], {
		aim: 'release',
		contact: 'thumb-inside',
		tool: { id: 'gloves' },
		mouth: 'parted',
		side: { each: true, first: 'left' },
		dose: { kind: 'seconds', min: 20, target: 40, max: 120 },
		...change
	});
const stroke = (id: string, change: Partial<Step> = {}) => step(id, ['malar', 'zygoma'], change);
const oil = (id: string, medium = 'light-oil') =>
	step(id, [], { aim: 'prepare', motion: 'sweep', contact: 'flat-hand', medium: { id: medium, ml: 1 }, pressure: 0 });

describe('tape', () => {
	test.each([
		['beside the eye two hours', 'outer-canthus', 2, 2.5],
		['elsewhere eight', 'marionette', 8, 8.5],
		['between the brows eight', 'glabella', 8, 9]
	] as const)('%s', (_, place, fine, long) => {
		const worn = (wearHours: number) => [tape('t', place, { tape: { ...TAPE, wearHours } })];
		expect(found('tape-wear', worn(fine))).toEqual([]);
		expect(found('tape-wear', worn(long)).map((f) => f.params.limit)).toEqual([fine]);
		expect(mended('tape-wear', worn(long))[0]!.tape!.wearHours).toBe(fine);
	});
	test('a school may wear it overnight, between the brows only', () => {
		const school = { ...schoolById('outlet-first'), tape: 'overnight' as const };
		const night = (place: 'glabella' | 'marionette') => [tape('t', place, { tape: { ...TAPE, wearHours: 10 } })];
		expect(found('tape-wear', night('glabella'), { school })).toEqual([]);
		expect(found('tape-wear', night('marionette'), { school })).toHaveLength(1);
	});
	test('comes after all work on its skin', () => {
		expect(found('taped-skin', [stroke('s'), tape('t', 'malar')])).toEqual([]);
		expect(found('taped-skin', [tape('t', 'malar'), stroke('s')]).map((f) => f.params.later)).toEqual([2]);
		expect(found('taped-skin', [tape('t', 'glabella'), stroke('s')])).toEqual([]);
		expect(ids(mended('taped-skin', [tape('t', 'malar'), stroke('s', { aim: 'lift' })]))).toEqual(['s', 't']);
	});
	test('two opposing pulls, and tape where the school lays none, are left to her', () => {
		const pulls = [tape('a', 'marionette'), tape('b', 'buccal')];
		expect(found('tape-opposed', pulls).map((f) => [f.stepIds, f.fixable])).toEqual([[['a', 'b'], false]]);
		for (const place of ['glabella', 'nasolabial'] as const)
			expect(found('tape-opposed', [tape('a', 'marionette'), tape('b', place)])).toEqual([]);
		const none = { ...schoolById('outlet-first'), tape: 'none' as const };
		expect(found('tape-in-school', pulls, { school: none })).toHaveLength(2);
		expect(found('tape-in-school', pulls)).toEqual([]);
	});
});

describe('inside the cheek', () => {
	test('gloved, or washed right before', () => {
		const bare = inside('i', { tool: undefined });
		expect(found('inside-gloves', [inside('i')])).toEqual([]);
		expect(found('inside-gloves', [bare])).toHaveLength(1);
		expect(found('inside-gloves', [basic('clean-hands', 'w'), bare])).toEqual([]);
		expect(found('inside-gloves', [basic('clean-hands', 'w'), stroke('s'), bare])).toHaveLength(1);
		expect(mended('inside-gloves', [bare])[0]!.tool).toEqual({ id: 'gloves' });
	});
	test('the outside is touched with the gloves off, or with washed hands', () => {
		expect(found('inside-after', [inside('i'), stroke('s')])).toEqual([]);
		const gloved = stroke('s', { tool: { id: 'gloves' } });
		expect(found('inside-after', [inside('i'), gloved])).toHaveLength(1);
		expect(found('inside-after', [inside('i'), basic('clean-hands', 'w'), gloved])).toEqual([]);
		expect(found('inside-after', [inside('i'), inside('j')])).toEqual([]);
		expect(ids(mended('inside-after', [inside('i'), gloved]))).toEqual(['i', 'wash-after-inside', 's']);
	});
	test('two minutes a side at most, and each time it is said that a licence may be needed', () => {
		const for_ = (n: number) => [inside('i', { dose: { kind: 'seconds', min: 10, target: n, max: 300 } })];
		expect(found('inside-time', for_(120))).toEqual([]);
		expect(found('inside-time', for_(130)).map((f) => f.params.seconds)).toEqual([130]);
		expect(mended('inside-time', for_(200))[0]!.dose.target).toBeLessThanOrEqual(120);
		expect(found('inside-licence', [stroke('s'), inside('i'), inside('j')]).map((f) => f.stepIds)).toEqual([['i']]);
	});
});

describe('hygiene', () => {
	test('hands are washed before the first touch, when it is a client’s face', () => {
		expect(found('hands-clean', [stroke('s')])).toHaveLength(1);
		expect(found('hands-clean', [basic('clean-hands', 'w'), stroke('s')])).toEqual([]);
		expect(found('hands-clean', [stroke('s'), basic('clean-hands', 'w')])).toHaveLength(1);
		expect(found('hands-clean', [stroke('s')], { performer: 'self' })).toEqual([]);
		expect(ids(mended('hands-clean', [stroke('s')]))).toEqual(['wash-hands', 's']);
	});
	test('tools that are used again are cleaned before and after', () => {
		const roller = stroke('r', { contact: 'tool', tool: { id: 'roller' } });
		const clean = (id: string) => basic('clean-tool', id);
		expect(found('tools-clean', [roller]).map((f) => f.params.when)).toEqual(['before and after']);
		expect(found('tools-clean', [clean('c'), roller]).map((f) => f.params.when)).toEqual(['after']);
		expect(found('tools-clean', [roller, clean('c')]).map((f) => f.params.when)).toEqual(['before']);
		expect(found('tools-clean', [clean('a'), roller, clean('b')])).toEqual([]);
		expect(found('tools-clean', [stroke('c', { contact: 'tool', tool: { id: 'cloth' } })])).toEqual([]);
		expect(ids(mended('tools-clean', [roller]))).toEqual(['clean-tool-before', 'r', 'clean-tool-after']);
	});
});

describe('oil in the way', () => {
	test('tape on oil: wiped where it is laid', () => {
		const steps = [oil('o'), tape('t', 'glabella')];
		expect(found('tape-on-oil', steps).map((f) => f.place)).toEqual(['glabella']);
		const after = mended('tape-on-oil', steps);
		expect(ids(after)).toEqual(['o', 'remove-oil', 't']);
		expect(found('tape-on-oil', after)).toEqual([]);
	});
	test('a dry fold on oil; what is circled or pressed stays where it is', () => {
		const fold = step('f', ['forehead-medial'], { aim: 'release', motion: 'skin-lift', contact: 'pinch' });
		const circle = step('c', ['temple'], { aim: 'release', motion: 'pinned-circle' });
		expect(found('dry-after-oil', [fold, oil('o')])).toEqual([]);
		expect(found('dry-after-oil', [oil('o'), fold]).map((f) => f.stepIds)).toEqual([['f']]);
		expect(found('dry-after-oil', [oil('o'), circle])).toEqual([]);
		expect(found('dry-after-oil', [oil('o'), circle], { school: schoolById('release-then-drain') })).toEqual([]);
	});
	test('no scent where the eye is worked; the fix takes an unscented oil everywhere', () => {
		const eye = step('e', ['lower-eyelid', 'outer-canthus'], { contact: 'ring-finger' });
		expect(found('scent-near-eye', [oil('o', 'scented-oil'), stroke('s')])).toEqual([]);
		expect(found('scent-near-eye', [oil('o'), eye])).toEqual([]);
		expect(found('scent-near-eye', [oil('o', 'scented-oil'), eye])).toHaveLength(1);
		expect(mended('scent-near-eye', [oil('o', 'scented-oil'), eye])[0]!.medium!.id).toBe('light-oil');
		const own = [{ id: 'mine', title: 'Mine', halfLifeSeconds: 700, allergens: ['essential-oils' as const], note: '' }];
		expect(found('scent-near-eye', [oil('o', 'mine'), eye], { media: own })).toHaveLength(1);
	});
});

describe('effort', () => {
	const stone = (id: string, edge: 'notch' | 'comb', places: Step['places'] = ['malar', 'zygoma']) =>
		step(id, places, { aim: 'lift', contact: 'tool', tool: { id: 'stone-plate', edge } });
	test('a tool is picked up once, whichever edge is turned to the skin; hands in between count', () => {
		expect(found('tool-swaps', [stone('a', 'notch'), stroke('s'), stone('b', 'notch')])).toHaveLength(1);
		expect(found('tool-swaps', [stone('a', 'notch'), stone('b', 'notch'), stroke('s')])).toEqual([]);
		expect(found('tool-swaps', [stone('a', 'notch'), stone('b', 'comb'), stroke('s')])).toEqual([]);
		expect(found('tool-swaps', [stone('a', 'notch'), stone('b', 'comb'), stone('c', 'notch')])).toEqual([]);
	});
	test('a region is finished before the next, within a phase', () => {
		const lift = (id: string, place: 'malar' | 'brow') => step(id, [place], { aim: 'lift', motion: 'lift-hold' });
		const there = [lift('a', 'malar'), lift('b', 'brow'), lift('c', 'malar')];
		expect(found('back-and-forth', there).map((f) => [f.stepIds, f.params.before])).toEqual([[['c'], 1]]);
		expect(ids(mended('back-and-forth', there))).toEqual(['a', 'c', 'b']);
		expect(found('back-and-forth', [lift('a', 'malar'), lift('c', 'malar'), lift('b', 'brow')])).toEqual([]);
	});
});
