import Dexie, { type Table } from 'dexie';
import { dequal } from 'dequal';
import { allKinds } from '../../core/records/kinds';
import type { StoredRecord } from '../../core/records/record';
import { pagesFrom } from '../backup';
import { makeDb, type SoftTideDb } from '../db';
import { isSealed, openRow, sealRow } from './sealedRow';
import { within } from './within';

/** Rows that are turned in one transaction: what is broken off leaves whole rows only, sealed ones and plain ones. */
const PAGE = 100;

type Rows = Table<StoredRecord, string>;
/** Hears how many more rows were looked at. */
export type OnRows = (count: number) => void;

/** How a row is turned; null where it is turned already. */
type Turn = (table: string, row: StoredRecord) => Promise<StoredRecord> | null;

/** A sealed row is opened once more before it takes the place of the plain one. */
const sealing =
	(key: CryptoKey): Turn =>
	(table, row) =>
		isSealed(row)
			? null
			: (async () => {
					const sealed = await sealRow(key, table, { ...row });
					const again = await openRow(key, table, sealed);
					// What text cannot hold is not there: a field without a value.
					if (!dequal(again, plainly(row))) throw new Error(`a row of ${table} does not come back as it was`);
					return sealed as unknown as StoredRecord;
				})();
const opening =
	(key: CryptoKey): Turn =>
	(table, row) =>
		isSealed(row) ? openRow(key, table, row) : null;

/** A row without fields that have no value. */
const plainly = (value: unknown): unknown => {
	if (Array.isArray(value)) return value.map(plainly);
	if (typeof value !== 'object' || value === null || value instanceof Uint8Array) return value;
	return Object.fromEntries(Object.entries(value).flatMap(([k, v]) => (v === undefined ? [] : [[k, plainly(v)]])));
};

/** Turns all rows, once through. @returns how many were turned */
async function turnOnce(raw: SoftTideDb, turn: Turn, onrows: OnRows): Promise<number> {
	let turned = 0;
	for (const { table: name } of allKinds()) {
		const table = raw.table(name) as Rows;
		for (let after: string | null = ''; after !== null;) {
			const from: string = after;
			after = await raw.transaction('rw', table, async (): Promise<string | null> => {
				const rows = await table.where('id').above(from).limit(PAGE).toArray();
				const all = await within(() => Promise.all(rows.map((row) => turn(name, row))));
				const changed = all.filter((row) => row !== null);
				if (changed.length) await table.bulkPut(changed);
				turned += changed.length;
				onrows(rows.length);
				return rows.length < PAGE ? null : rows.at(-1)!.id;
			});
		}
	}
	return turned;
}

/** Another window may still write as it did before: it is gone through until nothing is left to turn. */
async function turnAll(database: string, turn: Turn, onrows: OnRows): Promise<void> {
	const raw = makeDb(database);
	try {
		while ((await turnOnce(raw, turn, onrows)) > 0) continue;
	} finally {
		raw.close();
	}
}

/** Seals every row of a database that is plain. Can be broken off anywhere and called again. @throws what the database throws */
export const sealStore = (database: string, key: CryptoKey, onrows: OnRows = () => {}): Promise<void> =>
	turnAll(database, sealing(key), onrows);

/** Makes every sealed row of a database plain again. Can be broken off anywhere and called again. */
export const openStore = (database: string, key: CryptoKey, onrows: OnRows = () => {}): Promise<void> =>
	turnAll(database, opening(key), onrows);

/** Name of the copy on which a lock is tried. */
export const copyOf = (database: string): string => `${database}-copy`;

/** A copy of a database, sealed: what a lock will do, without touching what is there. A copy that lay there goes. */
export async function sealedCopy(database: string, key: CryptoKey, onrows: OnRows = () => {}): Promise<number> {
	await Dexie.delete(copyOf(database));
	const [raw, copy] = [makeDb(database), makeDb(copyOf(database))];
	let count = 0;
	try {
		for (const kind of allKinds())
			for await (const rows of pagesFrom(raw)(kind)) {
				const sealed = await Promise.all(rows.map((row) => sealRow(key, kind.table, { ...row })));
				await (copy.table(kind.table) as Table).bulkPut(sealed);
				count += rows.length;
				onrows(rows.length);
			}
	} finally {
		raw.close();
		copy.close();
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
export async function tryCopy(database: string, key: CryptoKey, onrows: OnRows = () => {}): Promise<Tried> {
	const [raw, copy] = [makeDb(database), makeDb(copyOf(database))];
	let [same, changed, lost] = [0, 0, 0];
	try {
		for (const kind of allKinds())
			for await (const rows of pagesFrom(copy)(kind)) {
				const now = await (raw.table(kind.table) as Rows).bulkGet(rows.map((row) => row.id));
				const opened = await Promise.all(
					rows.map((row) => (isSealed(row) ? openRow(key, kind.table, row).catch(() => null) : null))
				);
				opened.forEach((row, i) => {
					const mine = now[i];
					if (!row) lost++;
					else if (!mine || mine.updatedAt !== row.updatedAt || mine.revision !== row.revision) changed++;
					else if (dequal(row, plainly(mine))) same++;
					else lost++;
				});
				onrows(rows.length);
			}
	} finally {
		raw.close();
		copy.close();
	}
	return { same, changed, lost };
}
export const dropCopy = (database: string): Promise<void> => Dexie.delete(copyOf(database));
