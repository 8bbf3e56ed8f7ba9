import { ZodError } from 'zod';
import type { Step } from '../step/step.schema';
import type { Edit } from './edit.schema';
import { edited, reverted } from './edits';
import { StoredSequenceSchema, type Sequence } from './sequence.schema';
import { sequenceProblems } from './sequenceProblems';

const passed = new WeakSet<Step>();

/**
 * Checked whole, but handed on as it is: untouched steps keep their identity, so views redraw only what changed.
 * @throws {ZodError} if it is no valid sequence
 */
export function checked(sequence: Sequence): Sequence {
	// Steps never change, so one that passed once need not pass again: a long sequence is checked as fast as a short one.
	const fresh: Step[] = [];
	const phases = sequence.phases.map((phase) => ({
		...phase,
		blocks: phase.blocks.map((block) => ({
			...block,
			steps: block.steps.filter((step) => {
				if (passed.has(step)) return false;
				fresh.push(step);
				return true;
			})
		}))
	}));
	StoredSequenceSchema.parse({ ...sequence, phases });
	const problems = sequenceProblems(sequence);
	if (problems.length)
		throw new ZodError(
			problems.map(({ path, message }) => ({ code: 'custom', path: [...path], message, input: sequence }))
		);
	for (const step of fresh) passed.add(step);
	return sequence;
}

/**
 * The sequence after an edit, checked whole.
 * @throws {EditRefused} if it contradicts itself or is too much; {ZodError} if a value of it is none that is allowed
 */
export const applyEdit = (sequence: Sequence, edit: Edit): Sequence => checked(edited(sequence, edit));

/** The sequence before an edit, checked whole. @throws as `applyEdit` */
export const revertEdit = (sequence: Sequence, edit: Edit): Sequence => checked(reverted(sequence, edit));
