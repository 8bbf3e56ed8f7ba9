import { z } from 'zod';
import { ComparisonInputSchema, ComparisonResultSchema } from '../flow/comparison.schema';
import { TitleSchema } from '../step/common.schema';
import { RecordFields } from './fields.schema';
import type { Raw, RecordKind } from './record';
import { TABLES } from './tables';

/** A comparison by the model that was saved: question, answer, and the version of the core that gave it. */
export const ComparisonSchema = z.strictObject({
	...RecordFields,
	title: TitleSchema,
	core: z.string().max(40),
	/** The start in words. */
	start: z.string().max(200),
	input: ComparisonInputSchema,
	result: ComparisonResultSchema
});
export type Comparison = z.infer<typeof ComparisonSchema>;

export const comparisonKind: RecordKind<Comparison> = {
	id: 'comparison',
	...TABLES.comparison,
	title: 'Comparison',
	titles: 'Comparisons',
	what: 'What the flow model said of two or more sequences, with all that it was asked. It names no client.',
	schema: ComparisonSchema,
	limit: 2000,
	sequences: (raw, visit) => {
		const input = raw.input as Raw | undefined;
		return Array.isArray(input?.sequences)
			? { ...raw, input: { ...input, sequences: input.sequences.map((s) => visit.sequence(s)) } }
			: raw;
	},
	meets: 'first',
	preview: { one: 'comparison', many: 'comparisons', rest: 'by the model, not here yet' },
	nameOf: (comparison) => comparison.title
};
