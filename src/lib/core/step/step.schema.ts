import { z } from 'zod';
import { POINT_CODES } from '../point/codes';
import {
	BesideWorkSchema,
	CommentSchema,
	DoseSchema,
	IdSchema,
	StepIdSchema,
	PartSchema,
	PlaceRefSchema,
	SpotsSchema,
	StationsSchema,
	SupportSchema,
	TapeSchema,
	TextSchema,
	ToolSchema,
	UntilSchema,
	LevelSchema
} from './common.schema';
import { MAX_PARTS, MAX_PLACES } from './sizes';
import { DEFAULT_STEP } from './defaultStep';
import { stepProblems } from './stepProblems';
import { AIMS, BREATHS, CONTACTS, idsOf, MOTIONS, MOUTHS, POSTURES, ROUNDS, TOWARDS } from '../vocabulary/vocabulary';

export const SideIdSchema = z.enum(['left', 'right']);

/** `{each, first}`: one side, then the other. `{alternate, first, every}`: in turn after so many repetitions. */
export const StepSideSchema = z.union([
	z.enum(['both', 'midline', 'left', 'right']),
	z.strictObject({ each: z.literal(true), first: SideIdSchema }),
	z.strictObject({
		alternate: z.literal(true),
		first: SideIdSchema,
		/** Repetitions on one side before the other takes its turn; absent: one. */
		every: z.int().min(1).max(100).optional()
	})
]);
export type StepSide = z.infer<typeof StepSideSchema>;

export const EndSchema = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.enum(['none', 'wiggle', 'lift', 'press']) }),
	z.strictObject({
		kind: z.literal('link'),
		places: z.array(PlaceRefSchema).min(1).max(MAX_PLACES),
		pumps: z.int().min(0).max(100),
		by: z.enum(['hand', 'policy']),
		/** How each repetition ends before the fluid is led on. */
		finish: z.enum(['wiggle', 'lift', 'press']).optional()
	})
]);
export type End = z.infer<typeof EndSchema>;

/** A step holds everything needed to time, judge, draw and perform it; `techniqueId` only records its origin. */
const StepFieldsSchema = z.strictObject({
	id: StepIdSchema,
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
	/** Over several places that are stayed on: the dose at each of them, or over all together. Absent: as its move usually has it. */
	doseAt: z.enum(['each-place', 'over-all']).optional(),
	/** Further strokes of every repetition, in order. */
	parts: z.array(PartSchema).min(1).max(MAX_PARTS).optional(),
	/** How far the skin or the finger goes to and fro, mm. */
	amplitudeMm: z.number().min(0.5).max(100).optional(),
	/** A second path done at the same time, as fingers before and behind the ear. */
	beside: z.array(PlaceRefSchema).min(1).max(MAX_PLACES).optional(),
	/** What the hand there does otherwise. */
	besideWork: BesideWorkSchema.optional(),
	/** Where within its places: a dose at each spot. */
	spots: SpotsSchema.optional(),
	/** Which way round its circles go. */
	round: z.enum(idsOf(ROUNDS)).optional(),
	/** Where the client's head or jaw turns, tilts or goes to. */
	towards: z.enum(idsOf(TOWARDS)).optional(),
	/** Slow out, quick back: seconds in which the hand comes back after each repetition. */
	returnSeconds: z.number().min(0.1).max(60).optional(),
	paceSeconds: z.number().min(0.1).max(120),
	/** Absent in a block that is done on one side and then the other. */
	side: StepSideSchema.optional(),
	stations: StationsSchema.optional(),
	lanes: z.int().min(1).max(12).default(DEFAULT_STEP.lanes),
	/** Lanes that lie otherwise than side by side. */
	laneRun: z.enum(['diagonal', 'inner-outer']).optional(),
	/** The paths of the second and further lanes, where they have their own. */
	laneWays: z.array(z.array(PlaceRefSchema).min(2).max(MAX_PLACES)).min(1).max(11).optional(),
	reverse: z.boolean().default(DEFAULT_STEP.reverse),
	until: UntilSchema.optional(),
	end: EndSchema.default(DEFAULT_STEP.end),
	support: SupportSchema.optional(),
	posture: z.enum(idsOf(POSTURES)).default(DEFAULT_STEP.posture),
	mouth: z.enum(idsOf(MOUTHS)).default(DEFAULT_STEP.mouth),
	eyes: z.enum(['closed', 'open']).default(DEFAULT_STEP.eyes),
	breath: z.enum(idsOf(BREATHS)).default(DEFAULT_STEP.breath),
	by: z.enum(['practitioner', 'client']).default(DEFAULT_STEP.by),
	medium: z.strictObject({ id: IdSchema, ml: z.number().min(0).max(50) }).optional(),
	/** Standard code of the pressure point that is held. */
	point: z.enum(POINT_CODES).optional(),
	/** The step of a skincare routine that this move replaces. */
	replaces: z.string().max(200).optional(),
	tape: TapeSchema.optional(),
	/** May be dropped to save time. */
	optional: z.boolean().default(DEFAULT_STEP.optional),
	/** Pressure to which a hold rises. */
	risesTo: LevelSchema.optional(),
	/** Pressure to which each stroke swells in its middle: light, firm, light. */
	swellsTo: LevelSchema.optional(),
	/** The pose or the hold at the end of a side, seconds. */
	poseSeconds: z.number().min(0.5).max(120).optional(),
	/** Done only where this is so; asked on the stage, and no time until it is met. */
	onlyIf: z.string().min(1).max(200).optional(),
	/** Done instead of the step before it, where that hangs on a condition which is not met. */
	otherwise: z.boolean().optional(),
	/** One of several ways of which one is done: its group, and which of them it is. */
	choice: z.strictObject({ group: z.string().min(1).max(60), option: z.string().min(1).max(60) }).optional(),
	/** Done at another sitting, such as taking off a tape: no time now. */
	later: z.boolean().optional(),
	/** What on the way is worked around. */
	around: z.string().min(1).max(200).optional(),
	/** Why only one side is worked. */
	reason: TextSchema.optional(),
	note: TextSchema.default(DEFAULT_STEP.note),
	why: TextSchema.default(DEFAULT_STEP.why),
	comment: CommentSchema.optional()
});
export type Step = z.infer<typeof StepFieldsSchema>;
export type Dose = Step['dose'];

export const StepSchema = StepFieldsSchema.superRefine((step, ctx) => {
	for (const { path, message } of stepProblems(step)) ctx.addIssue({ code: 'custom', path: [...path], message });
});
