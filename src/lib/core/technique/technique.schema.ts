import { z } from 'zod';
import { isNode, PLACE_IDS, placeOf, type PlaceId } from '../atlas/places';
import { DEFAULT_TECHNIQUE } from './defaultTechnique';
import {
	LevelSchema,
	DoseSchema,
	HoldSchema,
	IdSchema,
	PartSchema,
	PlaceRefSchema,
	SupportSchema,
	TextSchema,
	TitleSchema,
	ToolSchema,
	UntilSchema
} from '../step/common.schema';
import { MAX_PARTS, MAX_PLACES } from '../step/sizes';
import { POINT_CODES } from '../point/codes';
import {
	AIMS,
	BREATHS,
	CONTACTS,
	idsOf,
	isStationary,
	motionRow,
	MOTIONS,
	MOUTHS,
	POSTURES,
	toolRow
} from '../vocabulary/vocabulary';

/** A technique: what a step is made from. The user's own travel inside the sequences that use them. */
const TechniqueFieldsSchema = z.strictObject({
	id: IdSchema,
	title: TitleSchema,
	aim: z.enum(idsOf(AIMS)),
	contact: z.enum(idsOf(CONTACTS)),
	tool: ToolSchema.optional(),
	motion: z.enum(idsOf(MOTIONS)),
	/** Places on which it may start or stay; empty: everywhere. */
	places: z.array(z.enum(PLACE_IDS as unknown as [PlaceId, ...PlaceId[]])).max(45),
	/** Ways it is usually done, most usual first; one place each for a move that stays. Empty: the user's choice. */
	paths: z.array(z.array(PlaceRefSchema).min(1).max(MAX_PLACES)).max(8).default(DEFAULT_TECHNIQUE.paths),
	/** `stroke` needs a start and an end, `spot` stays where it is, `none` touches no place. */
	shape: z.enum(['spot', 'stroke', 'none']),
	pressure: z.strictObject({ min: LevelSchema, default: LevelSchema, max: LevelSchema }),
	dose: DoseSchema,
	paceSeconds: z.number().min(0.1).max(120),
	/** Sides in the order in which they are offered. */
	sides: z.array(z.enum(['both', 'each', 'alternate', 'midline'])).min(1),
	glide: z.enum(['none', 'slide', 'dry']),
	posture: z.enum(idsOf(POSTURES)).default(DEFAULT_TECHNIQUE.posture),
	breath: z.enum(idsOf(BREATHS)).default(DEFAULT_TECHNIQUE.breath),
	by: z.enum(['practitioner', 'client']).default(DEFAULT_TECHNIQUE.by),
	mouth: z.enum(idsOf(MOUTHS)).default(DEFAULT_TECHNIQUE.mouth),
	eyes: z.enum(['closed', 'open']).default(DEFAULT_TECHNIQUE.eyes),
	/** What is cleansed, where the aim is cleanse. */
	target: z.enum(['skin', 'hands', 'tool']).optional(),
	lanes: z.int().min(1).max(12).default(DEFAULT_TECHNIQUE.lanes),
	reverse: z.boolean().default(DEFAULT_TECHNIQUE.reverse),
	/** Stops on every place of the path and presses there. */
	stationHold: HoldSchema.optional(),
	until: UntilSchema.optional(),
	end: z.enum(['none', 'wiggle', 'lift', 'press']).default(DEFAULT_TECHNIQUE.end),
	support: SupportSchema.optional(),
	/** Standard code of the pressure point that is held. */
	point: z.enum(POINT_CODES).optional(),
	/** Over several places: the dose at each of them, or over all together. */
	doseAt: z.enum(['each-place', 'over-all']).optional(),
	/** Further strokes of every repetition. */
	parts: z.array(PartSchema).min(1).max(MAX_PARTS).optional(),
	/** How far it goes to and fro, mm. */
	amplitudeMm: z.number().min(0.5).max(100).optional(),
	/** How it is done, in short lines: where the hands lie, what it should feel like, the usual mistake. */
	how: z.array(z.string().min(1).max(200)).max(5).default(DEFAULT_TECHNIQUE.how),
	/** When to leave it, or what to mind: a sentence each. */
	contra: z.array(z.string().min(1).max(300)).max(12).default(DEFAULT_TECHNIQUE.contra),
	why: TextSchema
});
export type Technique = z.infer<typeof TechniqueFieldsSchema>;

/** What a JSON Schema cannot say about a technique: parts that contradict each other, each named with its remedy. */
function checkTechnique(technique: Technique, ctx: z.core.$RefinementCtx<Technique>): void {
	const problem = (path: (string | number)[], message: string) => ctx.addIssue({ code: 'custom', path, message });
	const { dose, pressure, tool, contact, shape, motion } = technique;
	if (!(dose.min <= dose.target && dose.target <= dose.max))
		problem(['dose'], `min ≤ target ≤ max is needed: ${dose.min}, ${dose.target}, ${dose.max}`);
	if (!(pressure.min <= pressure.default && pressure.default <= pressure.max))
		problem(
			['pressure'],
			`min ≤ default ≤ max is needed: ${pressure.min}, ${pressure.default}, ${pressure.max}; put the default between the two`
		);
	if ((contact === 'tool') !== (tool !== undefined && !toolRow(tool.id).worn))
		problem(
			['tool'],
			'a tool is needed where a tool touches the skin, and only there (gloves aside): choose both or neither'
		);
	if (tool?.edge && !toolRow(tool.id).edged)
		problem(['tool', 'edge'], `only a stone plate has edges: leave the edge out for ${tool.id}`);
	if (shape === 'stroke' && isStationary(motion))
		problem(['motion'], `${motion} stays where it is: choose a sliding motion, or let the technique stay on one place`);
	if (shape !== 'stroke' && (technique.lanes > 1 || technique.reverse) && !motionRow(motion).asks.includes('reverse'))
		problem(['lanes'], 'lanes and the way back belong to strokes: set one lane and no way back, or make it a stroke');
	if (technique.target && technique.aim !== 'cleanse')
		problem(['target'], 'a target belongs to the aim cleanse only: leave it out');
	technique.paths.forEach((path, i) => {
		if (shape === 'stroke' && path.length < 2)
			problem(['paths', i], 'a stroke needs at least two places: add where it ends');
		if (motionRow(motion).opens && !path.every((ref) => isNode(placeOf(ref))))
			problem(['paths', i], 'a pump stays on node groups: choose places such as the collarbone nodes');
	});
}

export const TechniqueSchema = TechniqueFieldsSchema.superRefine(checkTechnique);
