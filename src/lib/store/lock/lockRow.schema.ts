import { z } from 'zod';
import { IDLE_MINUTES } from './lockRow';

const BytesSchema = z.instanceof(Uint8Array) as unknown as z.ZodType<Uint8Array<ArrayBuffer>>;
export const LockRowSchema = z.strictObject({
	/** Name of the database that it is the lock of. */
	id: z.string(),
	/** How far it is put on or taken off: a browser that ends in between goes on where it was. */
	state: z.enum(['sealing', 'sealed', 'unsealing']),
	wrapped: z.strictObject({ salt: BytesSchema, rounds: z.int().min(1), iv: BytesSchema, data: BytesSchema }),
	since: z.iso.datetime(),
	idleMinutes: z.literal([...IDLE_MINUTES]),
	/** Wrong passphrases since the last right one, and when the last of them was. */
	failed: z.int().min(0),
	failedAt: z.iso.datetime().nullable()
});
export type LockRow = z.infer<typeof LockRowSchema>;
