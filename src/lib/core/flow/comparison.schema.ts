import { z } from 'zod';
import { ZONE_IDS, type ZoneId } from '../atlas/zones';
import { StoredSequenceSchema } from '../sequence/sequence.schema';
import { WorkingSchema } from '../working/working.schema';
import { OUTCOME_IDS, type OutcomeId } from './outcomeIds';
import { FLOW_PARAMETER_NAMES, MAX_DRAWS, type FlowParameterName } from './parameterTable';
import { WHERE_PARTS, type WherePart } from './where';

/** Sequences in one comparison, and zones that can be chosen for it. */
export const MIN_COMPARED = 2;
export const MAX_COMPARED = 6;
/** Zones of the face network: 34 a side. */
const ZONE_COUNT = 2 * ZONE_IDS.length;

/** Middle and spread of a figure over the draws. */
export const SpreadSchema = z.strictObject({ median: z.number(), p5: z.number(), p95: z.number() });

const OutcomeSchema = z.enum(OUTCOME_IDS as [OutcomeId, ...OutcomeId[]]);

const FacesSchema = z.int().min(0).max(MAX_DRAWS);

/** What the draws say of two sequences by one outcome: the first against another one. */
export const OutcomeVerdictSchema = z.strictObject({
	outcome: OutcomeSchema,
	/** Faces in which the first leaves less, and in which it leaves more; in the rest they are the same. */
	lessIn: FacesSchema,
	moreIn: FacesSchema,
	/** How much less the first leaves: ml, and as a share of what the measure holds at the start; null where it was not kept. */
	ml: SpreadSchema,
	ofHeld: SpreadSchema.nullable(),
	/** Whether the middle of the difference is of practical size. */
	practical: z.boolean(),
	/** Parameters with which the winner's lead goes along, and how closely: rank correlation, -1..1. */
	hangsOn: z.array(
		z.strictObject({
			parameter: z.enum(FLOW_PARAMETER_NAMES as [FlowParameterName, ...FlowParameterName[]]),
			rho: z.number().min(-1).max(1)
		})
	)
});

/** Middle, spread and mean: means of parts add up, middles do not. */
export const MeanSpreadSchema = SpreadSchema.extend({ mean: z.number() });
const WhereSchema = z.strictObject(
	Object.fromEntries(WHERE_PARTS.map((w) => [w, MeanSpreadSchema])) as Record<WherePart, typeof MeanSpreadSchema>
);

const byOutcome = <T extends z.ZodType>(schema: T) =>
	z.strictObject(Object.fromEntries(OUTCOME_IDS.map((m) => [m, schema])) as Record<OutcomeId, T>);

/** All figures of a comparison that are worth keeping. */
export const ComparisonResultSchema = z.strictObject({
	draws: z.int().min(1).max(MAX_DRAWS),
	/** Fluid of the whole network at the start, ml. */
	startMl: SpreadSchema,
	/** What each outcome holds at the start, ml; null where it was not kept. */
	holdsMl: byOutcome(SpreadSchema).nullable(),
	/** Of each outcome how much each sequence takes away, ml. */
	falls: byOutcome(z.array(SpreadSchema)),
	/** Of each outcome the first sequence against each other one. */
	verdicts: byOutcome(z.array(OutcomeVerdictSchema)),
	/** Of each outcome, each against each: faces in which the one of the row leaves less; null where it was not kept. */
	matrix: byOutcome(z.array(z.array(FacesSchema))).nullable(),
	/** Where each sequence leaves all fluid, ml; null where it was not kept. */
	where: z.array(WhereSchema).nullable()
});

/** What is asked: everything that the figures depend on. */
export const ComparisonInputSchema = z.strictObject({
	sequences: z
		.array(StoredSequenceSchema)
		.min(MIN_COMPARED, `at least ${MIN_COMPARED} sequences are compared: add one`)
		.max(MAX_COMPARED, `at most ${MAX_COMPARED} sequences are compared: take one out`),
	working: WorkingSchema,
	/** Puffiness grade of each zone at the start, the left side first, in the order of the atlas. */
	grades: z
		.array(z.number().min(0).max(4))
		.length(ZONE_COUNT, `one grade for each of the ${ZONE_COUNT} zones is needed`),
	zones: z.array(z.enum(ZONE_IDS as [ZoneId, ...ZoneId[]])).max(ZONE_IDS.length),
	draws: z.int().min(1).max(MAX_DRAWS),
	seed: z.int().min(0).max(4_294_967_295)
});

export type Spread = z.infer<typeof SpreadSchema>;
export type MeanSpread = z.infer<typeof MeanSpreadSchema>;
export type OutcomeVerdict = z.infer<typeof OutcomeVerdictSchema>;
export type ComparisonResult = z.infer<typeof ComparisonResultSchema>;
export type ComparisonInput = z.infer<typeof ComparisonInputSchema>;
