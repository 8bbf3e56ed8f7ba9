import { z } from 'zod';
import { IdSchema, MAX_TITLE } from '../core/step/common.schema';
import { HistorySchema } from '../core/sequence/history';
import { SequenceSchema } from '../core/sequence/sequence.schema';

/** A sequence as it was at one moment: a version that was kept on purpose, or one that was removed and can come back. */
export const KeptSchema = z.strictObject({
	id: IdSchema,
	kind: z.enum(['version', 'removed']),
	sequenceId: IdSchema,
	keptAt: z.iso.datetime(),
	/** What the user calls the version; empty for one that was removed. */
	name: z.string().max(MAX_TITLE),
	sequence: SequenceSchema,
	history: HistorySchema
});
export type Kept = z.infer<typeof KeptSchema>;
