import { z } from 'zod';
import { PlaceRefSchema, SessionIdSchema, StepIdSchema } from '../step/common.schema';
import { RecordFields } from './fields.schema';
import { DoneStepSchema } from './doneStep.schema';
import { MARKS, type MarkId } from './runMarks';
import type { RecordKind } from './record';
import { TABLES } from './tables';

export const RUN_ENTRY_KINDS = ['begin', 'go', 'still', 'wait', 'jump', 'pause', 'undo', 'end', 'mark'] as const;

/** What a line of the log says beyond its place in time. */
export const MarkFields = {
	mark: z.enum(Object.keys(MARKS) as [MarkId, ...MarkId[]]),
	stepId: StepIdSchema.optional(),
	side: z.enum(['left', 'right', 'both', 'midline']).optional(),
	/** Where on the way. */
	place: PlaceRefSchema.optional(),
	words: z.string().max(300).optional()
};

/** One line of the log of a stage: what happened, at which second of the plan, and how long the stage had run by then. */
export const RunEntrySchema = z.strictObject({
	...RecordFields,
	sessionId: SessionIdSchema,
	/** Place in the log, from 0. */
	n: z.int().min(0),
	kind: z.enum(RUN_ENTRY_KINDS),
	/** Second of the plan: where one is, or where a jump went. */
	seconds: z.number().min(0),
	/** Of a jump, or of one that is taken back: from which second. */
	from: z.number().min(0).optional(),
	/** For how long the plan has stood still by now, until a sign comes. */
	waited: z.number().min(0).optional(),
	/** Of a change of the plan: the plan that was in force before, by its snapshot. */
	snapshot: z.string().length(64).optional(),
	/** Of a change that is taken back: what was done by the plan that is left. */
	banked: z.array(DoneStepSchema).max(2000).optional(),
	/** When, in milliseconds since 1970: halts are counted from it. */
	atMs: z.number().min(0),
	...MarkFields,
	mark: MarkFields.mark.optional()
});
export type RunEntry = z.infer<typeof RunEntrySchema>;
export type RunEvent = Omit<RunEntry, 'id' | 'revision' | 'updatedAt' | 'sessionId' | 'n'>;

export const runEntryKind: RecordKind<RunEntry> = {
	id: 'run-entry',
	...TABLES['run-entry'],
	title: 'Line of the stage',
	titles: 'Lines of the stage',
	what: 'The log of a stage that is not over: it is only ever added to, and replayed after an interruption.',
	schema: RunEntrySchema,
	limit: 200_000,
	refs: [
		{ to: 'session', index: 'sessionId', of: (r) => [r.sessionId], removed: 'go', must: true },
		{
			to: 'snapshot',
			index: null,
			of: (r) => (r.snapshot ? [r.snapshot] : []),
			removed: ({ snapshot: _s, ...rest }) => rest,
			must: false
		}
	],
	meets: 'first',
	preview: 'silent',
	nameOf: (r) => `${r.sessionId}, ${r.n}`
};
