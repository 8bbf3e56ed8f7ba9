import { RECORD_KINDS } from './kindTable';
import type { RecordKind, StoredRecord } from './record';
import { KIND_IDS, type KindId } from './tables';

export { KIND_IDS, type KindId } from './tables';
export type RecordOf<K extends KindId> = (typeof RECORD_KINDS)[K] extends RecordKind<infer T> ? T : never;

/** What is known of a kind, whatever its record looks like. */
export const kindOf = (id: KindId): RecordKind<StoredRecord> => RECORD_KINDS[id] as unknown as RecordKind<StoredRecord>;
export const allKinds = (): readonly RecordKind<StoredRecord>[] => KIND_IDS.map(kindOf);
