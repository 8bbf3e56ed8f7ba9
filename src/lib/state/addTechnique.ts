import { insertTechnique } from '../core/sequence/embed';
import { checked } from '../core/sequence/applyEdit';
import { commit } from '../core/sequence/history';
import { spotFor } from '../core/sequence/placement';
import { withUpkeep } from '../core/links/drainPolicy';
import { makeStep } from '../core/technique/makeStep';
import type { Technique } from '../core/technique/technique.schema';
import { DEFAULT_WORKING } from '../core/working/defaultWorking';
import type { Repository } from '../store/repository';

/** Adds a move in its usual way to a stored sequence, as one edit that can be undone there. Returns the new step's id, or null where the sequence is gone. */
export async function addTechniqueTo(
	repo: Repository,
	sequenceId: string,
	technique: Technique,
	isOwn: boolean
): Promise<string | null> {
	const stored = await repo.sequence(sequenceId);
	if (!stored) return null;
	const { sequence, history } = stored;
	const step = makeStep(technique, { id: repo.stamp().newId(), school: sequence.school });
	const edit = insertTechnique(sequence, step, spotFor(sequence, step.aim, null), isOwn ? technique : null);
	const draft = commit({ sequence, history }, withUpkeep(sequence, edit, DEFAULT_WORKING), checked);
	await repo.saveSequence(draft.sequence, draft.history);
	return step.id;
}
