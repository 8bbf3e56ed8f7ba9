import Dexie, { type Table } from 'dexie';
import { LOCK_TABLE } from './vault';
import type { EarlierLock, LockRow } from './lockRow.schema';

export type { EarlierLock, LockRow } from './lockRow.schema';

/** Minutes without a touch after which the records are locked; 0: never by itself. */
export const IDLE_MINUTES = [2, 5, 10, 30, 0] as const;

/** It lies beside the records: it must be read before they can be opened, also when these are of an older version. */
const NAME = 'soft-tide-lock';

/** A sealed database of a practice bears its name and a number that was never used before. */
export const sealedName = (base: string, n: number): string => `${base}~${n}`;
const numberOf = (base: string, name: string): number =>
	name.startsWith(`${base}~`) && /^\d+$/.test(name.slice(base.length + 1)) ? Number(name.slice(base.length + 1)) : 0;
/** Name of the copy on which a lock is tried. */
export const copyOf = (database: string): string => `${database}-copy`;
/** A name for the next one. */
export const nextName = async (base: string): Promise<string> =>
	sealedName(base, Math.max(0, ...(await databases()).map((name) => numberOf(base, name))) + 1);

/** Databases of this browser; none where it does not let anybody look. */
export async function databases(): Promise<string[]> {
	try {
		return await Dexie.getDatabaseNames();
	} catch {
		return [];
	}
}

/** What is told to be written of a lock is on the disk: a key that is lost loses all. */
const STRICT = { chromeTransactionDurability: 'strict' } as const;

async function withTable<T>(db: Dexie, work: (locks: Table<unknown, string>) => Promise<T>): Promise<T> {
	try {
		await db.open();
		return await work(db.table(LOCK_TABLE));
	} finally {
		db.close();
	}
}
/** The database of locks; made with the first one. */
function withLocks<T>(work: (locks: Table<unknown, string>) => Promise<T>): Promise<T> {
	const db = new Dexie(NAME, STRICT);
	db.version(1).stores({ [LOCK_TABLE]: 'id' });
	return withTable(db, work);
}
/** Only who has a lock fetches what checks it. */
const schema = () => import('./lockRow.schema');

/** Of a lock that was read: what is wrong with it does not hide the other one. */
async function checked(read: () => Promise<unknown>): Promise<LockRow | EarlierLock | null> {
	try {
		const raw = await read();
		return raw === undefined ? null : (await schema()).readRow(raw);
	} catch {
		return null;
	}
}
/** A lock whose rows lie as an earlier version left them. */
export const isEarlier = (row: LockRow | EarlierLock): row is EarlierLock => !('format' in row);

/** What was found: a lock and the other one of its two copies where they differ; or that sealed records are there and no lock. */
export interface FoundLock {
	readonly row: LockRow | EarlierLock | null;
	readonly spare: LockRow | null;
	readonly lost: boolean;
}

/** The lock of a practice, from the two places in which it is kept. */
export async function readLock(base: string): Promise<FoundLock> {
	const names = await databases();
	const first = names.includes(NAME) ? await checked(() => withLocks((locks) => locks.get(base))) : null;
	if (first && isEarlier(first)) return { row: first, spare: null, lost: false };
	const sealed = names.filter((name) => numberOf(base, name) > 0);
	const kept: LockRow[] = first ? [first] : [];
	for (const name of sealed) {
		// As it lies: what is older is not brought up to date here.
		const row = await checked(() => withTable(new Dexie(name, STRICT), (locks) => locks.get(base)));
		if (row && !isEarlier(row)) kept.push(row);
	}
	const [row, ...others] = kept.sort((a, b) => b.revision - a.revision);
	if (!row) return { row: null, spare: null, lost: sealed.length > 0 };
	return {
		row,
		spare: others.find((o) => o.by?.wrapped.data.join() !== row.by?.wrapped.data.join()) ?? null,
		lost: false
	};
}

/** There is a lock already, which another window put on. */
export class LockThere extends Error {
	override name = 'LockThere';
	constructor() {
		super('Another window has put a lock on meanwhile. Reload this page and open the records with that passphrase.');
	}
}

/** Writes a lock in both of its places. @throws {LockThere} if a first one is there already */
export async function writeLock(row: LockRow, first = false): Promise<void> {
	const lock = (await schema()).LockRowSchema.parse(row);
	await withLocks(async (locks) => {
		if (!first) return void (await locks.put(lock));
		await locks.add(lock).catch((error: unknown) => {
			throw error instanceof Error && error.name === 'ConstraintError' ? new LockThere() : error;
		});
	});
	const there = await databases();
	for (const name of [row.database, row.move?.to ?? ''])
		if (numberOf(row.id, name) > 0 && there.includes(name))
			await withTable(new Dexie(name, STRICT), (locks) => locks.put(lock));
}
export const deleteLock = async (base: string): Promise<void> => {
	if ((await databases()).includes(NAME)) await withLocks((locks) => locks.delete(base));
};

/** Longest wait after a wrong passphrase. */
const MAX_WAIT_SECONDS = 300;
/** Seconds to wait after so many wrong passphrases: doubled each time. Working value. */
export const waitAfter = (failed: number): number => (failed < 1 ? 0 : Math.min(2 ** (failed - 1), MAX_WAIT_SECONDS));

/** Seconds that are still to wait. A clock that was put back makes it no longer than it is. */
export function stillToWait({ failed, failedAt }: Pick<LockRow, 'failed' | 'failedAt'>, now: Date): number {
	if (!failedAt) return 0;
	const since = (now.getTime() - Date.parse(failedAt)) / 1000;
	return Math.ceil(Math.max(0, waitAfter(failed) - Math.max(0, since)));
}
