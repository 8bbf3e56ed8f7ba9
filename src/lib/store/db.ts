import Dexie, { type EntityTable } from 'dexie';
import { DATA_VERSION } from '../core/records/dataVersion';
import { allKinds, KIND_IDS, kindOf, type KindId, type RecordOf } from '../core/records/kinds';
import { CHAIN, kindsToMigrate, migrateRecord } from '../core/records/migrations/chain';
import type { Emit } from '../core/records/migrations/migration';
import type { Raw } from '../core/records/record';
import { lockOf, type Vault } from './lock/vault';

export type SoftTideDb = Dexie;
export const DB_NAME = 'soft-tide';
export const DEMO_DB_NAME = 'soft-tide-demo';

/** The table of a kind of record. */
export const tableOf = <K extends KindId>(db: SoftTideDb, kind: K): EntityTable<RecordOf<K>, 'id'> =>
	db.table(kindOf(kind).table) as unknown as EntityTable<RecordOf<K>, 'id'>;

/** Hears how many records of an older store are up to date by now, and of how many. */
export type OnUpgrade = (done: number, total: number) => void;

/** Brings every record of an older database up to date, in place; what comes out of one is added. */
async function upgrade(
	tables: { table: (name: string) => Dexie.Table },
	to: number,
	onupgrade: OnUpgrade
): Promise<void> {
	const emitted = new Map<string, Map<string, Raw>>();
	const emit: Emit = (id, made) => {
		const { table } = kindOf(id);
		const known = emitted.get(table) ?? new Map<string, Raw>();
		emitted.set(table, known.set(String(made.id), made));
	};
	const kinds = kindsToMigrate(KIND_IDS, to - 1, to);
	const counts = await Promise.all(kinds.map((kind) => tables.table(kindOf(kind).table).count()));
	const total = counts.reduce((a, b) => a + b, 0);
	let done = 0;
	for (const kind of kinds)
		await tables
			.table(kindOf(kind).table)
			.toCollection()
			.modify((raw: Raw, ref: { value: Raw }) => {
				ref.value = migrateRecord(kind, raw, to - 1, emit, to);
				onupgrade(++done, total);
			});
	for (const [table, made] of emitted) await tables.table(table).bulkPut([...made.values()]);
	onupgrade(total, total);
}

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
		for (const { table, indexes } of allKinds()) {
			const keys = indexes[version];
			if (keys) stores[table] = keys;
		}
		const made = db.version(version).stores(stores);
		if (CHAIN.some((m) => m.to === version)) made.upgrade((tx) => upgrade(tx, version, onupgrade));
	}
	return db;
}
