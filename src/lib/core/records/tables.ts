/** Where a kind of record lies in the database: all that is needed to open it and to read. */
export interface TableRow {
	/** Name of its table, and of its list in a backup. */
	readonly table: string;
	/**
	 * Keys of its table, by the version of the store that brought them in: that of the data, or, after a dot, one that
	 * changes keys alone. The first one is when the kind came. No key says anything of a person: keys stay readable in a
	 * locked store, and lie longest on a disk.
	 */
	readonly indexes: Readonly<Record<number, string>>;
	/** Keys that are made of the content of a record: in a locked store they are readable only with its key. */
	readonly hashKeys?: readonly string[];
	/** The field that a backup keeps as a binary file of its own, named by the id. */
	readonly bytes?: string;
}

/**
 * The tables, by the kind of record that lies in them. They stand apart from the kinds, so that a page that reads need not
 * fetch what checks. Order is that of a backup and of the preview of an import: what is pointed to comes first.
 */
export const TABLES = {
	client: { table: 'clients', indexes: { 1: 'id, name, updatedAt', 15.1: 'id, updatedAt' } },
	sequence: { table: 'sequences', indexes: { 1: 'id, updatedAt', 7: 'id, updatedAt, clientId' } },
	snapshot: { table: 'snapshots', indexes: { 5: 'id' }, hashKeys: ['id'] },
	session: {
		table: 'sessions',
		indexes: {
			1: 'id, clientId, startedAt, [clientId+startedAt]',
			3: 'id, clientId, startedAt, [clientId+startedAt], [sequence.id+startedAt]',
			5: 'id, clientId, startedAt, [clientId+startedAt], [sequence.id+startedAt], sequence.snapshot',
			6: 'id, clientId, startedAt, order, [clientId+order], [sequence.id+order], sequence.snapshot',
			11: 'id, clientId, startedAt, order, [clientId+order], [sequence.id+order], sequence.snapshot, planned.snapshot'
		},
		hashKeys: ['sequence.snapshot', 'planned.snapshot']
	},
	'run-entry': { table: 'runs', indexes: { 5: 'id, sessionId, [sessionId+n]' } },
	technique: { table: 'techniques', indexes: { 2: 'id, updatedAt' } },
	school: { table: 'schools', indexes: { 2: 'id, updatedAt' } },
	medium: { table: 'media', indexes: { 2: 'id, updatedAt' } },
	kept: { table: 'kept', indexes: { 3: 'id, sequenceId, kind, keptAt' } },
	comparison: { table: 'comparisons', indexes: { 4: 'id, updatedAt' } },
	binary: { table: 'binaries', indexes: { 5: 'id, clientId' }, bytes: 'bytes', hashKeys: ['id'] },
	photo: {
		table: 'photos',
		indexes: { 13: 'id, clientId, sessionId, fileId, thumbId' },
		hashKeys: ['fileId', 'thumbId']
	},
	'drill-round': { table: 'drills', indexes: { 11: 'id, [drill+at]' } },
	working: { table: 'working', indexes: { 5: 'id' } },
	settings: { table: 'settings', indexes: { 1: 'id' } },
	'second-version': { table: 'secondVersions', indexes: { 1: 'id, recordId' } }
} as const satisfies Record<string, TableRow>;

export type KindId = keyof typeof TABLES;
/** Kinds that lie in a table under the id with which they are saved. */
export const KIND_IDS = Object.keys(TABLES) as KindId[];
export const tableRow = (id: KindId): TableRow => TABLES[id];
