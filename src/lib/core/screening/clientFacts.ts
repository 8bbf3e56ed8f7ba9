import { z } from 'zod';
import type { Day } from '../client/days';
import { PreferencesSchema, type Preferences } from '../client/person.schema';
import { TextSchema } from '../step/common.schema';
import { LimitSchema, MAX_LIMITS } from './limit.schema';
import { limitsOn, type Screened } from './limits';

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

/** What is known of a client who is on record, on a calendar day of the practice. */
export const factsOf = (
	client: (Screened & { readonly cautions: string; readonly preferences?: Preferences }) | null,
	today: Day
): ClientFacts | null =>
	client && {
		cautions: client.cautions,
		limits: limitsOn(client, today).slice(0, MAX_LIMITS),
		wishes: client.preferences ?? null
	};
