import { z } from 'zod';
import { MediumSchema } from '../medium/medium.schema';
import { SchoolSchema } from '../school/school.schema';
import { CommentSchema, IdSchema, TextSchema, TitleSchema, SequenceIdSchema } from '../step/common.schema';
import { SideIdSchema, StepSchema } from '../step/step.schema';
import { TechniqueSchema } from '../technique/technique.schema';
import { sequenceProblems } from './sequenceProblems';
import { limitWords, overLimits } from './cost';
import { MAX_STEPS, SEQUENCE_VERSION } from './format';
import { GOAL_IDS } from '../goalIds';

export const BlockSidesSchema = z.union([
	z.literal('asSteps'),
	z.strictObject({ each: z.literal(true), first: SideIdSchema })
]);

/** How often a block or a phase is done, one after the other. */
const PassesSchema = z.int().min(1).max(9);

export const BlockSchema = z.strictObject({
	id: IdSchema,
	title: z.string().max(200).default(''),
	sides: BlockSidesSchema.default('asSteps'),
	/** How often all of it is done; absent: once. */
	passes: PassesSchema.optional(),
	steps: z.array(StepSchema).max(MAX_STEPS, `at most ${MAX_STEPS} steps are allowed in a sequence`)
});
export type Block = z.infer<typeof BlockSchema>;

export const PhaseSchema = z.strictObject({
	id: IdSchema,
	title: TitleSchema,
	blocks: z.array(BlockSchema).max(200),
	/** A short version may end after this phase. */
	exitAfter: z.boolean().default(false),
	/** What that short version is called. */
	exitTitle: TitleSchema.optional(),
	passes: PassesSchema.optional(),
	comment: CommentSchema.optional()
});
export type Phase = z.infer<typeof PhaseSchema>;

/** How often, from the least to the most, and for how long; without an end where none is given. */
const RHYTHM = {
	times: z.int().min(1).max(60),
	most: z.int().min(2).max(60).optional(),
	per: z.enum(['day', 'week', 'month']),
	weeks: z.int().min(1).max(104).optional(),
	days: z.int().min(1).max(365).optional()
};
const RhythmSchema = z.strictObject(RHYTHM).superRefine(checkRhythm);

/** How often it is done, over how long, and when. */
export const CourseSchema = z
	.strictObject({
		...RHYTHM,
		/** What follows, one after the other. */
		then: z.array(RhythmSchema).min(1).max(4).optional(),
		/** Days of a week on which it is not done. */
		restDays: z.int().min(1).max(6).optional(),
		/** When on the day. */
		hour: z.enum(['morning', 'noon', 'evening', 'night']).optional(),
		/** The day from which it is done. */
		since: z.iso.date().optional()
	})
	.superRefine(checkRhythm)
	.superRefine(({ weeks, days, then }, ctx) => {
		const ends = [{ weeks, days }, ...(then ?? [])];
		if (ends.slice(0, -1).some((phase) => phase.weeks === undefined && phase.days === undefined))
			ctx.addIssue({ code: 'custom', path: ['then'], message: 'Say for how long, where something follows' });
	});

function checkRhythm(
	{ times, most, weeks, days }: { times: number; most?: number; weeks?: number; days?: number },
	ctx: z.core.$RefinementCtx
): void {
	if (most !== undefined && most <= times)
		ctx.addIssue({ code: 'custom', path: ['most'], message: `The most is more than the least: ${times}, ${most}` });
	if (weeks !== undefined && days !== undefined)
		ctx.addIssue({ code: 'custom', path: ['days'], message: 'Say for how many days, or for how many weeks' });
}

const SequenceFieldsSchema = z.strictObject({
	format: z.literal('soft-tide/sequence'),
	version: z.literal(SEQUENCE_VERSION),
	id: SequenceIdSchema,
	revision: z.int().min(0),
	updatedAt: z.iso.datetime(),
	title: TitleSchema,
	notes: TextSchema.default(''),
	/** Comment lines behind the last step. */
	comment: CommentSchema.optional(),
	goals: z
		.array(z.strictObject({ id: z.enum(GOAL_IDS), weight: z.number().min(0).max(1) }))
		.max(19)
		.default([]),
	budgetSeconds: z
		.int()
		.min(30)
		.max(4 * 3600),
	/** The shortest that it may be made; absent: `budgetSeconds` is all that is said. */
	leastSeconds: z
		.int()
		.min(30)
		.max(4 * 3600)
		.optional(),
	/** Of steps of which one option is done: which. A group without an entry takes the option that stands first. */
	choices: z
		.array(z.strictObject({ group: z.string().min(1).max(60), option: z.string().min(1).max(60) }))
		.max(50)
		.optional(),
	course: CourseSchema.optional(),
	/** What means something else, or takes another time, since it was brought up to date: said once. */
	changed: z.array(z.string().min(1).max(300)).max(10).optional(),
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
});
export type Sequence = z.infer<typeof SequenceFieldsSchema>;

/** A sequence as it is stored: what lies here already may cost more than is let in, and can be opened, mended and removed. */
export const StoredSequenceSchema = SequenceFieldsSchema.superRefine((sequence, ctx) => {
	for (const { path, message } of sequenceProblems(sequence))
		ctx.addIssue({ code: 'custom', path: [...path], message });
});

/** A sequence as it is let in: also within the limits of what is reckoned with. */
export const SequenceSchema = StoredSequenceSchema.superRefine((sequence, ctx) => {
	for (const over of overLimits(sequence))
		ctx.addIssue({ code: 'custom', path: [...over.path], message: limitWords(over) });
});
