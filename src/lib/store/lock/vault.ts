import Dexie, { type DBCore, type DBCoreCursor, type DBCoreTable, type Middleware } from 'dexie';
import type { Raw } from '../../core/records/record';
import { isSealed, openRow, sealRow } from './sealedRow';
import { atHand, within } from './within';

/**
 * How the records are held: `none`, there is no lock; `shut`, they are locked and nothing is read or written; `open`, by
 * this key, and whether what is written is sealed: it is not while the lock is being taken off.
 */
export type Hold =
	{ readonly kind: 'none' | 'shut' } | { readonly kind: 'open'; readonly key: CryptoKey; readonly seals: boolean };

/** Something was asked of records that are locked. */
export class StoreLocked extends Error {
	override name = 'StoreLocked';
	constructor() {
		super('The records are locked.');
	}
}

/** A single record that cannot be opened with the key that opens the others: it was damaged, or changed by somebody. */
export class RecordDamaged extends Error {
	override name = 'RecordDamaged';
	constructor(
		readonly table: string,
		readonly id: string
	) {
		super(`a row of ${table} cannot be opened: ${id}`);
	}
}

/** What one window, or one worker, knows of the lock. */
export class Vault {
	hold: Hold = { kind: 'none' };
	/** Hears of each row that cannot be opened, once. */
	ondamaged: (row: RecordDamaged) => void = () => {};
	readonly #damaged = new Set<string>();
	/** A row cannot be opened. */
	tellDamaged(row: RecordDamaged): void {
		const name = `${row.table} ${row.id}`;
		if (this.#damaged.has(name)) return;
		this.#damaged.add(name);
		this.ondamaged(row);
	}
	/** @throws {StoreLocked} where something sealed is met without a key */
	get key(): CryptoKey {
		if (this.hold.kind !== 'open') throw new StoreLocked();
		return this.hold.key;
	}
}

function sealedTable(table: DBCoreTable, vault: Vault): DBCoreTable {
	/** @throws {RecordDamaged} where this very row cannot be opened */
	const open = async (row: unknown): Promise<unknown> => {
		if (!isSealed(row)) return row;
		const { key } = vault;
		return openRow(key, table.name, row).catch(() => {
			const damaged = new RecordDamaged(table.name, row.id);
			vault.tellDamaged(damaged);
			throw damaged;
		});
	};
	/** Of many rows, one that cannot be opened does not take the others with it: it is told, and absent. */
	const openAll = (rows: unknown[]): Promise<unknown[]> =>
		within(() =>
			Promise.all(
				rows.map((row) =>
					open(row).catch((error: unknown) => {
						if (error instanceof RecordDamaged) return undefined;
						throw error;
					})
				)
			)
		);
	/** A cursor whose value is opened before it is looked at. */
	const opened = (cursor: DBCoreCursor): DBCoreCursor => {
		let value: unknown;
		// Rows come from outside of Dexie’s zones: which transaction they belong to is kept here.
		const transaction = atHand();
		return Object.create(cursor, {
			key: { get: () => cursor.key as unknown },
			primaryKey: { get: () => cursor.primaryKey as unknown },
			value: { get: () => value },
			start: {
				value: (onnext: () => void) =>
					cursor.start(() => {
						const row: unknown = cursor.value;
						if (!isSealed(row)) {
							value = row;
							return onnext();
						}
						const fail = (error: unknown) => {
							if (error instanceof RecordDamaged) cursor.continue();
							else cursor.fail(error as Error);
						};
						within(() => open(row), transaction)
							.then((whole) => {
								value = whole;
								onnext();
							})
							.then(undefined, fail);
					})
			}
		}) as DBCoreCursor;
	};
	return {
		...table,
		mutate(req) {
			const { hold } = vault;
			if (hold.kind === 'shut') return Dexie.Promise.reject(new StoreLocked());
			if (hold.kind !== 'open' || !hold.seals || (req.type !== 'add' && req.type !== 'put')) return table.mutate(req);
			const sealed = () => Promise.all((req.values as Raw[]).map((row) => sealRow(hold.key, table.name, row)));
			return within(sealed).then((values) => table.mutate({ ...req, values }));
		},
		get: (req) => table.get(req).then((row: unknown) => (isSealed(row) ? within(() => open(row)) : row)),
		getMany: (req) => table.getMany(req).then((rows: unknown[]) => (rows.some(isSealed) ? openAll(rows) : rows)),
		query: (req) =>
			req.values
				? table
						.query(req)
						.then((found) =>
							found.result.some(isSealed)
								? openAll(found.result).then((rows) => ({ ...found, result: rows.filter((row) => row !== undefined) }))
								: found
						)
				: table.query(req),
		openCursor: (req) =>
			req.values ? table.openCursor(req).then((cursor) => cursor && opened(cursor)) : table.openCursor(req)
	};
}

/**
 * Lies next to the database, below all that Dexie puts on it: what is written is sealed, what is read is opened, and
 * everything above sees records only. Sealed and plain rows may lie side by side, so that sealing can be broken off anywhere.
 */
export const lockOf = (vault: Vault): Middleware<DBCore> => ({
	stack: 'dbcore',
	name: 'lock',
	level: -100,
	create: (core) => ({ ...core, table: (name: string) => sealedTable(core.table(name), vault) })
});
