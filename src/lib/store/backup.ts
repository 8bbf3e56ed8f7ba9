import type { Table } from 'dexie';
import { allKinds } from '../core/records/kinds';
import type { StoredRecord } from '../core/records/record';
import type { SomeRows } from '../formats/backup/backupSchema';
import type { Pages } from '../formats/backup/writeBackup';
import type { SoftTideDb } from './db';

/** Records read at a time. */
const PAGE = 500;

/** All records of a database by the page, in the order of their ids. */
export const pagesFrom = (db: SoftTideDb): Pages =>
	async function* (kind) {
		const table = db.table(kind.table) as Table<StoredRecord, string>;
		let after = '';
		for (;;) {
			const page = await table.where('id').above(after).limit(PAGE).toArray();
			if (!page.length) return;
			yield page;
			after = page.at(-1)!.id;
		}
	};

/** All records of a database, in memory. */
export async function everything(db: SoftTideDb): Promise<SomeRows> {
	const rows = await Promise.all(allKinds().map(async (k) => [k.id, await db.table(k.table).toArray()] as const));
	return Object.fromEntries(rows) as SomeRows;
}
