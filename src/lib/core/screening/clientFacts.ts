import type { Day } from '../client/days';
import type { Preferences } from '../client/person.schema';
import type { ClientFacts } from './clientFacts.schema';
import { MAX_LIMITS } from './limit';
import { limitsOn, type Screened } from './limits';

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
