import { kindOf, type KindId, type RecordOf } from '../core/records/kinds';
import { stamped, type RecordKind, type StoredRecord } from '../core/records/record';
import type { SecondVersion } from '../core/records/secondVersion';
import { tableOf, type SoftTideDb } from './db';
import { RecordGone } from './recordGone';
import { sweepReferred } from './removeRecord';

/**
 * What became of a save. It stands, or, where something else was stored meanwhile, it is kept as a second version beside that:
 * whoever saves says which, and goes on in the second version until one of the two is chosen.
 */
export type Saved<T> =
	| { readonly outcome: 'saved'; readonly record: T }
	| { readonly outcome: 'second-version'; readonly record: T; readonly secondId: string };

export interface Stamp {
	readonly now: string;
	readonly newId: () => string;
}

/** A record kept beside another one of its kind. */
export const secondVersionOf = (kind: KindId, record: StoredRecord, stamp: Stamp): SecondVersion => ({
	id: stamp.newId(),
	revision: 1,
	updatedAt: stamp.now,
	kind,
	recordId: record.id,
	savedAt: stamp.now,
	record
});

/** Keeps a record in a second version of its own, or in the one that is open for it. @returns the id of that */
async function putBeside(
	db: SoftTideDb,
	kind: KindId,
	record: StoredRecord,
	stamp: Stamp,
	open: SecondVersion | undefined
): Promise<string> {
	const second = { ...secondVersionOf(kind, record, stamp), ...(open ? { id: open.id } : {}) };
	await tableOf(db, 'second-version').put(second);
	return second.id;
}

/**
 * Saves a record whose revision says what it was made from. A save from an older revision never overwrites.
 * @param draft checked here against the schema of its kind; revision 0 is a new record
 * @param onto the second version in which the draft is kept by now, as long as no choice was made
 * @returns the record as stored, with its new revision
 * @throws {ZodError} if the draft is not valid; RecordGone if it was stored and is no more; nothing is stored then
 */
export async function saveRecord<K extends KindId>(
	db: SoftTideDb,
	id: K,
	draft: unknown,
	stamp: Stamp,
	onto: string | null = null
): Promise<Saved<RecordOf<K>>> {
	const kind = kindOf(id);
	const table = tableOf(db, id) as unknown as Saving;
	const seconds = tableOf(db, 'second-version');
	const owners = (kind.refs ?? []).filter((r) => r.must).map((r) => kindOf(r.to as KindId));
	return db.transaction('rw', [db.table(kind.table), seconds, ...owners.map((o) => db.table(o.table))], async () => {
		const given = kind.schema.parse(draft);
		const known = await table.get(given.id);
		const owner = await missingOwner(db, kind, given);
		if (owner || (!known && given.revision > 0)) throw new RecordGone(kind.title, owner);
		const stored = stamped(kind, given, given.revision + 1, stamp.now);
		const record = stored as unknown as RecordOf<K>;
		const open = onto === null ? undefined : await seconds.get(onto);
		if (open || (known !== undefined && known.revision !== given.revision))
			return { outcome: 'second-version', record, secondId: await putBeside(db, id, stored, stamp, open) };
		await table.put(stored);
		return { outcome: 'saved', record };
	});
}

/** Keeps a record beside the stored one of its id, whatever its revision: in a second version of its own, or in the one that is open. */
export async function keepBeside<K extends KindId>(
	db: SoftTideDb,
	id: K,
	draft: unknown,
	stamp: Stamp,
	onto: string | null
): Promise<Saved<RecordOf<K>>> {
	const kind = kindOf(id);
	const given = kind.schema.parse(draft);
	const record = stamped(kind, given, given.revision, stamp.now);
	const seconds = tableOf(db, 'second-version');
	return db.transaction('rw', seconds, async () => {
		const open = onto === null ? undefined : await seconds.get(onto);
		const secondId = await putBeside(db, id, record, stamp, open);
		return { outcome: 'second-version', record: record as unknown as RecordOf<K>, secondId };
	});
}

/** The title of what a record must belong to and what is not there; null where all is. */
async function missingOwner(db: SoftTideDb, kind: RecordKind, record: StoredRecord): Promise<string | null> {
	for (const ref of (kind.refs ?? []).filter((r) => r.must)) {
		const { table, title } = kindOf(ref.to as KindId);
		for (const id of ref.of(record))
			if (!(await (db.table(table) as unknown as Saving).get(id))) return title.toLowerCase();
	}
	return null;
}

interface Saving {
	get(id: string): Promise<StoredRecord | undefined>;
	put(record: StoredRecord): Promise<unknown>;
}

/** Which of two versions goes on. */
export type Choice = 'stored' | 'second' | 'both';

/**
 * Settles two versions of a record: the chosen one stands, with a revision above both; with `both`, the other becomes a
 * sequence of its own.
 * @throws {Error} if both are wanted of anything but a sequence
 */
export async function settleVersions(
	db: SoftTideDb,
	second: SecondVersion,
	choice: Choice,
	stamp: Stamp
): Promise<void> {
	if (choice === 'both' && second.kind !== 'sequence')
		throw new Error(`only of a sequence both versions go on: ${second.kind}`);
	const kind = kindOf(second.kind as KindId);
	const table = db.table(kind.table) as unknown as Saving;
	await db.transaction('rw', db.tables, async () => {
		const stored = await table.get(second.recordId);
		const revision = Math.max(stored?.revision ?? 0, second.record.revision) + 1;
		if (choice === 'second') await table.put(stamped(kind, second.record, revision, stamp.now));
		if (choice === 'both') {
			const other = second.record as RecordOf<'sequence'>;
			const id = stamp.newId();
			const title = `${other.sequence.title} (second version)`.slice(0, 200);
			await tableOf(db, 'sequence').put({
				...other,
				id,
				updatedAt: stamp.now,
				sequence: { ...other.sequence, id, title }
			});
		}
		await tableOf(db, 'second-version').delete(second.id);
		await sweepReferred(db);
	});
}
