import { z } from 'zod';
import { ClientIdSchema } from '../step/common.schema';
import { RecordFields } from './fields.schema';
import type { RecordKind } from './record';
import { TABLES } from './tables';
import { hashOfBytes } from './hash';

/** Bytes that belong to a client, a photograph say. The id is their hash, so the same bytes are stored once. */
export const BinarySchema = z.strictObject({
	...RecordFields,
	clientId: ClientIdSchema,
	/** What they are, `image/jpeg` for example. */
	type: z.string().min(1).max(100),
	bytes: z.instanceof(Uint8Array)
});
export type Binary = z.infer<typeof BinarySchema>;

export const binaryKind: RecordKind<Binary> = {
	id: 'binary',
	...TABLES.binary,
	title: 'File',
	titles: 'Files',
	what: 'Bytes that belong to a client, checked by their hash.',
	schema: BinarySchema,
	limit: 20_000,
	refs: [{ to: 'client', index: 'clientId', of: (b) => [b.clientId], removed: 'go', must: true }],
	meets: 'first',
	preview: { one: 'file', many: 'files', rest: 'not here yet' },
	nameOf: (b) => `${b.type}, ${b.id.slice(0, 8)}`,
	keptWhileReferred: true,
	problemOf: (b) => (b.id === hashOfBytes(b.bytes) ? null : 'the bytes do not fit their hash: the file is damaged')
};
