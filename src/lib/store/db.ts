import Dexie, { type EntityTable } from 'dexie';
import type { Client, Session, Settings } from '../core/measure/records.schema';
import type { Sequence } from '../core/sequence/sequence.schema';
import type { History } from '../core/sequence/history';

/** A sequence with its undo history; `title` and `updatedAt` are lifted out for the lists. */
export interface StoredSequence {
	readonly id: string;
	readonly updatedAt: string;
	readonly sequence: Sequence;
	readonly history: History;
}

/** A save that came from an older revision: kept, and offered beside the other one. */
export interface SecondVersion {
	readonly id: string;
	readonly kind: 'sequence' | 'client' | 'session';
	readonly recordId: string;
	readonly savedAt: string;
	readonly record: StoredSequence | Client | Session;
}

export type SoftTideDb = Dexie & {
	clients: EntityTable<Client, 'id'>;
	sequences: EntityTable<StoredSequence, 'id'>;
	sessions: EntityTable<Session, 'id'>;
	settings: EntityTable<Settings, 'id'>;
	secondVersions: EntityTable<SecondVersion, 'id'>;
};

export const DB_NAME = 'soft-tide';
export const DEMO_DB_NAME = 'soft-tide-demo';

/** Opens nothing yet: Dexie opens at the first query. The name tells the demo practice from the user's own. */
export function makeDb(name: string): SoftTideDb {
	const db = new Dexie(name) as SoftTideDb;
	db.version(1).stores({
		clients: 'id, name, updatedAt',
		sequences: 'id, updatedAt',
		sessions: 'id, clientId, startedAt, [clientId+startedAt]',
		settings: 'id',
		secondVersions: 'id, recordId'
	});
	return db;
}
