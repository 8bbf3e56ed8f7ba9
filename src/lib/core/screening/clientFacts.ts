import { z } from 'zod';
import { TextSchema } from '../step/common.schema';
import { LimitSchema, MAX_LIMITS } from './limit.schema';

/** What is known of the person in the chair, as far as a sequence is judged by it. */
export const ClientFactsSchema = z.strictObject({
	/** Cautions in the practitioner's own words. */
	cautions: TextSchema.default(''),
	/** What today allows. */
	limits: z.array(LimitSchema).max(MAX_LIMITS).default([])
});
export type ClientFacts = z.infer<typeof ClientFactsSchema>;
