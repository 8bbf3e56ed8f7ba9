import Dexie, { type EntityTable, type Transaction } from 'dexie';
import { DATA_VERSION } from '../core/records/dataVersion';
import type { RecordOf } from '../core/records/kinds';
import { TABLES, tableRow, KIND_IDS, type KindId } from '../core/records/tables';
import { durable } from './durable';
import { LOCK_TABLE, lockOf, type Vault } from './lock/vault';

export type SoftTideDb = Dexie;
export const DB_NAME = 'soft-tide';
export const DEMO_DB_NAME = 'soft-tide-demo';

/** The table of a kind of record. */
export const tableOf = <K extends KindId>(db: SoftTideDb, kind: K): EntityTable<RecordOf<K>, 'id'> =>
	db.table(TABLES[kind].table) as unknown as EntityTable<RecordOf<K>, 'id'>;

/** Since then a locked store keeps what opens it a second time, beside its records. */
const LOCK_SINCE = 15.1;

/** Versions of the store: each of the data, and those that change keys alone. */
const STORE_VERSIONS: readonly number[] = [
	...new Set([
		...Array.from({ length: DATA_VERSION }, (_, i) => i + 1),
		...KIND_IDS.flatMap((id) => Object.keys(tableRow(id).indexes).map(Number)),
		LOCK_SINCE
	])
].sort((a, b) => a - b);

/** Which database it is may be known only once the lock was looked at. @throws {Error} if it is open already */
export function pointTo(db: SoftTideDb, name: string): void {
	if (db.name === name) return;
	if (db.isOpen()) throw new Error(`${db.name} is open already`);
	(db as { name: string }).name = name;
}

/** Hears how many records of an older store are up to date by now, and of how many. */
export type OnUpgrade = (done: number, total: number) => void;

/**
 * Opens nothing yet: Dexie opens at the first query. The name tells the demo practice from the user's own. Tables and
 * their keys come from the kinds of records; one chain brings what is older up to date.
 * @param vault what is known of its lock; without one, rows are seen as they lie there
 */
export function makeDb(name: string, onupgrade: OnUpgrade = () => {}, vault?: Vault): SoftTideDb {
	const db = new Dexie(name);
	db.use(durable);
	if (vault) db.use(lockOf(vault));
	for (const version of STORE_VERSIONS) {
		const stores: Record<string, string> = version === LOCK_SINCE ? { [LOCK_TABLE]: 'id' } : {};
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
