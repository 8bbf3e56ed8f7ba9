import type { Sequence } from '../core/sequence/sequence.schema';
import type { Repository } from '../store/repository';

/** Begins a sequence of one's own as a copy of a ready one. @returns its id */
export async function startCopy(repo: Repository, ready: Sequence, title = ready.title): Promise<string> {
	const { now, newId } = repo.stamp();
	const copy = { ...ready, id: newId(), revision: 0, updatedAt: now, title };
	await repo.addSequence(copy);
	return copy.id;
}
