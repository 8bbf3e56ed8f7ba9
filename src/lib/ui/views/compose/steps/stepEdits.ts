import type { Level } from '$lib/core/step/levels';
import type { Edit } from '$lib/core/sequence/edits';
import { withTarget } from '$lib/core/step/dose';
import { setStep } from '$lib/core/sequence/edits';
import type { Sequence } from '$lib/core/sequence/sequence.schema';
import type { Step } from '$lib/core/step/step.schema';
import type { Contact, ToolId } from '$lib/core/vocabulary/vocabulary';

/** One level for the whole step. */
export const setLevel = (sequence: Sequence, step: Step, level: Level): Edit =>
	setStep(sequence, step.id, { pressure: level, levels: undefined });

export const setTarget = (sequence: Sequence, step: Step, target: number): Edit =>
	setStep(sequence, step.id, { dose: withTarget(step.dose, target) });

/** A contact by hand or a tool; the two exclude each other. */
export function setContact(sequence: Sequence, step: Step, contact: Contact, tool: ToolId = 'stone-plate'): Edit {
	const wanted =
		contact === 'tool'
			? { id: tool, ...(tool === 'stone-plate' ? { edge: 'long-convex' as const, tiltDegrees: 15 } : {}) }
			: contact === 'thumb-inside'
				? { id: 'gloves' as const }
				: undefined;
	return setStep(sequence, step.id, { contact, tool: wanted });
}
