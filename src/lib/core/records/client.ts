import { z } from 'zod';
import { PersonFields } from '../client/person.schema';
import { TextSchema, TitleSchema, ClientIdSchema } from '../step/common.schema';
import { plainFacts } from './facts';
import { RecordFields } from './fields.schema';
import type { RecordKind } from './record';
import { TABLES } from './tables';

/** A person in the chair: a code or a name, as the user likes. */
export const ClientSchema = z.strictObject({
	...RecordFields,
	id: ClientIdSchema,
	name: TitleSchema,
	/** What the practitioner wants to read before each session: cautions in her own words. */
	cautions: TextSchema.default(''),
	note: TextSchema.default(''),
	archived: z.boolean().default(false),
	...PersonFields
});
export type Client = z.infer<typeof ClientSchema>;
/** Fields of a client, or what is made of them as they are stored. */
export type ClientChange = Partial<Client> | ((stored: Client) => Partial<Client>);
/** What was seen when it was changed: fields as they were, or whether what is stored is something else by now. */
export type ClientSeen = Partial<Client> | ((stored: Client) => boolean);

/** What is known of her besides name, alert and note. */
const personOf = ({
	id: _i,
	revision: _r,
	updatedAt: _u,
	name: _n,
	cautions: _c,
	note: _o,
	archived: _a,
	...person
}: Client) => person;

export const clientKind: RecordKind<Client> = {
	id: 'client',
	...TABLES.client,
	title: 'Client',
	titles: 'Clients',
	what: 'A person in the chair, by a name or a code: answers, marks, clearances, wishes, consent.',
	schema: ClientSchema,
	limit: 10_000,
	meets: 'beside',
	preview: 'listed',
	nameOf: (client) => client.name,
	facts: (client) => [
		['Name', client.name],
		['Client alert', client.cautions],
		['Note', client.note],
		['Archived', client.archived ? 'yes' : 'no'],
		...plainFacts(personOf(client))
	]
};
