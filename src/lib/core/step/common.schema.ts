import { z } from 'zod';
import { PLACE_REFS, type PlaceRef } from '../atlas/places';
import { SPOTS } from '../atlas/spots';
import type { Level } from './levels';
import { MAX_PLACES, MAX_TEXT, MAX_TITLE } from './sizes';
import { CONTACTS, idsOf, MOTIONS, STONE_EDGES, TOOLS, UNTIL_SIGNS } from '../vocabulary/vocabulary';

export const LevelSchema: z.ZodType<Level> = z.union([
	z.literal(0),
	z.literal(1),
	z.literal(2),
	z.literal(3),
	z.literal(4)
]);

export const IdSchema = z.string().min(1).max(80);

declare const of: unique symbol;
/** The id of one kind of thing: what is meant for a client takes no session’s. A text that is not an id yet becomes one where it is needed. */
export type Id<K extends string> = string & { readonly [of]?: K };
export type ClientId = Id<'client'>;
export type SessionId = Id<'session'>;
export type SequenceId = Id<'sequence'>;
export type StepId = Id<'step'>;
const idOf = <K extends string>() => IdSchema as unknown as z.ZodType<Id<K>, Id<K>>;
export const ClientIdSchema = idOf<'client'>();
export const SessionIdSchema = idOf<'session'>();
export const SequenceIdSchema = idOf<'sequence'>();
export const StepIdSchema = idOf<'step'>();

export const TextSchema = z.string().max(MAX_TEXT, `at most ${MAX_TEXT} characters are allowed here`);
/** Comment lines of the notation: for whoever reads the text; nothing is computed from them. */
export const CommentSchema = TextSchema.min(1).refine(
	(comment) => comment.split('\n').every((line) => line === line.trimEnd()),
	'no spaces are allowed at the ends of its lines'
);
export const TitleSchema = z.string().min(1).max(MAX_TITLE);

const seconds = z.number().min(0.1).max(3600);
const count = z.int().min(1).max(1000);

/** A dose is per side, per lane and per direction; of a move that stays on several places, the step says whether at each of them. */
export const DoseSchema = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.literal('reps'), min: count, target: count, max: count }),
	z.strictObject({ kind: z.literal('breaths'), min: count, target: count, max: count }),
	z.strictObject({ kind: z.literal('seconds'), min: seconds, target: seconds, max: seconds })
]);

export const PlaceRefSchema = z.enum(PLACE_REFS as unknown as [PlaceRef, ...PlaceRef[]]);

export const ToolSchema = z.strictObject({
	id: z.enum(idsOf(TOOLS)),
	edge: z.enum(idsOf(STONE_EDGES)).optional(),
	/** Angle of a stone plate to the skin. */
	tiltDegrees: z.number().min(0).max(90).optional()
});
export const HoldSchema = z.strictObject({
	kind: z.enum(['seconds', 'breaths']),
	amount: z.number().min(0.1).max(120)
});
/** Places on a path where the stroke stops and presses. */
export const StationsSchema = z.strictObject({
	places: z.array(PlaceRefSchema).min(1).max(MAX_PLACES),
	hold: HoldSchema
});
/** Goes on until one of some signs shows, at the longest for `capSeconds` on one side. */
export const UntilSchema = z
	.strictObject({
		signs: z.array(z.enum(idsOf(UNTIL_SIGNS))).max(Object.keys(UNTIL_SIGNS).length),
		/** A sign in words of one's own. */
		own: z.string().min(1).max(80).optional(),
		capSeconds: z.number().min(1).max(3600)
	})
	.refine(({ signs, own }) => signs.length > 0 || own !== undefined, 'a sign is needed');
/** What the hand on the second path does otherwise than the first. */
export const BesideWorkSchema = z.strictObject({
	contact: z.enum(idsOf(CONTACTS)).optional(),
	motion: z.enum(idsOf(MOTIONS)).optional(),
	pressure: LevelSchema.optional()
});
/** Spots within the places of a step: so many spread along them, or named ones. */
export const SpotsSchema = z.union([
	z.strictObject({ count: z.int().min(2).max(24) }),
	z.strictObject({
		named: z
			.array(z.enum(idsOf(SPOTS)))
			.min(1)
			.max(24)
	})
]);
/** What the other hand does: where it anchors the skin, with the thumb, going along, or at the client's head. */
export const SupportSchema = z.strictObject({
	place: PlaceRefSchema.optional(),
	/** One hand always stays on the skin. */
	stays: z.boolean(),
	/** One's own thumb anchors, beside the fingers that work: it takes no second hand. */
	thumb: z.boolean().optional(),
	/** The anchor moves along with the stroke. */
	moves: z.boolean().optional(),
	/** The client's head resists, or is pushed against the hand. */
	head: z.enum(['resists', 'pushed']).optional()
});

/** A further stroke of the same repetition: press, then swipe, then lift, then drain is one repetition of four. */
export const PartSchema = z.strictObject({
	motion: z.enum(idsOf(MOTIONS)),
	/** Absent: where the first stroke is done. */
	places: z.array(PlaceRefSchema).min(1).max(MAX_PLACES).optional(),
	/** Absent: as deep as the first stroke at its end. */
	pressure: LevelSchema.optional(),
	/** Of one repetition. */
	seconds: z.number().min(0.1).max(120)
});
export type Part = z.infer<typeof PartSchema>;

/** A piece of tape, or several alike. */
export const TapeSchema = z.strictObject({
	lengthMm: z.number().min(5).max(400),
	widthMm: z.number().min(2).max(100),
	/** Longest wear; with `leastHours` it is a range. */
	wearHours: z.number().min(0).max(24),
	leastHours: z.number().min(0).max(24).optional(),
	pieces: z.int().min(1).max(30).optional(),
	/** The end that is laid first, without any pull, and its length. */
	anchor: PlaceRefSchema.optional(),
	anchorMm: z.number().min(1).max(100).optional(),
	/** Where it is laid towards from its anchor. */
	towards: PlaceRefSchema.optional(),
	/** How long the first time, before it is worn as long as told: a trial. */
	firstHours: z.number().min(0).max(24).optional(),
	/** The first time it is worn: a trial. */
	firstWear: z.boolean().optional(),
	/** What was on the skin was left to sink in, or blotted, before it was laid. */
	skin: z.enum(['absorbed', 'blotted']).optional()
});
