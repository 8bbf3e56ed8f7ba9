import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anySequence, pump, sequenceOf, step } from '../testing';
import { insertSteps } from './edits';
import { applyEdit, revertEdit } from './applyEdit';
import type { Edit } from './edit.schema';
import {
	carriedOver,
	duplicateSteps,
	groupSteps,
	mirrorAll,
	mirrorSteps,
	moveSteps,
	repeatOnOtherSide,
	setBlockSteps,
	setSteps,
	splitPhase,
	splitStep
} from './manyEdits';
import type { Sequence } from './sequence.schema';
import { stepsOf } from './walk';

let n = 0;
const newId = () => `n${n++}`;
const ids = (s: Sequence) => stepsOf(s).map((p) => p.step.id);
const FOUR = sequenceOf([
	pump('a', 'terminus'),
	step('b', ['malar', 'zygoma'], { side: 'left', reason: 'fuller' }),
	step('c', ['malar', 'zygoma', 'preauricular'], {
		levels: [1, 1, 2],
		stations: { places: ['zygoma'], hold: { kind: 'seconds', amount: 2 } }
	}),
	step('d', ['n:submandibular', 'n:tonsillar'], {
		motion: 'pump',
		end: { kind: 'link', places: ['n:terminus'], pumps: 3, by: 'hand' }
	})
]);
const some = (...list: string[]) => new Set(list);

describe('several steps', () => {
	test('are changed at once, and one undo takes it back', () => {
		const edit = setSteps(FOUR, some('a', 'b'), () => ({ optional: true }), 'Change optional');
		expect(edit.label).toBe('Change optional of 2 steps');
		const after = applyEdit(FOUR, edit);
		expect(stepsOf(after).map((s) => s.step.optional)).toEqual([true, true, false, false]);
		expect(revertEdit(after, edit)).toEqual(FOUR);
	});
	test('keep their order wherever they are moved', () => {
		const to = (list: Set<string>, spot: Parameters<typeof moveSteps>[2]) =>
			ids(applyEdit(FOUR, moveSteps(FOUR, list, spot)));
		expect(to(some('a', 'c'), { after: 'd' })).toEqual(['b', 'd', 'a', 'c']);
		expect(to(some('b', 'd'), { before: 'a' })).toEqual(['b', 'd', 'a', 'c']);
		expect(to(some('b', 'c'), { before: 'c' })).toEqual(['a', 'b', 'c', 'd']);
		expect(to(some('a', 'd'), { phase: 'p1' })).toEqual(['b', 'c', 'a', 'd']);
	});
	test('come twice behind the last, or once more for the other side with its reason', () => {
		expect(ids(applyEdit(FOUR, duplicateSteps(FOUR, some('b', 'a'), newId)!))).toHaveLength(6);
		const after = applyEdit(FOUR, repeatOnOtherSide(FOUR, some('a', 'b'), newId)!);
		expect(stepsOf(after)[2]!.step).toMatchObject({ places: ['malar', 'zygoma'], side: 'right', reason: 'fuller' });
		expect(repeatOnOtherSide(FOUR, some('a'), newId)).toBeNull();
		expect(duplicateSteps(FOUR, some('x'), newId)).toBeNull();
	});
	test('become a block where the first of them stands; not across phases', () => {
		const after = applyEdit(FOUR, groupSteps(FOUR, some('b', 'd'), newId));
		expect(after.phases[0]!.blocks.map((b) => b.steps.map((s) => s.id))).toEqual([['a'], ['b', 'd'], ['c']]);
		expect(after.phases[0]!.blocks[1]!.sides).toEqual({ each: true, first: 'left' });
		expect(() => groupSteps(after, some('a', 'b'), newId)).toThrow(/in a block already/);
		const parted = applyEdit(FOUR, splitPhase(FOUR, 'c', 'Then', newId)!);
		expect(() => groupSteps(parted, some('a', 'c'), newId)).toThrow(/one phase/);
		expect(() => groupSteps(FOUR, some(), newId)).toThrow(/Choose/);
	});
});

describe('dividing', () => {
	test('a stroke ends and begins at one place; levels and stations go where they belong', () => {
		const after = applyEdit(FOUR, splitStep(FOUR, 'c', 1, 'c2', false));
		expect(stepsOf(after)[2]!.step).toMatchObject({ places: ['malar', 'zygoma'], levels: [1, 1] });
		expect(stepsOf(after)[3]!.step).toMatchObject({ id: 'c2', places: ['zygoma', 'preauricular'], levels: [1, 2] });
	});
	test('a move that stays is parted between its places, the drain link stays with the second', () => {
		const after = applyEdit(FOUR, splitStep(FOUR, 'd', 1, 'd2', true));
		expect(
			stepsOf(after)
				.slice(3)
				.map((s) => [s.step.places, s.step.end.kind])
		).toEqual([
			[['n:submandibular'], 'none'],
			[['n:tonsillar'], 'link']
		]);
		expect(() => splitStep(FOUR, 'a', 1, 'x', true)).toThrow(/inside of its path/);
	});
	test('a phase begins anew with a step, not with its first', () => {
		const after = applyEdit(FOUR, splitPhase(FOUR, 'c', 'Then', newId)!);
		expect(after.phases.map((p) => [p.title, p.blocks.flatMap((b) => b.steps.map((s) => s.id))])).toEqual([
			['Work', ['a', 'b']],
			['Then', ['c', 'd']]
		]);
		expect(splitPhase(FOUR, 'a', 'Then', newId)).toBeNull();
	});
});

test('a drop sets the order of a block, and takes what came from another one', () => {
	const parted = applyEdit(FOUR, splitPhase(FOUR, 'c', 'Then', newId)!);
	const block = parted.phases[1]!.blocks[0]!.id;
	const edit = setBlockSteps(parted, block, ['d', 'a', 'c']);
	expect(edit.label).toBe('Move step 1, Collarbone nodes');
	expect(ids(applyEdit(parted, edit))).toEqual(['b', 'd', 'a', 'c']);
});

test('whatever is done to a sequence, it stays valid and one undo restores it', () => {
	fc.assert(
		fc.property(anySequence, fc.nat(), fc.nat(), fc.integer({ min: 0, max: 6 }), (sequence, i, j, kind) => {
			const all = ids(sequence);
			if (!all.length) return;
			const picked = new Set([all[i % all.length]!, all[j % all.length]!]);
			const edits: (() => Edit | null)[] = [
				() => duplicateSteps(sequence, picked, newId),
				() => moveSteps(sequence, picked, { before: all[0]! }),
				() => mirrorSteps(sequence, picked),
				() => mirrorAll(sequence),
				() => repeatOnOtherSide(sequence, picked, newId),
				() => splitPhase(sequence, all[i % all.length]!, 'Then', newId),
				() => insertSteps(sequence, [step(newId(), ['chin'])], { after: all[0]! })
			];
			let edit: Edit | null;
			try {
				edit = edits[kind]!();
			} catch (error) {
				// A step of one side is kept out of a block of both, with a sentence.
				expect(String(error)).toMatch(/Let the step work both sides first/);
				return;
			}
			if (!edit) return;
			expect(revertEdit(applyEdit(sequence, edit), edit)).toEqual(sequence);
		}),
		{ numRuns: 200 }
	);
});

describe('what a new step takes over', () => {
	const last = step('l', ['malar', 'zygoma'], {
		pressure: 2,
		side: 'left',
		reason: 'fuller',
		dose: { kind: 'reps', min: 4, target: 9, max: 12 }
	});
	test('is pressure, count and side of the last of its kind', () => {
		expect(carriedOver(step('n', ['chin', 'jawline']), last)).toMatchObject({
			id: 'n',
			pressure: 2,
			side: 'left',
			reason: 'fuller',
			dose: { target: 9 }
		});
	});
	test('is nothing of another kind, and only what fits', () => {
		const other = step('n', ['chin', 'jawline'], { contact: 'thumb' });
		expect(carriedOver(other, last)).toBe(other);
		const held = step('n', ['chin', 'jawline'], { dose: { kind: 'seconds', min: 5, target: 10, max: 20 } });
		expect(carriedOver(held, last).dose).toEqual(held.dose);
		const { side: _side, ...inBlock } = step('n', ['chin', 'jawline']);
		expect(carriedOver(inBlock, last).side).toBeUndefined();
	});
});
