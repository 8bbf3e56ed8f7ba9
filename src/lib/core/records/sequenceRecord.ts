import { z } from 'zod';
import { HistorySchema } from '../sequence/history.schema';
import { ClientIdSchema, SequenceIdSchema } from '../step/common.schema';
import { StoredSequenceSchema } from '../sequence/sequence.schema';
import { RecordFields } from './fields.schema';
import { sequenceAt, type RecordKind } from './record';
import { TABLES } from './tables';

/** A sequence with its undo history. Its id, revision and time of saving are those of the sequence. */
export const SequenceRecordSchema = z.strictObject({
	...RecordFields,
	id: SequenceIdSchema,
	/** Out of the usual list, not removed. */
	archived: z.boolean().default(false),
	/** For whom it is being made; null: for nobody. Absent: not chosen. It is no part of the sequence and goes into no sequence file. */
	clientId: ClientIdSchema.nullable().optional(),
	sequence: StoredSequenceSchema,
	history: HistorySchema
});
export type SequenceRecord = z.infer<typeof SequenceRecordSchema>;

export const sequenceKind: RecordKind<SequenceRecord> = {
	id: 'sequence',
	...TABLES.sequence,
	title: 'Sequence',
	titles: 'Sequences',
	what: 'A sequence with its undo history.',
	schema: SequenceRecordSchema,
	limit: 10_000,
	refs: [
		{
			to: 'client',
			index: 'clientId',
			of: (r) => (r.clientId ? [r.clientId] : []),
			removed: ({ clientId: _c, ...rest }) => rest,
			must: false
		}
	],
	sequences: sequenceAt('sequence', 'history'),
	meets: 'beside',
	preview: 'listed',
	nameOf: (record) => record.sequence.title,
	stamped: (record, revision, updatedAt) => ({
		...record,
		revision,
		updatedAt,
		sequence: { ...record.sequence, revision, updatedAt }
	}),
	contentOf: ({ archived, clientId, history, sequence: { revision: _r, updatedAt: _u, ...content } }) => ({
		archived,
		clientId: clientId ?? null,
		history,
		content
	}),
	problemOf: ({ id, sequence }) =>
		id === sequence.id ? null : `the id of the record and that of its sequence differ: ${id}, ${sequence.id}`
};

/** A sequence as it is stored, where nothing has been stored yet. */
export const recordOf = (
	sequence: SequenceRecord['sequence'],
	history: SequenceRecord['history'],
	archived = false
): SequenceRecord => ({
	id: sequence.id,
	revision: sequence.revision,
	updatedAt: sequence.updatedAt,
	archived,
	sequence,
	history
});
