import { describe, expect, test } from 'vitest';
import { MEDIA } from '../medium/media';
import { TECHNIQUES } from '../technique/library';
import { CONTEXT, sequenceOf, step } from '../testing';
import { dissolveBlock, groupSideBySide, mayFollow, setFirstSide } from './blocks';
import { applyEdit, revertEdit } from './applyEdit';
import { embedMedium, embedTechnique } from './embed';
import { expand } from './expand';
import { stepsOf } from './walk';

const four = sequenceOf(['a', 'b', 'c', 'd'].map((id) => step(id, ['masseter'], { aim: 'release' })));
const shape = (s: typeof four) => s.phases[0]!.blocks.map((b) => [b.sides, b.steps.map((x) => x.id).join('')]);
const LEFT = { each: true, first: 'left' };

describe('blocks', () => {
	test('a run in the middle becomes a block of its own; what stands around stays, in order', () => {
		const edit = groupSideBySide(four, 'b', 'c', 'x');
		const grouped = applyEdit(four, edit);
		expect(shape(grouped)).toEqual([
			['asSteps', 'a'],
			[LEFT, 'bc'],
			['asSteps', 'd']
		]);
		expect(stepsOf(grouped).map((s) => s.step.side)).toEqual(['both', undefined, undefined, 'both']);
		expect(revertEdit(grouped, edit)).toEqual(four);
	});
	test('three moves on the left, then the same three on the right', () => {
		const grouped = applyEdit(four, groupSideBySide(four, 'a', 'c', 'x'));
		const work = expand(grouped, CONTEXT).filter((e) => e.kind === 'work');
		expect(work.map((e) => `${e.stepId} ${e.side}`)).toEqual([
			...['a left', 'b left', 'c left', 'a right', 'b right', 'c right'],
			'd both'
		]);
	});
	test('right side first; taken apart, each step changes sides by itself', () => {
		const grouped = applyEdit(four, groupSideBySide(four, 'a', 'd', 'x'));
		const right = applyEdit(grouped, setFirstSide(grouped, 'x', 'right'));
		expect(expand(right, CONTEXT).find((e) => e.kind === 'work')!.side).toBe('right');
		const apart = applyEdit(right, dissolveBlock(right, 'x'));
		expect(stepsOf(apart).map((s) => s.step.side)).toEqual(Array(4).fill({ each: true, first: 'right' }));
	});
	test('only steps that follow each other in one block', () => {
		expect(() => groupSideBySide(four, 'c', 'a', 'x')).toThrow(/follow each other/);
		expect(mayFollow(four, 'b').map((s) => s.id)).toEqual(['c', 'd']);
		expect(mayFollow(applyEdit(four, groupSideBySide(four, 'a', 'b', 'x')), 'a')).toEqual([]);
	});
});

test('own techniques and media travel with the sequence, once, in their latest form', () => {
	const own = { ...TECHNIQUES[0]!, id: 'own-1', title: 'Mine' };
	const once = applyEdit(four, embedTechnique(four, own)!);
	expect(once.techniques).toEqual([own]);
	expect(embedTechnique(once, own)).toBeNull();
	const later = { ...own, title: 'Mine, softer' };
	expect(applyEdit(once, embedTechnique(once, later)!).techniques).toEqual([later]);
	const oil = { ...MEDIA[0]!, id: 'own-oil' };
	expect(applyEdit(four, embedMedium(four, oil)!).media).toEqual([oil]);
	expect(embedMedium(applyEdit(four, embedMedium(four, oil)!), oil)).toBeNull();
});
