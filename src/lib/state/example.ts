import { stepsOf } from '../core/sequence/walk';
import type { Repository } from '../store/repository';
import { startCopy } from './startCopy';

/** A sequence of so many steps has what a tour speaks of: phases, strokes, findings, both sides. */
const ENOUGH_STEPS = 8;
/** The ready sequence that is copied where the user has none yet. */
const READY = 0;

/** A sequence to look around in: the one that was changed last and is long enough, else a copy of a ready one. */
export async function exampleToShow(repo: Repository): Promise<string> {
	const known = (await repo.sequences()).find((r) => !r.archived && stepsOf(r.sequence).length >= ENOUGH_STEPS);
	if (known) return known.id;
	const { TEMPLATES } = await import('../core/template/templates');
	const ready = TEMPLATES[READY]!;
	return startCopy(repo, ready, `${ready.title}, to look around in`);
}
