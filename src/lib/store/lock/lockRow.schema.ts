import { z } from 'zod';
import { IDLE_MINUTES } from './lockRow';

const BytesSchema = z.instanceof(Uint8Array) as unknown as z.ZodType<Uint8Array<ArrayBuffer>>;
const SealedSchema = z.strictObject({ iv: BytesSchema, data: BytesSchema });
const WrappedKeySchema = z.strictObject({ ...SealedSchema.shape, salt: BytesSchema, rounds: z.int().min(1) });
/** What opens a sealed database: its key, and the key by which names that are made of content are written. */
const OpenerSchema = z.strictObject({ wrapped: WrappedKeySchema, names: SealedSchema });
export type Opener = z.infer<typeof OpenerSchema>;

const UseSchema = {
	/** Name of the practice’s own database: that which holds it while there is no lock. */
	id: z.string(),
	since: z.iso.datetime(),
	idleMinutes: z.literal([...IDLE_MINUTES]),
	/** Wrong passphrases since the last right one, and when the last of them was. */
	failed: z.int().min(0),
	failedAt: z.iso.datetime().nullable()
};

/**
 * A lock. All records are sealed into a database of their own; the one before is then deleted whole. It is kept twice: in a
 * database of its own, and in that of the records.
 */
export const LockRowSchema = z.strictObject({
	...UseSchema,
	format: z.literal(2),
	/** Grows with each write: of two that differ the higher one holds. */
	revision: z.int().min(1),
	/** The database in which the records are. */
	database: z.string(),
	/** What opens it; null: it is plain. */
	by: OpenerSchema.nullable(),
	/** Where they are being taken, and what will open them there; null: they stay. A browser that ends in between goes on. */
	move: z
		.strictObject({
			to: z.string(),
			by: OpenerSchema.nullable(),
			/** Each key sealed by the other: either passphrase goes on. */
			keys: z.strictObject({ next: SealedSchema, before: SealedSchema }).nullable(),
			/** Records that cannot be opened any more may stay behind. */
			leaveOut: z.boolean()
		})
		.nullable(),
	/** Databases that hold nothing any more, to be deleted. */
	trash: z.array(z.string())
});
export type LockRow = z.infer<typeof LockRowSchema>;

/** As an earlier version put it on: records sealed in the database in which they lay. */
const EarlierLockSchema = z.strictObject({
	...UseSchema,
	state: z.enum(['sealing', 'sealed', 'unsealing']),
	wrapped: WrappedKeySchema
});
export type EarlierLock = z.infer<typeof EarlierLockSchema>;

/** @throws {ZodError} if it cannot be read any more */
export function readRow(raw: unknown): LockRow | EarlierLock {
	const earlier = EarlierLockSchema.safeParse(raw);
	return earlier.success ? earlier.data : LockRowSchema.parse(raw);
}
