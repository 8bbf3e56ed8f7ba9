import Dexie, { type EntityTable, type Transaction } from 'dexie';
import { DATA_VERSION } from '../core/records/dataVersion';
import type { RecordOf } from '../core/records/kinds';
import { TABLES, tableRow, KIND_IDS, type KindId } from '../core/records/tables';
import { lockOf, type Vault } from './lock/vault';

export type SoftTideDb = Dexie;
export const DB_NAME = 'soft-tide';
export const DEMO_DB_NAME = 'soft-tide-demo';

/** The table of a kind of record. */
export const tableOf = <K extends KindId>(db: SoftTideDb, kind: K): EntityTable<RecordOf<K>, 'id'> =>
	db.table(TABLES[kind].table) as unknown as EntityTable<RecordOf<K>, 'id'>;

/** Hears how many records of an older store are up to date by now, and of how many. */
export type OnUpgrade = (done: number, total: number) => void;

/**
 * Opens nothing yet: Dexie opens at the first query. The name tells the demo practice from the user's own. Tables and
 * their keys come from the kinds of records; one chain brings what is older up to date.
 * @param vault what is known of its lock; without one, rows are seen as they lie there
 */
export function makeDb(name: string, onupgrade: OnUpgrade = () => {}, vault?: Vault): SoftTideDb {
	const db = new Dexie(name);
	if (vault) db.use(lockOf(vault));
	for (let version = 1; version <= DATA_VERSION; version++) {
		const stores: Record<string, string> = {};
		for (const { table, indexes } of KIND_IDS.map(tableRow)) {
			const keys = indexes[version];
			if (keys) stores[table] = keys;
		}
		const upgraded = async (tx: Transaction) => {
			// The transaction is kept open until what knows the older shapes has been fetched.
			const { upgrade } = await Dexie.waitFor(import('./upgrade'));
			await upgrade(tx, version, onupgrade);
		};
		db.version(version).stores(stores).upgrade(upgraded);
	}
	return db;
}
