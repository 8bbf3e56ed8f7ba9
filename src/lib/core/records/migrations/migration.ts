import type { KindId } from '../kinds';
import type { Raw } from '../record';

/** Hands over a record of another kind that came out of this one. */
export type Emit = (kind: KindId, record: Raw) => void;

/**
 * A step of the data from the version before to this one: what becomes of each kind of record that changed its shape. The
 * record that a second version holds goes through the same step by itself.
 */
export interface RecordMigration {
	readonly to: number;
	readonly name: string;
	readonly records: Partial<Record<KindId, (raw: Raw, emit: Emit) => Raw>>;
}
