import { z } from 'zod';

/** Longest free text, characters. */
export const MAX_TEXT = 2000;
export const IdSchema = z.string().min(1).max(80);
export const TextSchema = z.string().max(MAX_TEXT, `at most ${MAX_TEXT} characters are allowed here`);
export const TitleSchema = z.string().min(1).max(200);

const seconds = z.number().min(0.1).max(3600);
const count = z.int().min(1).max(1000);

/** A dose is per side, per lane and per direction. Seconds and breaths over several stationary places: per place. */
export const DoseSchema = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.literal('reps'), min: count, target: count, max: count }),
	z.strictObject({ kind: z.literal('breaths'), min: count, target: count, max: count }),
	z.strictObject({ kind: z.literal('seconds'), min: seconds, target: seconds, max: seconds })
]);
export type DoseKind = z.infer<typeof DoseSchema>['kind'];
