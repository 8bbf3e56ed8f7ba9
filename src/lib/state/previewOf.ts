import { differences, type Difference } from '../core/sequence/difference';
import { edited } from '../core/sequence/edits';
import type { Edit } from '../core/sequence/edit.schema';
import { timingOf } from '../core/sequence/timing';
import type { SequenceDraft } from './sequenceDraft.svelte';

export interface Preview {
	readonly changes: readonly Difference[];
	/** Expected length before and after, s. */
	readonly fromSeconds: number;
	readonly toSeconds: number;
}

/** What an edit would change, in words, and how long the sequence would then be. */
export function previewOf(draft: SequenceDraft, edit: Edit): Preview {
	const after = edited(draft.sequence, edit);
	return {
		changes: differences(draft.sequence, after),
		fromSeconds: draft.judgement.timing.expectedSeconds,
		toSeconds: timingOf(after, draft.context).expectedSeconds
	};
}
