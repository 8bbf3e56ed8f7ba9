import { z } from 'zod';
import { ZONE_IDS, type ZoneId } from '../atlas/zones';
import { StoredSequenceSchema } from '../sequence/sequence.schema';
import { WorkingSchema } from '../working/working.schema';
import { OUTCOME_IDS, type OutcomeId } from './outcomeIds';
import { FLOW_PARAMETER_NAMES, MAX_DRAWS, type FlowParameterName } from './parameterTable';

/** Sequences in one comparison, and zones that can be chosen for it. */
export const MIN_COMPARED = 2;
export const MAX_COMPARED = 6;
/** Zones of the face network: 34 a side. */
const ZONE_COUNT = 2 * ZONE_IDS.length;

/** Middle and spread of a figure over the draws. */
export const SpreadSchema = z.strictObject({ median: z.number(), p5: z.number(), p95: z.number() });

const OutcomeSchema = z.enum(OUTCOME_IDS as [OutcomeId, ...OutcomeId[]]);

/** What the draws say of two sequences by one outcome: the first against another one. */
export const OutcomeVerdictSchema = z.strictObject({
	outcome: OutcomeSchema,
	/** Share of the draws in which the first leaves less, as counted. */
	share: z.number().min(0).max(1),
	/** The share that is shown: per cent, rounded to 5. */
	shownPercent: z.int().min(0).max(100),
	/** How much less the first leaves: ml, and as a share of all fluid at the start. */
	ml: SpreadSchema,
	ofStart: SpreadSchema,
	/** Whether the middle of the difference is of practical size. */
	practical: z.boolean(),
	/** Parameters with which the difference goes along, and how closely: rank correlation, -1..1. */
	hangsOn: z.array(
		z.strictObject({
			parameter: z.enum(FLOW_PARAMETER_NAMES as [FlowParameterName, ...FlowParameterName[]]),
			rho: z.number().min(-1).max(1)
		})
	)
});

const byOutcome = <T extends z.ZodType>(schema: T) =>
	z.strictObject(Object.fromEntries(OUTCOME_IDS.map((m) => [m, schema])) as Record<OutcomeId, T>);

/** All figures of a comparison that are worth keeping. */
export const ComparisonResultSchema = z.strictObject({
	draws: z.int().min(1).max(MAX_DRAWS),
	/** Fluid of the whole network at the start, ml. */
	startMl: SpreadSchema,
	/** Of each outcome how much each sequence takes away, ml. */
	falls: byOutcome(z.array(SpreadSchema)),
	/** Of each outcome the first sequence against each other one. */
	verdicts: byOutcome(z.array(OutcomeVerdictSchema))
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
export type OutcomeVerdict = z.infer<typeof OutcomeVerdictSchema>;
export type ComparisonResult = z.infer<typeof ComparisonResultSchema>;
export type ComparisonInput = z.infer<typeof ComparisonInputSchema>;
