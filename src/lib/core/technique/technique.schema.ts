import { z } from 'zod';
import { PLACE_IDS, type PlaceId } from '../atlas/places';
import { LevelSchema } from '../step/levels';
import { POINT_CODES } from '../point/codes';
import {
	DoseSchema,
	HoldSchema,
	IdSchema,
	MAX_PLACES,
	PlaceRefSchema,
	SupportSchema,
	TextSchema,
	TitleSchema,
	ToolSchema,
	UntilSchema
} from '../step/common.schema';
import { AIMS, BREATHS, CONTACTS, idsOf, MOTIONS, MOUTHS, POSTURES } from '../step/vocabulary';
import { checkTechnique } from './checkTechnique';

/** A technique: what a step is made from. The user's own travel inside the sequences that use them. */
export const TechniqueSchema = z
	.strictObject({
		id: IdSchema,
		title: TitleSchema,
		aim: z.enum(idsOf(AIMS)),
		contact: z.enum(idsOf(CONTACTS)),
		tool: ToolSchema.optional(),
		motion: z.enum(idsOf(MOTIONS)),
		/** Places on which it may start or stay; empty: everywhere. */
		places: z.array(z.enum(PLACE_IDS as unknown as [PlaceId, ...PlaceId[]])).max(45),
		/** Ways it is usually done, most usual first; one place each for a move that stays. Empty: the user's choice. */
		paths: z.array(z.array(PlaceRefSchema).min(1).max(MAX_PLACES)).max(8).default([]),
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
		mouth: z.enum(idsOf(MOUTHS)).default('closed'),
		eyes: z.enum(['closed', 'open']).default('closed'),
		/** What is cleansed, where the aim is cleanse. */
		target: z.enum(['skin', 'hands', 'tool']).optional(),
		lanes: z.int().min(1).max(12).default(1),
		reverse: z.boolean().default(false),
		/** Stops on every place of the path and presses there. */
		stationHold: HoldSchema.optional(),
		until: UntilSchema.optional(),
		end: z.enum(['none', 'wiggle', 'lift', 'press']).default('none'),
		support: SupportSchema.optional(),
		/** Standard code of the pressure point that is held. */
		point: z.enum(POINT_CODES).optional(),
		/** When to leave it, or what to mind: a sentence each. */
		contra: z.array(z.string().min(1).max(300)).max(12).default([]),
		why: TextSchema
	})
	.superRefine(checkTechnique);
export type Technique = z.infer<typeof TechniqueSchema>;
