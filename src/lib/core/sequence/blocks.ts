import type { Draft } from 'immer';
import type { Side } from '../atlas/places';
import { makeEdit } from './edits';
import type { Edit } from './edit.schema';
import type { Block, Sequence } from './sequence.schema';
import type { Step } from '../step/step.schema';
import { findStep } from './walk';

/** The steps after a step that may be done side by side with it: those that follow in its block, up to the first that names a side. */
export function mayFollow(sequence: Sequence, stepId: string): Step[] {
	const placed = findStep(sequence, stepId);
	if (!placed || placed.block.sides !== 'asSteps') return [];
	return placed.block.steps.slice(placed.at[2] + 1);
}

/**
 * Makes a block of a run of steps: all of them on the first side, then all on the other. Sides of their own are dropped, but for the middle.
 * @throws {Error} if the two do not stand in one block, in this order
 */
export function groupSideBySide(
	sequence: Sequence,
	fromId: string,
	toId: string,
	blockId: string,
	first: Side = 'left'
): Edit {
	const [from, to] = [findStep(sequence, fromId), findStep(sequence, toId)];
	if (!from || !to || from.block !== to.block || to.at[2] < from.at[2])
		throw new Error('Only steps that follow each other in one phase can be done side by side.');
	const [p, b, s] = from.at;
	const label = `Do steps ${from.number} to ${to.number} on one side, then on the other`;
	return makeEdit(sequence, label, (draft) => {
		const { blocks } = draft.phases[p]!;
		const block = blocks[b]!;
		const run = block.steps
			.slice(s, to.at[2] + 1)
			.map(({ side, ...rest }) => (side === 'midline' ? { ...rest, side } : rest));
		const rest = { ...block, id: `${blockId}-rest`, steps: block.steps.slice(to.at[2] + 1) };
		const made: Draft<Block> = { id: blockId, title: '', sides: { each: true, first }, steps: run };
		const parts = [{ ...block, steps: block.steps.slice(0, s) }, made, rest];
		blocks.splice(b, 1, ...parts.filter((part) => part === made || part.steps.length));
	});
}

/** Which side a block begins with. */
export function setFirstSide(sequence: Sequence, blockId: string, first: Side): Edit {
	return makeEdit(sequence, `Begin the block on the ${first}`, (draft) => {
		for (const phase of draft.phases)
			for (const block of phase.blocks) if (block.id === blockId) block.sides = { each: true, first };
	});
}

/** Takes a block apart: each of its steps does one side and then the other by itself. */
export function dissolveBlock(sequence: Sequence, blockId: string): Edit {
	return makeEdit(sequence, 'Let each step of the block change sides by itself', (draft) => {
		for (const phase of draft.phases)
			for (const block of phase.blocks) {
				if (block.id !== blockId || block.sides === 'asSteps') continue;
				const side = block.sides;
				block.steps = block.steps.map((step) => ({ ...step, side: step.side ?? { ...side } }));
				block.sides = 'asSteps';
			}
	});
}
