import type { Table } from 'dexie';
import { allKinds } from '../core/records/kinds';
import type { StoredRecord } from '../core/records/record';
import type { SomeRows } from '../formats/backup/backupSchema';
import type { Pages } from '../formats/backup/writeBackup';
import type { SoftTideDb } from './db';

/** Records read at a time. */
const PAGE = 500;
/** Records with bytes that are read or written at a time: more are too much for a memory. */
export const PAGE_OF_BYTES = 8;

/** All records of a database by the page, in the order of their ids. */
export const pagesFrom = (db: SoftTideDb): Pages =>
	async function* (kind) {
		const table = db.table(kind.table) as Table<StoredRecord, string>;
		const most = kind.bytes ? PAGE_OF_BYTES : PAGE;
		let after = '';
		for (;;) {
			// By their keys: one that cannot be opened is absent, and does not end the list.
			const keys = await table.where('id').above(after).limit(most).primaryKeys();
			if (!keys.length) return;
			const page = (await table.bulkGet(keys)).filter((record) => record !== undefined);
			if (page.length) yield page;
			after = keys.at(-1)!;
		}
	};

/** All records of a database, in memory. */
export async function everything(db: SoftTideDb): Promise<SomeRows> {
	const rows = await Promise.all(allKinds().map(async (k) => [k.id, await db.table(k.table).toArray()] as const));
	return Object.fromEntries(rows) as SomeRows;
}
