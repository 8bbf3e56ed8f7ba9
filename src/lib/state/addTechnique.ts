import { insertTechnique } from '../core/sequence/embed';
import { checked } from '../core/sequence/applyEdit';
import { commit } from '../core/sequence/history';
import { spotFor } from '../core/sequence/placement';
import { withUpkeep } from '../core/links/drainPolicy';
import { makeStep } from '../core/technique/makeStep';
import type { Technique } from '../core/technique/technique.schema';
import { DEFAULT_WORKING } from '../core/working/defaultWorking';
import type { Repository } from '../store/repository';

/** The step that was added. */
export interface Added {
	readonly stepId: string;
	/** The sequence was changed elsewhere meanwhile: it stands in a second version, and one of the two is to be chosen. */
	readonly beside: boolean;
}

/** Adds a move in its usual way to a stored sequence, as one edit that can be undone there. Null where the sequence is gone. */
export async function addTechniqueTo(
	repo: Repository,
	sequenceId: string,
	technique: Technique,
	isOwn: boolean
): Promise<Added | null> {
	const stored = await repo.sequence(sequenceId);
	if (!stored) return null;
	const { sequence, history } = stored;
	const step = makeStep(technique, { id: repo.stamp().newId(), school: sequence.school });
	const edit = insertTechnique(sequence, step, spotFor(sequence, step.aim, null), isOwn ? technique : null);
	const draft = commit({ sequence, history }, withUpkeep(sequence, edit, DEFAULT_WORKING), checked);
	const saved = await repo.saveSequence(draft.sequence, draft.history);
	switch (saved.outcome) {
		case 'saved':
			return { stepId: step.id, beside: false };
		case 'second-version':
			return { stepId: step.id, beside: true };
		default:
			return saved satisfies never;
	}
}
