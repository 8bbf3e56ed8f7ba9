import { z } from 'zod';
import { MediumSchema } from '../medium/medium.schema';
import { GOAL_IDS } from './goalIds';
import { LevelSchema } from '../step/levels';
import { SchoolSchema } from '../school/school.schema';
import { TechniqueSchema } from '../technique/technique.schema';
import { AIMS, BREATHS, CONTACTS, idsOf, MOTIONS, MOUTHS, POSTURES } from '../step/vocabulary';
import { checkSequence, checkStep } from './checkSequence';
import {
	DoseSchema,
	IdSchema,
	MAX_PLACES,
	PlaceRefSchema,
	StationsSchema,
	SupportSchema,
	TextSchema,
	TitleSchema,
	ToolSchema,
	UntilSchema
} from '../step/common.schema';
import { POINT_CODES } from '../point/codes';

/** Version of the sequence format. Any new field bumps it. */
export const SEQUENCE_VERSION = 2;
/** Limits of a sequence; more is refused with the limit named. */
export const MAX_STEPS = 2000;
export { MAX_PLACES } from '../step/common.schema';

const SideIdSchema = z.enum(['left', 'right']);

/** `{each, first}`: one side, then the other. `{alternate, first}`: repetition by repetition. */
export const StepSideSchema = z.union([
	z.enum(['both', 'midline', 'left', 'right']),
	z.strictObject({ each: z.literal(true), first: SideIdSchema }),
	z.strictObject({ alternate: z.literal(true), first: SideIdSchema })
]);
export type StepSide = z.infer<typeof StepSideSchema>;

export const BlockSidesSchema = z.union([
	z.literal('asSteps'),
	z.strictObject({ each: z.literal(true), first: SideIdSchema })
]);
export type BlockSides = z.infer<typeof BlockSidesSchema>;

export const EndSchema = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.enum(['none', 'wiggle', 'lift', 'press']) }),
	z.strictObject({
		kind: z.literal('link'),
		places: z.array(PlaceRefSchema).min(1).max(MAX_PLACES),
		pumps: z.int().min(0).max(100),
		by: z.enum(['hand', 'policy'])
	})
]);
export type End = z.infer<typeof EndSchema>;

/** A step holds everything needed to time, judge, draw and perform it; `techniqueId` only records its origin. */
export const StepSchema = z
	.strictObject({
		id: IdSchema,
		techniqueId: IdSchema.optional(),
		aim: z.enum(idsOf(AIMS)),
		/** What is cleansed, where the aim is cleanse. */
		target: z.enum(['skin', 'hands', 'tool']).optional(),
		places: z.array(PlaceRefSchema).max(MAX_PLACES),
		contact: z.enum(idsOf(CONTACTS)),
		tool: ToolSchema.optional(),
		motion: z.enum(idsOf(MOTIONS)),
		/** One level for the whole step, or `levels` for each place; never both. */
		pressure: LevelSchema.optional(),
		levels: z.array(LevelSchema).max(MAX_PLACES).optional(),
		dose: DoseSchema,
		paceSeconds: z.number().min(0.1).max(120),
		/** Absent in a block that is done on one side and then the other. */
		side: StepSideSchema.optional(),
		stations: StationsSchema.optional(),
		lanes: z.int().min(1).max(12).default(1),
		reverse: z.boolean().default(false),
		until: UntilSchema.optional(),
		end: EndSchema.default({ kind: 'none' }),
		support: SupportSchema.optional(),
		posture: z.enum(idsOf(POSTURES)).default('neutral'),
		mouth: z.enum(idsOf(MOUTHS)).default('closed'),
		eyes: z.enum(['closed', 'open']).default('closed'),
		breath: z.enum(idsOf(BREATHS)).default('free'),
		by: z.enum(['practitioner', 'client']).default('practitioner'),
		medium: z.strictObject({ id: IdSchema, ml: z.number().min(0).max(50) }).optional(),
		/** Standard code of the pressure point that is held. */
		point: z.enum(POINT_CODES).optional(),
		/** The step of a skincare routine that this move replaces. */
		replaces: z.string().max(200).optional(),
		tape: z
			.strictObject({
				lengthMm: z.number().min(5).max(400),
				widthMm: z.number().min(2).max(100),
				wearHours: z.number().min(0).max(24)
			})
			.optional(),
		/** May be dropped to save time. */
		optional: z.boolean().default(false),
		/** Why only one side is worked. */
		reason: TextSchema.optional(),
		note: TextSchema.default(''),
		why: TextSchema.default('')
	})
	.superRefine(checkStep);
export type Step = z.infer<typeof StepSchema>;
export type Dose = Step['dose'];

export const BlockSchema = z.strictObject({
	id: IdSchema,
	title: z.string().max(200).default(''),
	sides: BlockSidesSchema.default('asSteps'),
	steps: z.array(StepSchema).max(MAX_STEPS, `at most ${MAX_STEPS} steps are allowed in a sequence`)
});
export type Block = z.infer<typeof BlockSchema>;

export const PhaseSchema = z.strictObject({
	id: IdSchema,
	title: TitleSchema,
	blocks: z.array(BlockSchema).max(200),
	/** A short version may end after this phase. */
	exitAfter: z.boolean().default(false)
});
export type Phase = z.infer<typeof PhaseSchema>;

export const SequenceSchema = z
	.strictObject({
		format: z.literal('soft-tide/sequence'),
		version: z.literal(SEQUENCE_VERSION),
		id: IdSchema,
		revision: z.int().min(0),
		updatedAt: z.iso.datetime(),
		title: TitleSchema,
		notes: TextSchema.default(''),
		goals: z
			.array(z.strictObject({ id: z.enum(GOAL_IDS), weight: z.number().min(0).max(1) }))
			.max(19)
			.default([]),
		budgetSeconds: z
			.int()
			.min(30)
			.max(4 * 3600),
		school: SchoolSchema,
		/** The user's own techniques and media that its steps came from: they travel with the file. */
		techniques: z.array(TechniqueSchema).max(500).default([]),
		media: z.array(MediumSchema).max(50).default([]),
		/** Who keeps the drain links: the hand that set them, or the school's drain policy after every edit. */
		links: z.enum(['hand', 'policy']).default('hand'),
		/** Findings that the user has seen and set aside, each with a reason. A `stop` is never muted. */
		mutes: z
			.array(z.strictObject({ key: z.string().min(1).max(2000), reason: TextSchema.min(1) }))
			.max(500)
			.default([]),
		performer: z.enum(['client', 'self']).default('client'),
		orientation: z.enum(['facing', 'mirror', 'head-end']).default('facing'),
		medium: z
			.strictObject({ id: IdSchema, ml: z.number().min(0).max(50) })
			.nullable()
			.default(null),
		phases: z.array(PhaseSchema).max(100)
	})
	.superRefine(checkSequence);
export type Sequence = z.infer<typeof SequenceSchema>;
