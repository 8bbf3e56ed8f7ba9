import { RECORD_KINDS } from './kindTable';
import type { RecordKind, StoredRecord } from './record';

export type KindId = keyof typeof RECORD_KINDS;
export type RecordOf<K extends KindId> = (typeof RECORD_KINDS)[K] extends RecordKind<infer T> ? T : never;
/** Kinds that lie in a table under the id with which they are saved. */
export const KIND_IDS = Object.keys(RECORD_KINDS) as KindId[];

/** What is known of a kind, whatever its record looks like. */
export const kindOf = (id: KindId): RecordKind<StoredRecord> => RECORD_KINDS[id] as unknown as RecordKind<StoredRecord>;
export const allKinds = (): readonly RecordKind<StoredRecord>[] => KIND_IDS.map(kindOf);
