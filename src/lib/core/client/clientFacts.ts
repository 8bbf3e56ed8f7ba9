import { z } from 'zod';
import { TextSchema } from '../step/common.schema';

/** What is known of the person in the chair, as far as a sequence is judged by it. */
export const ClientFactsSchema = z.strictObject({
	/** Cautions in the practitioner's own words. */
	cautions: TextSchema.default('')
});
export type ClientFacts = z.infer<typeof ClientFactsSchema>;

/** What is known of a client who is on record. */
export const factsOf = (client: { readonly cautions: string } | null): ClientFacts | null =>
	client && { cautions: client.cautions };
