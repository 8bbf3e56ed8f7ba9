import type { Table } from 'dexie';
import { allKinds, kindOf, type KindId } from '../core/records/kinds';
import type { RecordKind, Ref, StoredRecord } from '../core/records/record';
import type { SoftTideDb } from './db';

type Rows = Table<StoredRecord, string>;
const rowsOf = (db: SoftTideDb, kind: RecordKind): Rows => db.table(kind.table) as Rows;

/** Records of a kind that point to this one. */
async function pointing(db: SoftTideDb, kind: RecordKind, ref: Ref<StoredRecord>, to: KindId, id: string) {
	const wanted = ref.to === 'any' ? `${to} ${id}` : id;
	const rows = rowsOf(db, kind);
	const found = ref.index ? await rows.where(ref.index).equals(id).toArray() : await rows.toArray();
	return found.filter((record) => ref.of(record).includes(wanted));
}

/**
 * Removes a record and all that goes with it, as the kinds of records say: what points to it goes too, or forgets it,
 * and what was there only for these goes last. One transaction: all of it or nothing.
 * @returns how many records went
 */
export async function removeRecord(db: SoftTideDb, kind: KindId, id: string): Promise<number> {
	return db.transaction('rw', db.tables, async () => {
		const queue: [KindId, string][] = [[kind, id]];
		const gone = new Set<string>();
		for (let next = queue.shift(); next; next = queue.shift()) {
			const [to, recordId] = next;
			if (gone.has(next.join(' '))) continue;
			gone.add(next.join(' '));
			for (const from of allKinds())
				for (const ref of (from.refs ?? []).filter((r) => r.to === to || r.to === 'any'))
					for (const record of await pointing(db, from, ref, to, recordId))
						if (ref.removed === 'go') queue.push([from.id as KindId, record.id]);
						else await rowsOf(db, from).put(ref.removed(record));
			await rowsOf(db, kindOf(to)).delete(recordId);
		}
		await sweepReferred(db);
		return gone.size;
	});
}

/** Takes away what is there only as long as something points to it, where nothing does. Reads keys where there are some. */
export async function sweepReferred(db: SoftTideDb): Promise<void> {
	for (const kind of allKinds().filter((k) => k.keptWhileReferred)) {
		const wanted = new Set<string>();
		for (const from of allKinds())
			for (const ref of (from.refs ?? []).filter((r) => r.to === kind.id)) {
				if (ref.index)
					for (const key of await rowsOf(db, from).orderBy(ref.index).uniqueKeys()) wanted.add(String(key));
				else await rowsOf(db, from).each((record) => ref.of(record).forEach((id) => wanted.add(id)));
			}
		const there = await rowsOf(db, kind).toCollection().primaryKeys();
		await rowsOf(db, kind).bulkDelete(there.filter((id) => !wanted.has(id)));
	}
}
