import { makeEdit } from '../sequence/edits';
import type { Edit } from '../sequence/edit.schema';
import type { Sequence } from '../sequence/sequence.schema';
import { isAboutClient, type Finding } from './rule';

/**
 * Sets a finding aside, with a reason that is kept in the file.
 * @param said what the finding says, in a few words
 * @throws {Error} for a `stop` and for what comes from the client, which are never set aside, and without a reason
 */
export function muteFinding(sequence: Sequence, finding: Finding, said: string, reason: string): Edit {
	if (finding.severity === 'stop') throw new Error('A stop may hurt someone and cannot be set aside: fix the step.');
	if (isAboutClient(finding))
		throw new Error('This comes from the client and cannot be set aside in a sequence: change her record.');
	if (!reason.trim()) throw new Error('reason: say in a few words why this is set aside.');
	return makeEdit(sequence, `Set aside: ${said}`.slice(0, 300), (draft) => {
		draft.mutes = [...draft.mutes.filter((m) => m.key !== finding.key), { key: finding.key, reason: reason.trim() }];
	});
}

/** Takes a finding up again. */
export function unmuteFinding(sequence: Sequence, key: string): Edit {
	return makeEdit(sequence, 'Take up a finding again', (draft) => {
		draft.mutes = draft.mutes.filter((m) => m.key !== key);
	});
}
