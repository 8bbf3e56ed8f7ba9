import { z } from 'zod';
import { DaySchema, SidedZoneSchema } from '../client/common.schema';
import { ALLERGENS } from '../medium/allergens';
import { IdSchema, TextSchema, LevelSchema } from '../step/common.schema';
import { AIMS, idsOf, POSTURES } from '../vocabulary/vocabulary';

/**
 * Which moves are meant, by what they are, never by their names: what a technique that is added tomorrow has, it answers
 * for. Every property that is given must hold; without any, all moves are meant.
 */
export const WhichSchema = z.strictObject({
	aims: z.array(z.enum(idsOf(AIMS))).optional(),
	/** Goes through the nodes on purpose. */
	throughNodes: z.literal(true).optional(),
	motion: z.enum(['slides', 'rubs', 'taps', 'bruises', 'stretches', 'resists']).optional(),
	contact: z.enum(['inside', 'strong', 'pinch']).optional(),
	tool: z.enum(['any', 'edged', 'cold', 'warm', 'tape', 'worn', 'metal', 'latex']).optional(),
	/** As deep as this or deeper. */
	levelFrom: LevelSchema.optional(),
	point: z.enum(['any', 'not-in-pregnancy']).optional(),
	postures: z.array(z.enum(idsOf(POSTURES))).optional(),
	/** Work of the client herself. */
	byClient: z.literal(true).optional()
});
export type Which = z.infer<typeof WhichSchema>;

/** Where something holds, worked out: everywhere, or zones with their sides. */
export const ReachSchema = z.union([z.literal('everywhere'), z.array(SidedZoneSchema)]);
export type Reach = z.infer<typeof ReachSchema>;

const common = {
	/** The answer, mark, preference or code it comes from, and which of its effects. */
	id: IdSchema,
	source: z.strictObject({ kind: z.enum(['answer', 'mark', 'licence']), id: IdSchema }),
	/** What it comes from, in a word or two: Filler. */
	name: z.string().max(200),
	reason: TextSchema,
	severity: z.enum(['stop', 'caution', 'advice']),
	/** The day it was done or began. */
	since: DaySchema.nullable(),
	/** The first day on which it holds no more; null where nothing ends it by itself. */
	until: DaySchema.nullable()
};
const of = <Does extends string, Shape extends z.core.$ZodLooseShape>(does: Does, shape: Shape) =>
	z.strictObject({ ...common, does: z.literal(does), ...shape });
/** Where it holds, and the same in words as short as it was told: "the eyes and their corners, right, and around". */
const at = { where: ReachSchema, whereWords: z.string().max(300) };
const reach = { ...at, which: WhichSchema.optional() };

/** What holds for a client on a day: data, so that it can be judged by, drawn, sent to a worker and kept with a session. */
export const LimitSchema = z.discriminatedUnion('does', [
	of('refer', {}),
	of('clearance', {}),
	of('leave-out', reach),
	/** A spot that strokes go round: the zone may be worked beside it. */
	of('go-round', at),
	of('level', { ...at, level: LevelSchema }),
	of('minutes', { minutes: z.number().min(1).max(240) }),
	of('one-side', at),
	of('posture', { without: z.array(z.enum(idsOf(POSTURES))) }),
	of('upright', {}),
	of('media', { without: z.array(z.enum(ALLERGENS)) }),
	of('mind', { ...reach, say: z.string().min(1).max(200) })
]);
export type Limit = z.infer<typeof LimitSchema>;
export type LimitOf<Does extends Limit['does']> = Extract<Limit, { does: Does }>;
