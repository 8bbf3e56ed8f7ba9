import { describe, expect, test } from 'vitest';
import type { School } from '../../school/school.schema';
import { schoolById } from '../../school/schools';
import { applyEdit } from '../../sequence/applyEdit';
import type { Sequence } from '../../sequence/sequence.schema';
import type { Step } from '../../step/step.schema';
import { stepsOf } from '../../sequence/walk';
import { CONTEXT, pump, sequenceOf, step } from '../../testing';
import { fixIn, judge } from '../judge';

const OUTLET = schoolById('outlet-first');
const found = (ruleId: string, steps: Step[], school: School = OUTLET, change: Partial<Sequence> = {}) =>
	judge(sequenceOf(steps, { school, ...change }), CONTEXT).findings.filter((f) => f.ruleId === ruleId);
const idsAfter = (ruleId: string, steps: Step[], school: School = OUTLET) => {
	const sequence = sequenceOf(steps, { school });
	const { findings, context } = judge(sequence, CONTEXT);
	const edit = fixIn(
		context,
		findings.find((f) => f.ruleId === ruleId)!
	);
	return stepsOf(applyEdit(sequence, edit!)).map((s) => s.step.id);
};

const JAW = step('jaw', ['jawline', 'under-jaw', 'n:submandibular']);
const CHEEK = step('cheek', ['malar', 'zygoma', 'preauricular', 'n:preauricular']);
const EYE = step('eye', ['lower-eyelid', 'outer-canthus', 'temple']);
const BROW = step('brow', ['forehead-lateral', 'temple', 'preauricular']);
const NECK = step('neck', ['sternocleidomastoid', 'n:deep-cervical', 'n:terminus']);
const KNEAD = step('knead', ['masseter'], { aim: 'release', motion: 'knead', pressure: 3 });

describe('openings of the school', () => {
	const all = OUTLET.opening.nodes.map((n) => pump(n, n));
	test('all of them, in its order, please it', () => {
		expect(found('opening-missing', [...all, NECK])).toEqual([]);
		expect(found('opening-order', [...all, NECK])).toEqual([]);
	});
	test('what is missing is named once, at the first stroke', () => {
		const [finding, ...more] = found('opening-missing', [...all.slice(0, 5), NECK, JAW]);
		expect(more).toEqual([]);
		expect(finding).toMatchObject({ stepIds: ['neck'], params: { names: 'under the chin, front of the ear' } });
	});
	test('the fix puts each where the school would open it', () => {
		const without = all.filter((s) => s.id !== 'deep-cervical');
		expect(idsAfter('opening-missing', [...without, NECK])).toEqual([
			...['axillary', 'terminus', 'open-deep-cervical', 'tonsillar', 'submandibular', 'submental', 'preauricular'],
			'neck'
		]);
	});
	test('a school that opens before the face lets the neck be stroked first', () => {
		const nape = {
			...schoolById('nape-first'),
			opening: { required: true, nodes: ['terminus' as const, 'occipital' as const], before: 'face' as const }
		};
		const open = nape.opening.nodes.map((n) => pump(n, n));
		expect(found('opening-missing', [NECK, ...open, JAW], nape)).toEqual([]);
		expect(found('opening-missing', [JAW, ...open], nape)).toHaveLength(1);
	});
	test('a school that opens nothing on purpose asks for none', () => {
		expect(found('opening-missing', [NECK], schoolById('crown-down'))).toEqual([]);
		expect(
			found('opening-order', [pump('a', 'preauricular'), pump('b', 'terminus'), NECK], schoolById('crown-down'))
		).toEqual([]);
	});
	test('out of order: the outer group is told, and the inner one is moved before it', () => {
		const wrong = [pump('ear', 'preauricular'), pump('outlet', 'terminus'), NECK];
		expect(found('opening-order', wrong).map((f) => f.stepIds)).toEqual([['outlet']]);
		expect(idsAfter('opening-order', wrong)).toEqual(['outlet', 'ear', 'neck']);
	});
	test('groups that the school does not open may be pumped anywhere', () => {
		expect(found('opening-order', [pump('o', 'occipital'), ...all, NECK])).toEqual([]);
	});
});

describe('neck before face', () => {
	test('a neck stroke clears it; pumps and kneading do not', () => {
		expect(found('neck-first', [pump('o', 'deep-cervical'), JAW])).toHaveLength(1);
		expect(found('neck-first', [NECK, JAW])).toEqual([]);
		const release = step('r', ['sternocleidomastoid'], { aim: 'release', side: 'left', reason: 'x' });
		expect(found('neck-first', [release, JAW])).toHaveLength(1);
	});
	test('a stroke from behind the ear down the neck is neck work, not face', () => {
		const down = step('down', ['postauricular', 'sternocleidomastoid', 'supraclavicular', 'n:terminus']);
		expect(found('neck-first', [down])).toEqual([]);
		expect(found('neck-first', [down, JAW])).toEqual([]);
	});
	test('node by node from the ear is no face either', () => {
		expect(
			found('neck-first', [step('c', ['n:preauricular', 'n:tonsillar', 'n:deep-cervical'], { aim: 'close' })])
		).toEqual([]);
	});
	test('schools that do not ask for it', () => {
		expect(found('neck-first', [JAW], schoolById('rise-and-drain'))).toEqual([]);
	});
});

describe('regions in the order of the school', () => {
	test('from the exit backwards: jaw, cheek, eye, forehead', () => {
		expect(found('nearest-first', [JAW, CHEEK, EYE, BROW])).toEqual([]);
		expect(found('nearest-first', [BROW, EYE, CHEEK, JAW]).map((f) => f.stepIds)).toEqual([
			['eye'],
			['cheek'],
			['jaw']
		]);
	});
	test('crown down wants the opposite', () => {
		expect(found('nearest-first', [BROW, EYE, CHEEK, JAW], schoolById('crown-down'))).toEqual([]);
		expect(found('nearest-first', [JAW, BROW], schoolById('crown-down'))).toHaveLength(1);
	});
	test('neighbours of one region are one finding and move together', () => {
		const jaw2 = { ...JAW, id: 'jaw-2' };
		expect(found('nearest-first', [NECK, BROW, JAW, jaw2]).map((f) => f.stepIds)).toEqual([['jaw', 'jaw-2']]);
		// The brow is led home at last: the close is added with it.
		expect(idsAfter('nearest-first', [NECK, BROW, JAW, jaw2])).toEqual([
			'neck',
			'jaw',
			'jaw-2',
			'brow',
			'close-terminus'
		]);
	});
	test('releases and lifts count, but where the layers are apart; the temple comes before the eye; again is not late', () => {
		expect(found('nearest-first', [EYE, KNEAD])).toHaveLength(1);
		expect(found('nearest-first', [EYE, KNEAD], schoolById('release-then-drain'))).toEqual([]);
		const temple = step('temple', ['temple', 'preauricular']);
		expect(found('nearest-first', [temple, EYE])).toEqual([]);
		expect(found('nearest-first', [EYE, temple])).toHaveLength(1);
		expect(found('nearest-first', [JAW, BROW, { ...JAW, id: 'again' }, NECK])).toEqual([]);
	});
});

describe('layers', () => {
	const apart = schoolById('release-then-drain');
	test('where they are kept apart, release comes first', () => {
		expect(found('layers-mixed', [KNEAD, CHEEK], apart)).toEqual([]);
		expect(found('layers-mixed', [CHEEK, KNEAD], apart).map((f) => f.stepIds)).toEqual([['knead']]);
		expect(found('layers-mixed', [CHEEK, KNEAD])).toEqual([]);
	});
	test('light releases may stay', () => {
		expect(found('layers-mixed', [CHEEK, { ...KNEAD, pressure: 1 }], apart)).toEqual([]);
	});
	test('deep work wants a drain after it: a stroke over it, its nodes, or a link', () => {
		expect(found('deep-then-drain', [KNEAD]).map((f) => f.place)).toEqual(['masseter']);
		expect(found('deep-then-drain', [{ ...KNEAD, pressure: 2 }])).toEqual([]);
		expect(found('deep-then-drain', [KNEAD, step('d', ['masseter', 'n:tonsillar'])])).toEqual([]);
		expect(found('deep-then-drain', [step('d', ['masseter', 'n:tonsillar']), KNEAD])).toHaveLength(1);
		const end = {
			kind: 'link' as const,
			places: ['n:tonsillar' as const, 'n:terminus' as const],
			pumps: 3,
			by: 'hand' as const
		};
		expect(found('deep-then-drain', [{ ...KNEAD, end }])).toEqual([]);
	});
});

describe('a short version', () => {
	const phases = (exitAfter: boolean, first: Step[]): Partial<Sequence> => ({
		phases: [first, [CHEEK]].map((steps, i) => ({
			id: `p${i}`,
			title: `Part ${i + 1}`,
			exitAfter: exitAfter && i === 0,
			blocks: [{ id: `b${i}`, title: '', sides: 'asSteps' as const, steps }]
		}))
	});
	test('is closed before it ends, by a pump or a link at the outlet', () => {
		expect(found('exit-open', [], OUTLET, phases(true, [JAW])).map((f) => f.params.phase)).toEqual(['Part 1']);
		expect(found('exit-open', [], OUTLET, phases(true, [JAW, pump('c', 'terminus', { aim: 'close' })]))).toEqual([]);
		expect(found('exit-open', [], OUTLET, phases(false, [JAW]))).toEqual([]);
	});
	test('without any drain there is nothing to close', () => {
		expect(found('exit-open', [], OUTLET, phases(true, [KNEAD]))).toEqual([]);
	});
	test('ends after the neck where the school foresees that, else it is told once', () => {
		const rising = schoolById('rise-and-drain');
		expect(found('exit-after-neck', [], OUTLET, phases(true, [NECK]))).toEqual([]);
		expect(found('exit-after-neck', [], rising, phases(true, [NECK])).map((f) => f.stepIds)).toEqual([['neck']]);
		expect(found('exit-after-neck', [], rising, phases(true, [NECK, JAW]))).toEqual([]);
		expect(found('exit-after-neck', [], rising, phases(false, [NECK]))).toEqual([]);
	});
});

test('a closed group is told at each stroke; a school that opens nothing on purpose is not told', () => {
	const twice = [pump('o', 'terminus'), JAW, { ...JAW, id: 'jaw-2' }];
	expect(found('receiver-closed', twice).map((f) => f.stepIds)).toEqual([['jaw'], ['jaw-2']]);
	expect(found('receiver-closed', twice, schoolById('crown-down'))).toEqual([]);
	expect(found('outlet-closed', [JAW], schoolById('release-then-drain'))).toEqual([]);
});
