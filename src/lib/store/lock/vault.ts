import Dexie, {
	type DBCore,
	type DBCoreCursor,
	type DBCoreMutateResponse,
	type DBCoreQuery,
	type DBCoreTable,
	type Middleware
} from 'dexie';
import type { Raw } from '../../core/records/record';
import { blind, isHashKey, isSealed, openRow, sealRow, type RowKeys } from './sealedRow';
import { atHand, within } from './within';

/** What opens the records lies beside them, and is no record. */
export const LOCK_TABLE = 'locks';

/**
 * How the records are held: `none`, there is no lock; `shut`, they are locked and nothing is read or written; `open`, by
 * these keys, and what is written is sealed.
 */
export type Hold = { readonly kind: 'none' | 'shut' } | ({ readonly kind: 'open' } & RowKeys);

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

/** Records that cannot be opened, and would be left behind. */
export class RowsDamaged extends Error {
	override name = 'RowsDamaged';
	constructor(readonly rows: readonly RecordDamaged[]) {
		super(`${rows.length} ${rows.length === 1 ? 'record' : 'records'} cannot be opened`);
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
	// Names that are made of content are asked for as they lie there.
	const names = (): Uint8Array | null => (vault.hold.kind === 'open' ? vault.hold.names : null);
	const named = (by: Uint8Array, key: unknown): unknown => (typeof key === 'string' ? blind(by, key) : key);
	const asLaid = <R extends { readonly query: DBCoreQuery }>(req: R): R => {
		const by = names();
		const { index, range } = req.query;
		const field = index.isPrimaryKey ? 'id' : typeof index.keyPath === 'string' ? index.keyPath : '';
		if (!by || !isHashKey(table.name, field)) return req;
		const laid = { ...range, lower: named(by, range.lower), upper: named(by, range.upper) };
		return { ...req, query: { index, range: laid } };
	};
	const idAsLaid = (id: unknown): unknown => {
		const by = names();
		return by && isHashKey(table.name, 'id') ? named(by, id) : id;
	};
	/** The ids of what was written are told as they were given, not as they lie there. */
	const asAsked = (rows: readonly Raw[], { results }: DBCoreMutateResponse): Partial<DBCoreMutateResponse> =>
		isHashKey(table.name, 'id') && rows.length
			? { lastResult: rows.at(-1)!.id, ...(results ? { results: rows.map((row) => row.id) } : {}) }
			: {};
	return {
		...table,
		mutate(req) {
			const { hold } = vault;
			if (hold.kind === 'shut') return Dexie.Promise.reject(new StoreLocked());
			if (hold.kind !== 'open') return table.mutate(req);
			if (req.type === 'delete') return table.mutate({ ...req, keys: req.keys.map(idAsLaid) });
			if (req.type === 'deleteRange') return table.mutate(req);
			const sealed = () => Promise.all((req.values as Raw[]).map((row) => sealRow(hold, table.name, row)));
			return within(sealed)
				.then((values) => table.mutate({ ...req, values }))
				.then((done) => ({ ...done, ...asAsked(req.values as Raw[], done) }));
		},
		count: (req) => table.count(asLaid(req)),
		get: (req) =>
			table
				.get({ ...req, key: idAsLaid(req.key) })
				.then((row: unknown) => (isSealed(row) ? within(() => open(row)) : row)),
		getMany: (req) =>
			table
				.getMany({ ...req, keys: req.keys.map(idAsLaid) })
				.then((rows: unknown[]) => (rows.some(isSealed) ? openAll(rows) : rows)),
		query: (req) =>
			req.values
				? table
						.query(asLaid(req))
						.then((found) =>
							found.result.some(isSealed)
								? openAll(found.result).then((rows) => ({ ...found, result: rows.filter((row) => row !== undefined) }))
								: found
						)
				: table.query(asLaid(req)),
		openCursor: (req) =>
			req.values
				? table.openCursor(asLaid(req)).then((cursor) => cursor && opened(cursor))
				: table.openCursor(asLaid(req))
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
	create: (core) => ({
		...core,
		table: (name: string) => (name === LOCK_TABLE ? core.table(name) : sealedTable(core.table(name), vault))
	})
});
