import Dexie from 'dexie';
import { afterEach, beforeEach, vi } from 'vitest';
import { NOW } from '../../core/testing';
import type { StoredRecord } from '../../core/records/record';
import { makeDemo } from '../../demo/demo';
import { everything } from '../backup';
import { makeDb, type SoftTideDb } from '../db';
import { applyImport, planImport } from '../importPlan';
import { Repository } from '../repository';
import { Lock } from './lock';
import { databases, readLock } from './lockRow';
import { Vault } from './vault';

/** Helpers for tests of the lock only: windows of a browser, and what lies on its disk. */
export const PASS = 'linseed oil by candlelight';
/** Few rounds: what is tested here is not how long a guess takes. */
export const ROUNDS = 10;
let n = 0;
let open: SoftTideDb[] = [];
/** Of a test: the database, and what the clock says. */
export const at = { name: '', now: new Date(NOW) };
/** A database that nothing is in yet. */
export const fresh = (): string => (at.name = `lock-${n++}`);
export const later = (seconds: number) => (at.now = new Date(at.now.getTime() + 1000 * seconds));

export const opened = (vault?: Vault, of = at.name): SoftTideDb => {
	const db = makeDb(of, undefined, vault);
	open.push(db);
	return db;
};
/** A window: what it knows of the lock, and the database as it sees it, once that is known. */
export function window(of = at.name) {
	const vault = new Vault();
	const lock = new Lock(
		of,
		vault,
		() => at.now,
		() => {},
		{ rounds: ROUNDS, noiseRounds: 0 }
	);
	/** The records, where they are by now. */
	const records = () => {
		const db = opened(vault, lock.database);
		const repo = new Repository(
			db,
			() => at.now,
			() => `new-${n++}`
		);
		return { db, repo };
	};
	return { vault, lock, records };
}
export async function locked(of = at.name) {
	const here = window(of);
	await here.lock.putOn(await here.lock.prepare(PASS), PASS, 10);
	return { ...here, ...here.records() };
}
/** Where the records of a practice are by now. */
export const placeOf = async (of = at.name): Promise<string> => {
	const { row } = await readLock(of);
	return row && 'database' in row ? row.database : of;
};
/** What lies on the disk. */
export async function raw(of?: string): Promise<Record<string, StoredRecord[]>> {
	const db = opened(undefined, of ?? (await placeOf()));
	const rows = await everything(db);
	db.close();
	return rows as unknown as Record<string, StoredRecord[]>;
}
/** A sealed store has an order of its own for names that are made of content: rows by their ids. */
export const inOrder = (rows: object): Record<string, StoredRecord[]> =>
	Object.fromEntries(
		Object.entries(rows).map(([kind, list]) => [
			kind,
			(list as StoredRecord[]).toSorted((a, b) => (a.id < b.id ? -1 : 1))
		])
	);
export const rowsOf = (rows: Record<string, StoredRecord[]>) => Object.values(rows).flat();
export const stamp = { now: NOW, newId: () => `new-${n++}` };
export async function fillDemo(of = at.name): Promise<void> {
	const db = opened(undefined, of);
	await applyImport(db, await planImport(db, makeDemo(new Date(NOW))), stamp);
	db.close();
}
/** Every test has a database of its own, and leaves none behind. */
export function eachOnItsOwn(): void {
	beforeEach(() => {
		fresh();
		at.now = new Date(NOW);
	});
	afterEach(async () => {
		vi.restoreAllMocks();
		for (const db of open) db.close();
		for (const db of await databases()) await Dexie.delete(db);
		open = [];
	});
}
