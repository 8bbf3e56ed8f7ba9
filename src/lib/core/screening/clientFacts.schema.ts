import { z } from 'zod';
import { PreferencesSchema } from '../client/person.schema';
import { TextSchema } from '../step/common.schema';
import { MAX_LIMITS } from './limit';
import { LimitSchema } from './limit.schema';

/** What is known of the person in the chair, as far as a sequence is judged by it. */
export const ClientFactsSchema = z.strictObject({
	/** Cautions in the practitioner's own words. */
	cautions: TextSchema.default(''),
	/** What today allows. */
	limits: z.array(LimitSchema).max(MAX_LIMITS).default([]),
	/** How she likes it. */
	wishes: PreferencesSchema.nullable().default(null)
});
export type ClientFacts = z.infer<typeof ClientFactsSchema>;
