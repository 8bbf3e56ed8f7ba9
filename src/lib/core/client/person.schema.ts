import { z } from 'zod';
import { GOAL_IDS } from '../goalIds';
import { PAIR_MEASURE_IDS } from '../measure/pairIds';
import { IdSchema, TextSchema } from '../step/common.schema';
import { AnswerSchema, ClearanceSchema, FollowUpSchema } from './answer.schema';
import { DaySchema, SidedZoneSchema, MarkSchema } from './common.schema';
import { SKIN_TONES } from './skinTones';

/** How she likes it. */
export const PreferencesSchema = z.strictObject({
	/** One level lighter or firmer than planned, where caps allow it. */
	pressure: z.enum(['lighter', 'usual', 'firmer']).default('usual'),
	/** Ids of media. */
	likes: z.array(IdSchema).max(50).default([]),
	dislikes: z.array(IdSchema).max(50).default([]),
	cheekRoute: z.enum(['outward', 'downward', 'either']).default('either'),
	/** The room: light, warmth, blanket, music. */
	room: TextSchema.default(''),
	/** Whether she is talked to, and how much. */
	voice: TextSchema.default('')
});
export type Preferences = z.infer<typeof PreferencesSchema>;

/** What was agreed, in the words of the practice. */
export const ConsentSchema = z.strictObject({
	id: IdSchema,
	what: TextSchema.min(1),
	on: DaySchema,
	/** The day on which she took it back. */
	withdrawn: DaySchema.nullable().default(null)
});
export type Consent = z.infer<typeof ConsentSchema>;

/** A difference between her sides that was there before any work. */
export const AsymmetrySchema = z.strictObject({
	places: z.array(SidedZoneSchema).max(68).default([]),
	note: TextSchema.default(''),
	since: DaySchema.nullable().default(null)
});

/** What is known of a client besides her name: fields of the client's record. */
export const PersonFields = {
	/** What her photographs are looked at for, up to four from the front and four in profile, declared before looking: only these are held against chance among themselves. */
	primaries: z.array(z.enum(PAIR_MEASURE_IDS)).max(8).default([]),
	/** How to reach her, only if she wants it kept. */
	contact: TextSchema.default(''),
	birthYear: z.int().min(1900).max(2200).nullable().default(null),
	performer: z.enum(['client', 'self']).default('client'),
	/** Of her figure on the maps; null: as it is in the settings. */
	skinTone: z.enum(SKIN_TONES).nullable().default(null),
	preferences: PreferencesSchema.default(() => PreferencesSchema.parse({})),
	/** The most wanted first. */
	goals: z.array(z.enum(GOAL_IDS)).max(19).default([]),
	asymmetry: AsymmetrySchema.default(() => AsymmetrySchema.parse({})),
	allergies: TextSchema.default(''),
	marks: z.array(MarkSchema).max(200).default([]),
	consents: z.array(ConsentSchema).max(100).default([]),
	/** All answers that were ever given, in their order; the latest to a question holds. */
	answers: z.array(AnswerSchema).max(2000).default([]),
	clearances: z.array(ClearanceSchema).max(100).default([]),
	followUps: z.array(FollowUpSchema).max(1000).default([])
} as const;
type Fields = typeof PersonFields;
export type Person = { [Field in keyof Fields]: z.infer<Fields[Field]> };
