import { embedTechnique } from '../core/sequence/embed';
import { insertStep, joinEdits } from '../core/sequence/edits';
import { commit } from '../core/sequence/history';
import { spotFor } from '../core/sequence/placement';
import { keepPolicyLinks } from '../core/school/drainPolicy';
import { applyEdit } from '../core/sequence/edits';
import { makeStep } from '../core/technique/makeStep';
import type { Technique } from '../core/technique/technique.schema';
import { DEFAULT_WORKING } from '../core/working/working.schema';
import type { Repository } from '../store/repository';

/** Adds a move in its usual way to a stored sequence, as one edit that can be undone there. Returns the new step's id, or null where the sequence is gone. */
export async function addMoveTo(
	repo: Repository,
	sequenceId: string,
	technique: Technique,
	isOwn: boolean
): Promise<string | null> {
	const stored = await repo.sequence(sequenceId);
	if (!stored) return null;
	const { sequence, history } = stored;
	const step = makeStep(technique, { id: repo.stamp().newId(), school: sequence.school });
	const insertion = insertStep(sequence, step, spotFor(sequence, step.aim, null));
	const along = isOwn ? embedTechnique(sequence, technique) : null;
	const edit = along ? joinEdits(insertion.label, [insertion, along]) : insertion;
	const upkeep = keepPolicyLinks(applyEdit(sequence, edit), DEFAULT_WORKING);
	const draft = commit({ sequence, history }, upkeep ? joinEdits(edit.label, [edit, upkeep]) : edit);
	await repo.saveSequence(draft.sequence, draft.history);
	return step.id;
}
