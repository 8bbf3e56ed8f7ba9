import Dexie, { type EntityTable } from 'dexie';
import type { LockRow } from './lockRow.schema';

export type { LockRow } from './lockRow.schema';

/** Minutes without a touch after which the records are locked; 0: never by itself. */
export const IDLE_MINUTES = [2, 5, 10, 30, 0] as const;

/** It lies beside the records: it must be read before they can be opened, also when they are of an older version. */
const NAME = 'soft-tide-lock';

/**
 * Work on the locks of this browser. The database is made with the first lock only, and what is told to be written is on
 * the disk: a key that is lost loses all.
 */
async function withLocks<T>(work: (locks: EntityTable<LockRow, 'id'>) => Promise<T>): Promise<T> {
	const db = new Dexie(NAME, { chromeTransactionDurability: 'strict' });
	db.version(1).stores({ locks: 'id' });
	try {
		return await work(db.table('locks') as unknown as EntityTable<LockRow, 'id'>);
	} finally {
		db.close();
	}
}

/** Databases of this browser; none where it does not let anybody look. */
export async function databases(): Promise<string[]> {
	try {
		return await Dexie.getDatabaseNames();
	} catch {
		return [];
	}
}

/** Only who has a lock fetches what checks it. */
const checks = async () => (await import('./lockRow.schema')).LockRowSchema;

/** The lock of a database; null where there is none. @throws {ZodError} if it cannot be read any more */
export async function readLock(database: string): Promise<LockRow | null> {
	if (!(await databases()).includes(NAME)) return null;
	const row = await withLocks((locks) => locks.get(database));
	return row ? (await checks()).parse(row) : null;
}
export const writeLock = async (row: LockRow): Promise<void> => {
	const checked = (await checks()).parse(row);
	await withLocks((locks) => locks.put(checked));
};
export const deleteLock = async (database: string): Promise<void> => {
	if ((await databases()).includes(NAME)) await withLocks((locks) => locks.delete(database));
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
