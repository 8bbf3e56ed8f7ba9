import { z } from 'zod';
import { ZONE_IDS, type ZoneId } from '../atlas/zones';
import { IdSchema, TextSchema, TitleSchema } from '../step/common.schema';
import { SequenceSchema } from '../sequence/sequence.schema';
import { DISTANCE_IDS, DISTANCE_MAX_MM, DISTANCE_MIN_MM } from './distances';

const RecordFields = { id: IdSchema, revision: z.int().min(0), updatedAt: z.iso.datetime() };
const ZoneSchema = z.enum(ZONE_IDS as [ZoneId, ...ZoneId[]]);
const SideSchema = z.enum(['left', 'right']);

/** A person in the chair: a code or a name, as the user likes. */
export const ClientSchema = z.strictObject({
	...RecordFields,
	name: TitleSchema,
	/** What the practitioner wants to read before each session: cautions in her own words. */
	cautions: TextSchema.default(''),
	note: TextSchema.default(''),
	archived: z.boolean().default(false)
});
export type Client = z.infer<typeof ClientSchema>;

export const GradeEntrySchema = z.strictObject({
	kind: z.enum(['puffiness', 'tension']),
	zone: ZoneSchema,
	side: SideSchema,
	grade: z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3), z.literal(4)])
});
export type GradeEntry = z.infer<typeof GradeEntrySchema>;

export const DistanceEntrySchema = z.strictObject({
	id: z.enum(DISTANCE_IDS),
	side: SideSchema,
	mm: z.number().min(DISTANCE_MIN_MM).max(DISTANCE_MAX_MM)
});
export type DistanceEntry = z.infer<typeof DistanceEntrySchema>;

/** What was felt and measured at one moment. Absent entries were not felt or not measured. */
export const LookSchema = z.strictObject({
	takenAt: z.iso.datetime(),
	grades: z.array(GradeEntrySchema).max(200),
	distances: z.array(DistanceEntrySchema).max(20)
});
export type Look = z.infer<typeof LookSchema>;

/** What was actually done of one step. */
export const DoneStepSchema = z.strictObject({
	stepId: IdSchema,
	/** Repetitions done on each side; of a dose in time, the seconds say it. */
	leftReps: z.number().min(0),
	rightReps: z.number().min(0),
	seconds: z.number().min(0),
	skipped: z.boolean()
});
export type DoneStep = z.infer<typeof DoneStepSchema>;

export const ContextSchema = z.strictObject({
	sleep: z.enum(['under-5', '5-to-7', 'over-7']).optional(),
	salt: z.enum(['little', 'usual', 'much']).optional(),
	also: z.array(z.enum(['alcohol', 'crying', 'screens', 'allergy', 'flight'])).default([])
});

export const SessionSchema = z.strictObject({
	...RecordFields,
	clientId: IdSchema,
	startedAt: z.iso.datetime(),
	endedAt: z.iso.datetime().nullable().default(null),
	/** Minutes from UTC to the clock on the wall, so that the hour of the day is known later. */
	zoneOffsetMinutes: z.int().min(-900).max(900).default(0),
	/** The sequence as it was, so that a later edit does not change the past. */
	sequence: SequenceSchema.nullable().default(null),
	before: LookSchema,
	after: LookSchema.nullable().default(null),
	context: ContextSchema.default({ also: [] }),
	done: z.array(DoneStepSchema).max(2000).default([]),
	workedSeconds: z.number().min(0).default(0),
	haltedSeconds: z.number().min(0).default(0),
	sideEffects: TextSchema.default(''),
	note: TextSchema.default('')
});
export type Session = z.infer<typeof SessionSchema>;

export const SKIN_TONES = ['sand', 'almond', 'honey', 'amber', 'chestnut', 'umber'] as const;
export type SkinTone = (typeof SKIN_TONES)[number];

/** What the application remembers about itself. */
export const SettingsSchema = z.strictObject({
	id: z.literal('settings'),
	revision: z.int().min(0),
	updatedAt: z.iso.datetime(),
	theme: z.enum(['auto', 'day', 'evening']).default('auto'),
	/** Skin of the figure on the maps. */
	skinTone: z.enum(SKIN_TONES).default('sand'),
	units: z.enum(['mm', 'inch']).default('mm'),
	tone: z.boolean().default(true),
	cautionSeenAt: z.iso.datetime().nullable().default(null),
	/** When the user was last asked whether the browser shall keep the records for good. */
	keepAskedAt: z.iso.datetime().nullable().default(null),
	currentClientId: IdSchema.nullable().default(null)
});
export type Settings = z.infer<typeof SettingsSchema>;
