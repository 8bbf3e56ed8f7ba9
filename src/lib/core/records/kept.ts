import { z } from 'zod';
import { SequenceIdSchema } from '../step/common.schema';
import { MAX_TITLE } from '../step/sizes';
import { HistorySchema } from '../sequence/history.schema';
import { StoredSequenceSchema } from '../sequence/sequence.schema';
import { RecordFields } from './fields.schema';
import { sequenceAt, type RecordKind } from './record';
import { TABLES } from './tables';

/** A sequence as it was at one moment: a version that was kept on purpose, or one that was removed and can come back. */
export const KeptSchema = z.strictObject({
	...RecordFields,
	kind: z.enum(['version', 'removed']),
	sequenceId: SequenceIdSchema,
	keptAt: z.iso.datetime(),
	/** What the user calls the version; empty for one that was removed. */
	name: z.string().max(MAX_TITLE),
	/** It was out of the usual list when it was removed. */
	archived: z.boolean().default(false),
	sequence: StoredSequenceSchema,
	history: HistorySchema
});
export type Kept = z.infer<typeof KeptSchema>;

export const keptKind: RecordKind<Kept> = {
	id: 'kept',
	...TABLES.kept,
	title: 'Kept version',
	titles: 'Kept versions and the bin',
	what: 'A sequence as it was at one moment: kept under a name, or removed and able to come back.',
	schema: KeptSchema,
	limit: 20_000,
	sequences: sequenceAt('sequence', 'history'),
	meets: 'first',
	preview: {
		one: 'kept',
		many: 'kept',
		rest: 'versions and removed sequences that are not here yet'
	},
	nameOf: (kept) => kept.name || kept.sequence.title
};
