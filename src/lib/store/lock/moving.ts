import Dexie, { type Table } from 'dexie';
import { dequal } from 'dequal';
import { allKinds } from '../../core/records/kinds';
import type { StoredRecord } from '../../core/records/record';
import { pagesFrom } from '../backup';
import { makeDb, type SoftTideDb } from '../db';
import { copyOf } from './lockRow';
import { RowsDamaged, Vault, type Hold, type RecordDamaged } from './vault';

type Rows = Table<StoredRecord, string>;
/** Hears how many more rows were looked at. */
export type OnRows = (count: number) => void;

/** A database, and how its records are held. */
export interface Place {
	readonly name: string;
	readonly hold: Hold;
}

/** A row without fields that have no value: what text cannot hold is not there. */
const plainly = (value: unknown): unknown => {
	if (Array.isArray(value)) return value.map(plainly);
	if (typeof value !== 'object' || value === null || value instanceof Uint8Array) return value;
	return Object.fromEntries(Object.entries(value).flatMap(([k, v]) => (v === undefined ? [] : [[k, plainly(v)]])));
};

function opened({ name, hold }: Place): { readonly db: SoftTideDb; readonly vault: Vault } {
	const vault = new Vault();
	vault.hold = hold;
	return { db: makeDb(name, undefined, vault), vault };
}

/** Takes over what is not there yet or is otherwise, and takes away what is no more. @returns how many rows were not the same */
async function takeOver(from: SoftTideDb, to: SoftTideDb, onrows: OnRows): Promise<number> {
	let turned = 0;
	for (const kind of allKinds()) {
		const there = to.table(kind.table) as Rows;
		const ids = new Set<string>();
		for await (const rows of pagesFrom(from)(kind)) {
			for (const { id } of rows) ids.add(id);
			const known = await there.bulkGet(rows.map((row) => row.id));
			const other = rows.filter((row, i) => !known[i] || !dequal(plainly(row), plainly(known[i])));
			if (other.length) await there.bulkPut(other);
			turned += other.length;
			onrows(rows.length);
		}
		if ((await there.count()) <= ids.size) continue;
		for await (const rows of pagesFrom(to)(kind)) {
			const gone = rows.filter((row) => !ids.has(row.id)).map((row) => row.id);
			await there.bulkDelete(gone);
			turned += gone.length;
		}
	}
	return turned;
}

/**
 * Takes all records of a database into another one, held in another way. Gone through until both are the same: what came is
 * read back from where it lies, and another window may still have written. Can be broken off anywhere and called again.
 * @param leaveOut records that cannot be opened stay behind
 * @returns those that stayed behind
 * @throws {RowsDamaged} if there are such and they may not; what the database throws
 */
export async function moveStore(
	from: Place,
	to: Place,
	{ onrows = () => {}, leaveOut = false }: { readonly onrows?: OnRows | undefined; readonly leaveOut?: boolean } = {}
): Promise<readonly RecordDamaged[]> {
	const [source, target] = [opened(from), opened(to)];
	const damaged: RecordDamaged[] = [];
	source.vault.ondamaged = (row) => damaged.push(row);
	try {
		for (;;) {
			const turned = await takeOver(source.db, target.db, onrows);
			if (damaged.length && !leaveOut) throw new RowsDamaged(damaged);
			if (!turned) return damaged;
		}
	} finally {
		source.db.close();
		target.db.close();
	}
}

/** Makes a copy of a database, sealed: what a lock will do, without touching what is there. A copy that lay there goes. @returns how many rows it has */
export async function sealedCopy(from: Place, hold: Hold, onrows: OnRows = () => {}): Promise<number> {
	await dropCopy(from.name);
	let count = 0;
	const [source, target] = [opened(from), opened({ name: copyOf(from.name), hold })];
	try {
		for (const kind of allKinds())
			for await (const rows of pagesFrom(source.db)(kind)) {
				await (target.db.table(kind.table) as Rows).bulkPut([...rows]);
				count += rows.length;
				onrows(rows.length);
			}
	} finally {
		source.db.close();
		target.db.close();
	}
	return count;
}

/** What came of opening a copy: how many rows are the same as those they were made of, and how many are not. */
export interface Tried {
	readonly same: number;
	/** They were changed here meanwhile, so nothing is said of them. */
	readonly changed: number;
	readonly lost: number;
}

/** Opens every row of a sealed copy and holds it against the one it was made of. The copy stays. */
export async function tryCopy(from: Place, hold: Hold, onrows: OnRows = () => {}): Promise<Tried> {
	const [source, target] = [opened(from), opened({ name: copyOf(from.name), hold })];
	let [same, changed, lost] = [0, 0, 0];
	target.vault.ondamaged = () => lost++;
	try {
		for (const kind of allKinds())
			for await (const rows of pagesFrom(target.db)(kind)) {
				const now = await (source.db.table(kind.table) as Rows).bulkGet(rows.map((row) => row.id));
				rows.forEach((row, i) => {
					const mine = now[i];
					if (!mine || mine.updatedAt !== row.updatedAt || mine.revision !== row.revision) changed++;
					else if (dequal(plainly(row), plainly(mine))) same++;
					else lost++;
				});
				onrows(rows.length);
			}
	} finally {
		source.db.close();
		target.db.close();
	}
	return { same, changed, lost };
}
export const dropCopy = (database: string): Promise<void> => Dexie.delete(copyOf(database));
