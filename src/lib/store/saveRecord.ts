import type { EntityTable } from 'dexie';
import type { SecondVersion, SoftTideDb, StoredSequence } from './db';
import type { Client, Session } from '../core/measure/records.schema';
import type { CustomRecord } from '../core/own/own.schema';

export interface Saved<T> {
	readonly record: T;
	/** True where an older revision was saved: the record stands as a second version, nothing was overwritten. */
	readonly second: boolean;
}

export interface Stamp {
	readonly now: string;
	readonly newId: () => string;
}

type Kind = SecondVersion['kind'];

type PlainKind = Exclude<Kind, 'sequence'>;
export type PlainRecord = Client | Session | CustomRecord;

/** The table of each kind of record that is stored as it is. */
export function tableOf(db: SoftTideDb, kind: PlainKind): EntityTable<PlainRecord, 'id'> {
	const tables = {
		client: db.clients,
		session: db.sessions,
		technique: db.techniques,
		school: db.schools,
		medium: db.media
	};
	return tables[kind] as unknown as EntityTable<PlainRecord, 'id'>;
}

/**
 * Saves a record whose revision says what it was made from. A save from an older revision never overwrites.
 * @returns the record as stored, with its new revision
 */
export async function saveRecord<T extends PlainRecord>(
	db: SoftTideDb,
	kind: PlainKind,
	draft: T,
	stamp: Stamp
): Promise<Saved<T>> {
	const table = tableOf(db, kind);
	return db.transaction('rw', [table, db.secondVersions], async () => {
		const known = await table.get(draft.id);
		const record = { ...draft, revision: draft.revision + 1, updatedAt: stamp.now };
		if (known && known.revision !== draft.revision) {
			const { id: recordId } = draft;
			await db.secondVersions.put({ id: stamp.newId(), kind, recordId, savedAt: stamp.now, record });
			return { record, second: true };
		}
		await table.put(record);
		return { record, second: false };
	});
}

/** The same for a sequence, which is stored with its history. */
export async function saveSequence(
	db: SoftTideDb,
	draft: Pick<StoredSequence, 'sequence' | 'history'>,
	stamp: Stamp
): Promise<Saved<StoredSequence>> {
	return db.transaction('rw', [db.sequences, db.secondVersions], async () => {
		const known = await db.sequences.get(draft.sequence.id);
		const sequence = { ...draft.sequence, revision: draft.sequence.revision + 1, updatedAt: stamp.now };
		const record: StoredSequence = {
			id: sequence.id,
			updatedAt: stamp.now,
			sequence,
			history: draft.history,
			...(known?.archived ? { archived: true } : {})
		};
		if (known && known.sequence.revision !== draft.sequence.revision) {
			const kind = 'sequence' as const;
			await db.secondVersions.put({
				id: stamp.newId(),
				kind,
				recordId: record.id,
				savedAt: stamp.now,
				record
			});
			return { record, second: true };
		}
		await db.sequences.put(record);
		return { record, second: false };
	});
}

/**
 * Settles two versions of a sequence: the chosen one stands from now on, the other becomes a sequence of its own
 * if it is to be kept.
 */
export async function settleSequence(
	db: SoftTideDb,
	second: SecondVersion,
	choice: 'stored' | 'second' | 'both',
	stamp: Stamp
): Promise<void> {
	await db.transaction('rw', [db.sequences, db.secondVersions], async () => {
		const other = second.record as StoredSequence;
		const stored = await db.sequences.get(second.recordId);
		const revision = Math.max(stored?.sequence.revision ?? 0, other.sequence.revision) + 1;
		if (choice === 'second')
			await db.sequences.put({ ...other, sequence: { ...other.sequence, revision }, updatedAt: stamp.now });
		if (choice === 'both') {
			const id = stamp.newId();
			const title = `${other.sequence.title} (second version)`.slice(0, 200);
			await db.sequences.put({
				...other,
				id,
				sequence: { ...other.sequence, id, title },
				updatedAt: stamp.now
			});
		}
		await db.secondVersions.delete(second.id);
	});
}

/** Settles two versions of a client or a session: the chosen one stands, with a revision above both. */
export async function settleRecord(
	db: SoftTideDb,
	second: SecondVersion,
	choice: 'stored' | 'second',
	stamp: Stamp
): Promise<void> {
	if (second.kind === 'sequence') throw new Error('a sequence is settled by settleSequence');
	const table = tableOf(db, second.kind);
	await db.transaction('rw', [table, db.secondVersions], async () => {
		const other = second.record as PlainRecord;
		const stored = await table.get(second.recordId);
		const revision = Math.max(stored?.revision ?? 0, other.revision) + 1;
		if (choice === 'second') await table.put({ ...other, revision, updatedAt: stamp.now });
		await db.secondVersions.delete(second.id);
	});
}
