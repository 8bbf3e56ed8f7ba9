import { joinEdits } from '../sequence/edits';
import type { Edit } from '../sequence/edit.schema';
import { stepsOf } from '../sequence/walk';
import type { Sequence } from '../sequence/sequence.schema';
import { contextOf, findingsOf, mendOne, notMuted, type JudgeInput } from './judge';
import type { Finding } from './rule';

export interface Mending {
	/** All fixes as one edit: done and taken back at once. */
	readonly edit: Edit;
	readonly mended: readonly Finding[];
}

/** The most fixes that are applied in one go; a random sequence of a hundred steps needs fewer. */
const MOST_FIXES = 300;
/** Steps that are judged in one go, all fixes together: about a second of work. */
const MOST_JUDGED_STEPS = 20_000;

/** Applies every safe fix, the most serious finding first. Null where there is nothing to do. */
export const mendSafe = (sequence: Sequence, given: JudgeInput): Mending | null =>
	mendEach(sequence, given, (f) => f.safe);

/**
 * Applies the fix of every finding that is wanted, the most serious first, judging anew after each: one that is fixed
 * often takes others along, and a fix may call for the next. Each is held to what comes of it, so that all together bring
 * nothing grave. Null where there is nothing to do.
 */
export function mendEach(sequence: Sequence, given: JudgeInput, wanted: (finding: Finding) => boolean): Mending | null {
	// Every fix judges all of it anew: of a very long sequence fewer are done in one go.
	const most = Math.min(MOST_FIXES, Math.ceil(MOST_JUDGED_STEPS / Math.max(1, stepsOf(sequence).length)));
	const tried = new Set<string>();
	const edits: Edit[] = [];
	const mended: Finding[] = [];
	let context = contextOf(sequence, given);
	let all = findingsOf(context);
	for (let n = 0; n < most; n++) {
		const finding = notMuted(context.sequence, all).find((f) => wanted(f) && !tried.has(f.key));
		if (!finding) break;
		tried.add(finding.key);
		const made = mendOne(context, all, finding);
		if (!made) continue;
		edits.push(made.edit);
		mended.push(finding);
		[context, all] = [made.context, made.all];
	}
	const label = mended.length === 1 ? edits[0]?.label : `Fix ${mended.length} findings`;
	return edits.length ? { edit: joinEdits(label!, edits), mended } : null;
}
