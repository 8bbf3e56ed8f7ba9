import { z } from 'zod';
import { AssessmentSchema, EntrySchema } from '../assess/assessment.schema';
import { MAX_LIMITS } from '../screening/limit';
import { ClientIdSchema, SessionIdSchema, StepIdSchema, TextSchema } from '../step/common.schema';
import { DoneStepSchema } from './doneStep.schema';
import { MOST_EARLIER } from './earlier';
import { ENDED_BECAUSE, type EndedBecause } from './endedBecause';
import { RecordFields } from './fields.schema';
import type { RecordKind } from './record';
import { TABLES } from './tables';
import { MarkFields } from './runEntry';
import { SequenceRefSchema } from './snapshot';

/** Something that was noted while working, as the session keeps it. */
export const HappenedSchema = z.strictObject({
	...MarkFields,
	/** Second of the plan, and how long it lasted where it did. */
	seconds: z.number().min(0),
	lastedSeconds: z.number().min(0).optional()
});
export type Happened = z.infer<typeof HappenedSchema>;

/** What was put right afterwards: what was logged stays beside it. */
export const CorrectionSchema = z.strictObject({
	stepId: StepIdSchema,
	leftReps: z.number().min(0).max(10_000),
	rightReps: z.number().min(0).max(10_000),
	/** Of a dose in time: its seconds on both sides together. Absent: they hold as they were logged. */
	seconds: z.number().min(0).max(86_400).optional(),
	reason: z.string().max(300).default(''),
	at: z.iso.datetime()
});
export type Correction = z.infer<typeof CorrectionSchema>;

/** What was entered before a closed session was changed. */
export const EarlierSchema = z.strictObject({
	/** When it was changed. */
	at: z.iso.datetime(),
	before: AssessmentSchema,
	after: AssessmentSchema.nullable(),
	/** What was said and put right by then; absent in entries of before version 15. */
	sideEffects: TextSchema.optional(),
	note: TextSchema.optional(),
	told: TextSchema.optional(),
	corrections: z.array(CorrectionSchema).max(2000).optional(),
	workedSeconds: z.number().min(0).optional()
});
export type Earlier = z.infer<typeof EarlierSchema>;

/** The screening as it stood when a session began. */
export const ScreenedSchema = z.strictObject({
	/** What today allowed, a line each. */
	held: z.array(z.string().max(300)).max(MAX_LIMITS).default([]),
	/** Stops that were passed over, each with the reason that was given. */
	despite: z
		.array(z.strictObject({ what: z.string().max(300), reason: TextSchema.min(1) }))
		.max(100)
		.default([]),
	/** What was performed was made to fit her, and is not her sequence itself. */
	fitted: z.boolean().default(false)
});

export const SessionSchema = z.strictObject({
	...RecordFields,
	id: SessionIdSchema,
	clientId: ClientIdSchema,
	startedAt: z.iso.datetime(),
	/**
	 * Place among all sessions: when it began, in ms since 1970, or one more than the latest where a clock stood earlier.
	 * 0 where it has none yet: the store gives it one.
	 */
	order: z.int().min(0).default(0),
	endedAt: z.iso.datetime().nullable().default(null),
	/** Minutes from UTC to the clock on the wall, so that the hour of the day is known later. */
	zoneOffsetMinutes: z.int().min(-900).max(900).default(0),
	/** The sequence as it was, by its content, so that a later edit does not change the past; null where only looked. */
	sequence: SequenceRefSchema.nullable().default(null),
	/** The sequence as it was planned, where something was changed while working; null where it was performed as planned. */
	planned: SequenceRefSchema.nullable().default(null),
	/** The stage led through it; false where it was written down afterwards. */
	guided: z.boolean().default(true),
	before: AssessmentSchema,
	after: AssessmentSchema.nullable().default(null),
	/** Grades after it were given without seeing those before. */
	blind: z.boolean().default(false),
	/** What stood here before it was changed later, the latest last. */
	earlier: z.array(EarlierSchema).max(MOST_EARLIER).default([]),
	/** What she said before it, in her own words. */
	told: TextSchema.default(''),
	/** What was told of the day: sleep, salt and the like. */
	context: z.array(EntrySchema).max(50).default([]),
	done: z.array(DoneStepSchema).max(2000).default([]),
	happened: z.array(HappenedSchema).max(2000).default([]),
	corrections: z.array(CorrectionSchema).max(2000).default([]),
	workedSeconds: z.number().min(0).default(0),
	haltedSeconds: z.number().min(0).default(0),
	/** Why it was ended before its end; null where it was not, or nobody said. */
	endedBecause: z
		.enum(Object.keys(ENDED_BECAUSE) as [EndedBecause, ...EndedBecause[]])
		.nullable()
		.default(null),
	/** What held for the client that day, and what was begun all the same; null where nobody was screened. */
	screened: ScreenedSchema.nullable().default(null),
	sideEffects: TextSchema.default(''),
	note: TextSchema.default('')
});
export type Session = z.infer<typeof SessionSchema>;

export const sessionKind: RecordKind<Session> = {
	id: 'session',
	...TABLES.session,
	title: 'Session',
	titles: 'Sessions',
	what: 'One visit: what was found before and after, what of the sequence was done, and what was told.',
	schema: SessionSchema,
	limit: 100_000,
	refs: [
		{ to: 'client', index: 'clientId', of: (s) => [s.clientId], removed: 'go', must: true },
		{
			to: 'snapshot',
			index: 'sequence.snapshot',
			of: (s) => (s.sequence ? [s.sequence.snapshot] : []),
			removed: 'go',
			must: true
		},
		{
			to: 'snapshot',
			index: 'planned.snapshot',
			of: (s) => (s.planned ? [s.planned.snapshot] : []),
			removed: (s) => ({ ...s, planned: null }),
			must: true
		}
	],
	meets: 'beside',
	preview: 'listed',
	nameOf: (s, nameOf) => `${nameOf('client', s.clientId)}, ${s.startedAt.slice(0, 10)}`,
	facts: (s) => [
		['Found', `${s.before.entries.length} before, ${s.after?.entries.length ?? 0} after`],
		['Worked', `${s.workedSeconds} s`],
		['Ended early because of', s.endedBecause ? ENDED_BECAUSE[s.endedBecause] : ''],
		['Noted while working', `${s.happened.length}`],
		['Corrections', `${s.corrections.length}`],
		['Her words', s.told],
		['Side effects', s.sideEffects],
		['Note', s.note],
		['Over', s.endedAt ? 'yes' : 'no']
	]
};
