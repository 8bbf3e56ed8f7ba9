import { z } from 'zod';
import { PLACE_REFS, type PlaceRef } from '../atlas/places';
import { idsOf, STONE_EDGES, TOOLS, UNTIL_SIGNS } from '../vocabulary/vocabulary';

/** Longest free text, characters. */
export const MAX_TEXT = 2000;
export const IdSchema = z.string().min(1).max(80);
export const TextSchema = z.string().max(MAX_TEXT, `at most ${MAX_TEXT} characters are allowed here`);
/** Longest title, characters. */
export const MAX_TITLE = 200;
export const TitleSchema = z.string().min(1).max(MAX_TITLE);

const seconds = z.number().min(0.1).max(3600);
const count = z.int().min(1).max(1000);

/** A dose is per side, per lane and per direction. Seconds and breaths over several stationary places: per place. */
export const DoseSchema = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.literal('reps'), min: count, target: count, max: count }),
	z.strictObject({ kind: z.literal('breaths'), min: count, target: count, max: count }),
	z.strictObject({ kind: z.literal('seconds'), min: seconds, target: seconds, max: seconds })
]);

/** Most places of a path; more is refused with the limit named. */
export const MAX_PLACES = 40;
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
/** Goes on until a sign shows, at the longest for `capSeconds` on one side. */
export const UntilSchema = z.strictObject({
	sign: z.enum(idsOf(UNTIL_SIGNS)),
	capSeconds: z.number().min(1).max(3600)
});
/** Where the other hand anchors the skin, and whether one hand always stays on it. */
export const SupportSchema = z.strictObject({ place: PlaceRefSchema.optional(), stays: z.boolean() });
