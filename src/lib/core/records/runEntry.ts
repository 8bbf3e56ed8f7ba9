import { z } from 'zod';
import { IdSchema } from '../step/common.schema';
import { RecordFields, type RecordKind } from './record';

export const RUN_ENTRY_KINDS = ['begin', 'go', 'still', 'jump', 'pause', 'end'] as const;

/** One line of the log of a stage: what happened, at which second of the plan, and how long the stage had run by then. */
export const RunEntrySchema = z.strictObject({
	...RecordFields,
	sessionId: IdSchema,
	/** Place in the log, from 0. */
	n: z.int().min(0),
	kind: z.enum(RUN_ENTRY_KINDS),
	/** Second of the plan: where one is, or where a jump went. */
	seconds: z.number().min(0),
	/** Of a jump: from which second. */
	from: z.number().min(0).optional(),
	/** When, in milliseconds since 1970: halts are counted from it. */
	atMs: z.number().min(0)
});
export type RunEntry = z.infer<typeof RunEntrySchema>;
export type RunEvent = Pick<RunEntry, 'kind' | 'seconds' | 'from' | 'atMs'>;

export const runEntryKind: RecordKind<RunEntry> = {
	id: 'run-entry',
	table: 'runs',
	title: 'Line of the stage',
	titles: 'Lines of the stage',
	what: 'The log of a stage that is not over: it is only ever added to, and replayed after an interruption.',
	schema: RunEntrySchema,
	indexes: { 5: 'id, sessionId, [sessionId+n]' },
	limit: 200_000,
	refs: [{ to: 'session', index: 'sessionId', of: (r) => [r.sessionId], removed: 'go', must: true }],
	meets: 'first',
	preview: 'silent',
	nameOf: (r) => `${r.sessionId}, ${r.n}`
};
