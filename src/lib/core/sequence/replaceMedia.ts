import { makeEdit } from './edits';
import type { Edit } from './edit.schema';
import type { Sequence } from './sequence.schema';

/** Puts other media in place of those that are on the sequence and on its steps; the same id, or null, leaves one as it is. */
export const replaceMedia = (sequence: Sequence, label: string, instead: (id: string) => string | null): Edit =>
	makeEdit(sequence, label, (draft) => {
		const steps = draft.phases.flatMap((phase) => phase.blocks.flatMap((block) => block.steps));
		for (const { medium } of [draft, ...steps]) if (medium) medium.id = instead(medium.id) ?? medium.id;
	});
