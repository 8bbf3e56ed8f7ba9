import { edited, patched, reverted } from './edits';
import type { Edit } from './edit.schema';
import type { History } from './history.schema';
import { MAX_HISTORY } from './format';
import type { Sequence } from './sequence.schema';

export const EMPTY_HISTORY: History = { past: [], future: [] };

export interface Draft {
	readonly sequence: Sequence;
	readonly history: History;
}

/** Looks at every value of a sequence and throws where one is not allowed: `checked` does so. */
export type Check = (sequence: Sequence) => Sequence;
const unchecked: Check = (sequence) => sequence;

/**
 * Does an edit and remembers it; what was undone before is dropped. An edit that changes nothing leaves all as it is.
 * @param check of the result. Without one it is known only that it does not contradict itself
 * @throws {EditRefused} and what `check` throws
 */
export function commit(draft: Draft, edit: Edit, check = unchecked): Draft {
	if (!edit.patch.length) return draft;
	return {
		sequence: check(edited(draft.sequence, edit)),
		history: { past: [...draft.history.past, edit].slice(-MAX_HISTORY), future: [] }
	};
}

/** @param check as of `commit`: a history may come from a file */
export function undo(draft: Draft, check = unchecked): Draft {
	const edit = draft.history.past.at(-1);
	if (!edit) return draft;
	return {
		sequence: check(reverted(draft.sequence, edit)),
		history: { past: draft.history.past.slice(0, -1), future: [edit, ...draft.history.future] }
	};
}

/** @param check as of `commit` */
export function redo(draft: Draft, check = unchecked): Draft {
	const edit = draft.history.future[0];
	if (!edit) return draft;
	return {
		sequence: check(edited(draft.sequence, edit)),
		history: { past: [...draft.history.past, edit], future: draft.history.future.slice(1) }
	};
}

/** Parts of a sequence that edits change; what it is called by, and which version it is, are none of them. */
const EDITED: readonly string[] = [
	'title',
	'notes',
	'goals',
	'budgetSeconds',
	'leastSeconds',
	'choices',
	'course',
	'changed',
	'school',
	'techniques',
	'media',
	'links',
	'mutes',
	'performer',
	'orientation',
	'medium',
	'phases'
] satisfies (keyof Sequence)[];
/** Names that reach beyond an object’s own fields. */
const REACHING: readonly unknown[] = ['__proto__', 'constructor', 'prototype'];

const staysInside = ({ patch, inverse }: Edit): boolean =>
	[...patch, ...inverse].every(
		({ path }) => EDITED.includes(String(path[0])) && !path.some((part) => REACHING.includes(part))
	);

/** How many edits, one after the other, can be done from a sequence on. */
function applicable(sequence: Sequence, edits: readonly Edit[], patchesOf: (edit: Edit) => Edit['patch']): number {
	let at = sequence;
	for (const [i, edit] of edits.entries()) {
		if (!staysInside(edit)) return i;
		try {
			at = patched(at, patchesOf(edit));
		} catch {
			return i;
		}
	}
	return edits.length;
}

/**
 * The part of a stored history that can be trusted: edits that change nothing but what edits change, and that fit the
 * sequence they are stored with, one after the other. A history may come from a file.
 * @returns the history, and how many edits were dropped
 */
export function soundHistory({ sequence, history }: Draft): { history: History; dropped: number } {
	const backward = applicable(sequence, [...history.past].reverse(), (e) => e.inverse);
	const forward = applicable(sequence, history.future, (e) => e.patch);
	const dropped = history.past.length + history.future.length - backward - forward;
	if (!dropped) return { history, dropped };
	const past = history.past.slice(history.past.length - backward);
	return { history: { past, future: history.future.slice(0, forward) }, dropped };
}
