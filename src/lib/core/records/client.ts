import { z } from 'zod';
import { TextSchema, TitleSchema } from '../step/common.schema';
import { RecordFields, type RecordKind } from './record';

/** A person in the chair: a code or a name, as the user likes. */
export const ClientSchema = z.strictObject({
	...RecordFields,
	name: TitleSchema,
	/** What the practitioner wants to read before each session: cautions in her own words. */
	cautions: TextSchema.default(''),
	note: TextSchema.default(''),
	archived: z.boolean().default(false)
});
export type Client = z.infer<typeof ClientSchema>;

export const clientKind: RecordKind<Client> = {
	id: 'client',
	table: 'clients',
	title: 'Client',
	titles: 'Clients',
	what: 'A person in the chair, by a name or a code, with what to mind.',
	schema: ClientSchema,
	indexes: { 1: 'id, name, updatedAt' },
	limit: 10_000,
	meets: 'beside',
	preview: 'listed',
	nameOf: (client) => client.name,
	facts: (client) => [
		['Name', client.name],
		['Client alert', client.cautions],
		['Note', client.note],
		['Archived', client.archived ? 'yes' : 'no']
	]
};
