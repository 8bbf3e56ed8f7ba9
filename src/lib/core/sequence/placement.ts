import { aimRow, type Aim } from '../vocabulary/vocabulary';
import type { Spot } from './edits';
import type { Sequence } from './sequence.schema';
import { findStep } from './walk';

/** Opening, work or closing: where a move of an aim belongs in a sequence. */
const stageOf = (aim: Aim) => aimRow(aim).stage;

/**
 * Where a new step goes: after the selected one where both belong to the same stage, else to the end of the phase
 * of its stage.
 */
export function spotFor(sequence: Sequence, aim: Aim, selectedId: string | null): Spot {
	const selected = selectedId ? findStep(sequence, selectedId) : undefined;
	if (selected && stageOf(selected.step.aim) === stageOf(aim)) return { after: selected.step.id };
	const { phases } = sequence;
	const stage = stageOf(aim);
	const index = stage === 'opening' ? 0 : stage === 'closing' ? phases.length - 1 : Math.min(1, phases.length - 1);
	return { phase: phases[index]!.id };
}
