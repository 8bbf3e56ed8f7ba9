import { z } from 'zod';
import { PLACE_IDS, type PlaceId } from '../atlas/places';
import { LevelSchema } from '../pressure/levels';
import { DoseSchema, IdSchema, TextSchema, TitleSchema } from '../sequence/common.schema';
import { AIMS, BREATHS, CONTACTS, idsOf, MOTIONS, POSTURES, STONE_EDGES, TOOLS } from './vocabulary';

/** A technique: what a step is made from. The user's own travel inside the sequences that use them. */
export const TechniqueSchema = z.strictObject({
	id: IdSchema,
	title: TitleSchema,
	aim: z.enum(idsOf(AIMS)),
	contact: z.enum(idsOf(CONTACTS)),
	tool: z
		.strictObject({
			id: z.enum(idsOf(TOOLS)),
			edge: z.enum(idsOf(STONE_EDGES)).optional(),
			tiltDegrees: z.number().min(0).max(90).optional()
		})
		.optional(),
	motion: z.enum(idsOf(MOTIONS)),
	/** Places on which it may start or stay; empty: everywhere. */
	places: z.array(z.enum(PLACE_IDS as unknown as [PlaceId, ...PlaceId[]])).max(45),
	/** `stroke` needs a start and an end, `spot` stays where it is, `none` touches no place. */
	shape: z.enum(['spot', 'stroke', 'none']),
	pressure: z.strictObject({ min: LevelSchema, default: LevelSchema, max: LevelSchema }),
	dose: DoseSchema,
	paceSeconds: z.number().min(0.1).max(120),
	/** Sides in the order in which they are offered. */
	sides: z.array(z.enum(['both', 'each', 'alternate', 'midline'])).min(1),
	glide: z.enum(['none', 'slide', 'dry']),
	posture: z.enum(idsOf(POSTURES)).default('neutral'),
	breath: z.enum(idsOf(BREATHS)).default('free'),
	by: z.enum(['practitioner', 'client']).default('practitioner'),
	why: TextSchema
});
export type Technique = z.infer<typeof TechniqueSchema>;
