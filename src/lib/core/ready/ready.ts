import clearing from './data/clearing.json' with { type: 'json' };
import releasing from './data/releasing.json' with { type: 'json' };
import sculpting from './data/sculpting.json' with { type: 'json' };
import { ZONES } from '../atlas/zones';
import type { ExpandContext } from '../sequence/expand';
import { keepPolicyLinks } from '../school/drainPolicy';
import { fitTo } from '../fit/fit';
import { applyEdit, type Edit } from '../sequence/edits';
import type { Sequence } from '../sequence/sequence.schema';
import { DEFAULT_WORKING } from '../working/working.schema';
import { sequenceFromScore, type Score } from './score';

const CONTEXT: ExpandContext = { atlas: ZONES, working: DEFAULT_WORKING };
/** Their date: that of the library, so that the same code gives the same files. */
const MADE_AT = '2026-01-01T00:00:00.000Z';

/** Scores as data, by kin of school; what they say is checked when a sequence is made of them. */
const SCORES = [...clearing, ...sculpting, ...releasing] as unknown as readonly Score[];

const applied = (sequence: Sequence, edit: Edit | null): Sequence => (edit ? applyEdit(sequence, edit) : sequence);

function made(score: Score): Sequence {
	const written = sequenceFromScore(score, { id: score.id, updatedAt: MADE_AT });
	// A school that drains after every move keeps its links itself; what time is left goes into the counts.
	const links = written.school.drainPolicy === 'every-move' ? 'policy' : 'hand';
	const linked = { ...written, links } as const;
	const kept = applied(linked, keepPolicyLinks(linked, DEFAULT_WORKING));
	return applied(kept, fitTo(kept, kept.budgetSeconds, CONTEXT).edit);
}

/** The ready sequences, in the order of the schools. Each passes its own school without a stop or a caution. */
export const READY: readonly Sequence[] = SCORES.map(made);
