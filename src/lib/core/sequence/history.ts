import { z } from 'zod';
import { applyEdit, EditSchema, revertEdit, type Edit } from './edits';
import type { Sequence } from './sequence.schema';

/** Edits kept for undo. */
export const MAX_HISTORY = 500;
const EditsSchema = z.array(EditSchema).max(MAX_HISTORY);
/** Undo and redo as data, stored beside the sequence. */
export const HistorySchema = z.strictObject({ past: EditsSchema, future: EditsSchema });
export type History = z.infer<typeof HistorySchema>;
export const EMPTY_HISTORY: History = { past: [], future: [] };

export interface Draft {
	readonly sequence: Sequence;
	readonly history: History;
}

/** Does an edit and remembers it; what was undone before is dropped. An edit that changes nothing leaves all as it is. */
export function commit(draft: Draft, edit: Edit): Draft {
	if (!edit.patch.length) return draft;
	return {
		sequence: applyEdit(draft.sequence, edit),
		history: { past: [...draft.history.past, edit].slice(-MAX_HISTORY), future: [] }
	};
}

export function undo(draft: Draft): Draft {
	const edit = draft.history.past.at(-1);
	if (!edit) return draft;
	return {
		sequence: revertEdit(draft.sequence, edit),
		history: { past: draft.history.past.slice(0, -1), future: [edit, ...draft.history.future] }
	};
}

export function redo(draft: Draft): Draft {
	const edit = draft.history.future[0];
	if (!edit) return draft;
	return {
		sequence: applyEdit(draft.sequence, edit),
		history: { past: [...draft.history.past, edit], future: draft.history.future.slice(1) }
	};
}
