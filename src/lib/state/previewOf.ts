import type { Finding } from '../core/rules/rule';
import { differences, type Difference } from '../core/sequence/difference';
import { applyEdit } from '../core/sequence/edits';
import type { SequenceDraft } from './sequenceDraft.svelte';

/** What a fix would change, in words; null where none is possible. */
export function previewOf(draft: SequenceDraft, finding: Finding): Difference[] | null {
	const edit = draft.fixOf(finding);
	return edit && differences(draft.sequence, applyEdit(draft.sequence, edit));
}
