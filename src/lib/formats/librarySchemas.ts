import { z } from 'zod';
import { ZONE_IDS } from '../core/atlas/zones';
import { OBSERVATION_IDS } from '../core/assess/registry';
import { MediumSchema } from '../core/medium/medium.schema';
import { GOAL_IDS } from '../core/goal/goals';
import { SchoolSchema, SeveritySchema } from '../core/school/school.schema';
import { SequenceSchema } from '../core/sequence/sequence.schema';
import { TechniqueSchema } from '../core/technique/technique.schema';
import { AIMS, idsOf } from '../core/vocabulary/vocabulary';

const RuleInfoSchema = z.strictObject({
	id: z.string(),
	kind: z.string(),
	title: z.string(),
	why: z.string(),
	severity: SeveritySchema,
	floor: SeveritySchema,
	ceiling: SeveritySchema,
	/** What its fix is called; null where it has none. */
	fix: z.string().nullable(),
	safe: z.boolean()
});
const weights = z.partialRecord(z.enum(ZONE_IDS as [string, ...string[]]), z.number().positive());
const GoalInfoSchema = z.strictObject({
	id: z.enum(GOAL_IDS),
	label: z.string(),
	needs: z.partialRecord(z.enum(idsOf(AIMS)), weights),
	timeOfDay: z.enum(['morning', 'evening', 'any']),
	perWeek: z.number().positive(),
	measure: z.strictObject({
		observe: z.array(z.strictObject({ observation: z.enum(OBSERVATION_IDS), zones: z.array(z.string()) })),
		also: z.string()
	}),
	claim: z.string(),
	/** Ids of the techniques that serve it, the most useful first. */
	techniques: z.array(z.string())
});

const ITEMS = {
	techniques: TechniqueSchema,
	rules: RuleInfoSchema,
	schools: SchoolSchema,
	goals: GoalInfoSchema,
	media: MediumSchema,
	sequences: SequenceSchema
} as const;
export type LibraryKind = keyof typeof ITEMS;
export const LIBRARY_KINDS = Object.keys(ITEMS) as LibraryKind[];

/** The schema of one served list: what it holds, and the version of the core that made it. */
export const librarySchema = (kind: LibraryKind) =>
	z.strictObject({ core: z.string(), kind: z.literal(kind), items: z.array(ITEMS[kind] as z.ZodType) });
