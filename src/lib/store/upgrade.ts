import type Dexie from 'dexie';
import { KIND_IDS, kindOf } from '../core/records/kinds';
import { CHAIN, kindsToMigrate, migrateRecord } from '../core/records/migrations/chain';
import type { Emit } from '../core/records/migrations/migration';
import type { Raw } from '../core/records/record';
import { tableRow } from '../core/records/tables';
import type { OnUpgrade } from './db';

/** Brings every record of an older database up to date, in place; what comes out of one is added. Fetched only where one is older. */
export async function upgrade(
	tables: { table: (name: string) => Dexie.Table },
	to: number,
	onupgrade: OnUpgrade
): Promise<void> {
	if (!CHAIN.some((m) => m.to === to)) return;
	const emitted = new Map<string, Map<string, Raw>>();
	const emit: Emit = (id, made) => {
		const { table } = tableRow(id);
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
