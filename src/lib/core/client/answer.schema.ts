import { z } from 'zod';
import { IdSchema, SessionIdSchema, TextSchema, TitleSchema } from '../step/common.schema';
import { DaySchema, SidedZoneSchema } from './common.schema';

/** What was answered to one question of the screening, and when. The latest answer to a question holds. */
export const AnswerSchema = z.strictObject({
	/** Id of the question's flag. One that this version does not know is kept, and acts on nothing. */
	flag: IdSchema,
	/** Not sure counts as yes until it is known. */
	says: z.enum(['yes', 'no', 'unsure']),
	/** Where, as far as it was told. */
	places: z.array(SidedZoneSchema).max(68).default([]),
	/** The day on which it was done or began. */
	since: DaySchema.nullable().default(null),
	/** The day from which it is over, as an injector or a doctor gave it: it goes before any waiting period. */
	until: DaySchema.nullable().default(null),
	note: TextSchema.default(''),
	/** The calendar day of the practice on which it was given. */
	day: DaySchema,
	at: z.iso.datetime()
});
export type Answer = z.infer<typeof AnswerSchema>;

/** A doctor's word that something may be done all the same. */
export const ClearanceSchema = z.strictObject({
	id: IdSchema,
	flag: IdSchema,
	/** Who gave it. */
	by: TitleSchema,
	on: DaySchema,
	/** The first day on which it holds no more; null where no end was given. */
	until: DaySchema.nullable().default(null),
	/** What for, in words: a light massage of the face, no neck. */
	what: TextSchema.default('')
});
export type Clearance = z.infer<typeof ClearanceSchema>;

/** How something went that was noted after an earlier session. */
export const FollowUpSchema = z.strictObject({
	sessionId: SessionIdSchema,
	went: z.enum(['gone', 'better', 'still', 'worse']),
	note: TextSchema.default(''),
	/** The calendar day of the practice on which it was said. */
	day: DaySchema,
	at: z.iso.datetime()
});
export type FollowUp = z.infer<typeof FollowUpSchema>;
