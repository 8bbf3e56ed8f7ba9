import { makeEdit, setHead } from './edits';
import type { Edit } from './edit.schema';
import type { Sequence } from './sequence.schema';

/** Edits of how much of a sequence is done: its short versions, what is done again, and which of its alternatives. */

/** What the short version is called that ends after a phase; nothing: it has no name. */
export const setExitTitle = (sequence: Sequence, phaseId: string, title: string): Edit =>
	makeEdit(sequence, title ? `Call the short version ${title}` : 'Take away the name of the short version', (draft) => {
		const phase = draft.phases.find((p) => p.id === phaseId);
		if (!phase) return;
		if (title) phase.exitTitle = title;
		else delete phase.exitTitle;
	});

/** How often a phase is done, 1 to 9. */
export const setPasses = (sequence: Sequence, phaseId: string, passes: number): Edit =>
	makeEdit(sequence, passes === 1 ? 'Do the phase once' : `Do the phase ${passes} times`, (draft) => {
		const phase = draft.phases.find((p) => p.id === phaseId);
		if (!phase) return;
		if (passes > 1) phase.passes = passes;
		else delete phase.passes;
	});

/** Takes another option of a group. */
export const choose = (sequence: Sequence, group: string, option: string): Edit =>
	setHead(
		sequence,
		{ choices: [...(sequence.choices ?? []).filter((c) => c.group !== group), { group, option }] },
		`Take ${option} for ${group}`
	);
