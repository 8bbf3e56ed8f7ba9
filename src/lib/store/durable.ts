import type { DBCore, Middleware } from 'dexie';

/** Tables whose records nobody can write once more: who came, what was asked, done and seen. */
const FOR_GOOD = new Set(['clients', 'sessions', 'photos', 'binaries']);
/** A stage notes its place every few seconds: what it may lose in a power cut is that, and no more. */
const PLACE_OF_STAGE = 'runs';

/** Whether a write is told to be done only once it is on the disk; others are with the system by then, which survives a crash of the browser, not one of the power. */
export const isForGood = (tables: readonly string[]): boolean =>
	tables.some((table) => FOR_GOOD.has(table)) && !(tables.includes(PLACE_OF_STAGE) && tables.length < 4);

/** Has the browser wait for the disk where it matters. */
export const durable: Middleware<DBCore> = {
	stack: 'dbcore',
	name: 'durable',
	level: -90,
	create: (core) => ({
		...core,
		transaction: (tables, mode, options) =>
			core.transaction(tables, mode, mode === 'readwrite' && isForGood(tables) ? { durability: 'strict' } : options)
	})
};
