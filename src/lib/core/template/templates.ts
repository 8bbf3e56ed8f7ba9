import clearing from './data/clearing.json' with { type: 'json' };
import releasing from './data/releasing.json' with { type: 'json' };
import sculpting from './data/sculpting.json' with { type: 'json' };
import type { ExpandContext } from '../sequence/expand';
import { keepPolicyLinks } from '../links/drainPolicy';
import { fitTo } from '../fit/fit';
import { edited } from '../sequence/edits';
import type { Edit } from '../sequence/edit.schema';
import type { Sequence } from '../sequence/sequence.schema';
import { DEFAULT_WORKING } from '../working/defaultWorking';
import { sequenceFromSpec, type TemplateSpec } from './spec';

const CONTEXT: ExpandContext = { working: DEFAULT_WORKING };
/** Their date: that of the library, so that the same code gives the same files. */
const MADE_AT = '2026-01-01T00:00:00.000Z';

/** Scores as data, by kin of school; what they say is checked when a sequence is made of them. */
const SPECS = [...clearing, ...sculpting, ...releasing] as unknown as readonly TemplateSpec[];

const applied = (sequence: Sequence, edit: Edit | null): Sequence => (edit ? edited(sequence, edit) : sequence);

function made(spec: TemplateSpec): Sequence {
	const written = sequenceFromSpec(spec, { id: spec.id, updatedAt: MADE_AT });
	// A school that drains after every move keeps its links itself; what time is left goes into the counts.
	const links = written.school.drainPolicy === 'every-move' ? 'policy' : 'hand';
	const linked = { ...written, links } as const;
	const kept = applied(linked, keepPolicyLinks(linked, DEFAULT_WORKING));
	return applied(kept, fitTo(kept, kept.budgetSeconds, CONTEXT).edit);
}

/** The ready sequences, in the order of the schools. Each passes its own school without a stop or a caution. */
export const TEMPLATES: readonly Sequence[] = SPECS.map(made);
