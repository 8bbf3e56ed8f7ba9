import type { KindId } from '../kinds';
import type { Raw } from '../record';

/** Hands over a record of another kind that came out of this one. */
export type Emit = (kind: KindId, record: Raw) => void;
/** Brings a record that another one holds to the same version. */
export type Inner = (kind: string, raw: Raw, emit: Emit) => Raw;

/** A step of the data from the version before to this one: what becomes of each kind of record that changed its shape. */
export interface RecordMigration {
	readonly to: number;
	readonly name: string;
	readonly records: Partial<Record<KindId, (raw: Raw, emit: Emit, migrate: Inner) => Raw>>;
}
