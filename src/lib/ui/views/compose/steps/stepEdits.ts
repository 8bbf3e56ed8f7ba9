import type { Level } from '$lib/core/step/levels';
import type { Edit } from '$lib/core/sequence/edit.schema';
import { withTarget } from '$lib/core/step/dose';
import { setStep } from '$lib/core/sequence/edits';
import type { Sequence } from '$lib/core/sequence/sequence.schema';
import type { Step } from '$lib/core/step/step.schema';
import { toolFor } from '$lib/core/technique/toolFor';
import type { Contact, ToolId } from '$lib/core/vocabulary/vocabulary';

/** One level for the whole step. */
export const setLevel = (sequence: Sequence, step: Step, level: Level): Edit =>
	setStep(sequence, step.id, { pressure: level, levels: undefined });

export const setTarget = (sequence: Sequence, step: Step, target: number): Edit =>
	setStep(sequence, step.id, { dose: withTarget(step.dose, target) });

/** A contact by hand or a tool; the two exclude each other. */
export const setContact = (sequence: Sequence, step: Step, contact: Contact, tool?: ToolId): Edit =>
	setStep(sequence, step.id, { contact, tool: toolFor(contact, tool) });
