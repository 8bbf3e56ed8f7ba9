import { z } from 'zod';
import { StoredSequenceSchema, type Sequence } from '../sequence/sequence.schema';
import { stepsOf } from '../sequence/walk';
import { RecordFields } from './fields.schema';
import { hashOf } from './hash';
import { sequenceAt, type RecordKind } from './record';
import { TABLES } from './tables';

/** A sequence as it was when it was performed, stored once however many sessions performed it. Its id is its hash. */
export const SnapshotSchema = z.strictObject({
	...RecordFields,
	sequence: StoredSequenceSchema,
	/** Of the sequence since it was brought up to date: the id, by which sessions know it, is that of what was written then. */
	contentHash: z.string().length(64).optional()
});
export type Snapshot = z.infer<typeof SnapshotSchema>;

/** The snapshot of a sequence. */
export const snapshotOf = (sequence: Sequence): Snapshot => ({
	id: hashOf(sequence),
	revision: sequence.revision,
	updatedAt: sequence.updatedAt,
	sequence
});

/** How a session refers to the sequence that was performed: by its content, with what lists want to say of it. */
export const SequenceRefSchema = z.strictObject({
	snapshot: z.string().length(64),
	id: RecordFields.id,
	title: z.string().min(1).max(200),
	steps: z.int().min(0)
});
export type SequenceRef = z.infer<typeof SequenceRefSchema>;

export const refTo = (snapshot: Snapshot): SequenceRef => ({
	snapshot: snapshot.id,
	id: snapshot.sequence.id,
	title: snapshot.sequence.title,
	steps: stepsOf(snapshot.sequence).length
});

const inSnapshot = sequenceAt('sequence');
/** A sequence that changes its form changes its hash; the id stays. */
const lens: typeof inSnapshot = (record, embedded) => {
	const after = inSnapshot(record, embedded);
	return after.sequence === record.sequence ? after : { ...after, contentHash: hashOf(after.sequence) };
};

export const snapshotKind: RecordKind<Snapshot> = {
	id: 'snapshot',
	...TABLES.snapshot,
	title: 'Sequence as performed',
	titles: 'Sequences as performed',
	what: 'A sequence as it was when it was performed, once for all sessions that performed it so.',
	schema: SnapshotSchema,
	limit: 100_000,
	sequences: lens,
	meets: 'first',
	preview: 'silent',
	nameOf: (snapshot) => snapshot.sequence.title,
	keptWhileReferred: true,
	problemOf: ({ id, contentHash, sequence }) =>
		(contentHash ?? id) === hashOf(sequence)
			? null
			: 'the id is not the hash of the sequence: it was changed outside of Soft Tide'
};
