import Dexie, { type EntityTable } from 'dexie';
import type { Comparison } from '../core/flow/comparison.schema';
import type { CustomKind, CustomMedium, CustomRecord, CustomSchool, CustomTechnique } from '../core/own/own.schema';
import { historyFrom1, sequenceFrom1, sessionFrom1 } from '../formats/migrations';
import type { Client, Session, Settings } from '../core/measure/records.schema';
import type { Sequence } from '../core/sequence/sequence.schema';
import type { History } from '../core/sequence/history';
import type { Kept } from '../formats/kept.schema';

/** A sequence with its undo history; `title` and `updatedAt` are lifted out for the lists. */
export interface StoredSequence {
	readonly id: string;
	readonly updatedAt: string;
	readonly sequence: Sequence;
	readonly history: History;
	/** Out of the usual list, not removed. */
	readonly archived?: boolean;
}

/** A save that came from an older revision: kept, and offered beside the other one. */
export interface SecondVersion {
	readonly id: string;
	readonly kind: 'sequence' | 'client' | 'session' | CustomKind;
	readonly recordId: string;
	readonly savedAt: string;
	readonly record: StoredSequence | Client | Session | CustomRecord;
}

export type SoftTideDb = Dexie & {
	clients: EntityTable<Client, 'id'>;
	sequences: EntityTable<StoredSequence, 'id'>;
	sessions: EntityTable<Session, 'id'>;
	techniques: EntityTable<CustomTechnique, 'id'>;
	schools: EntityTable<CustomSchool, 'id'>;
	media: EntityTable<CustomMedium, 'id'>;
	settings: EntityTable<Settings, 'id'>;
	secondVersions: EntityTable<SecondVersion, 'id'>;
	kept: EntityTable<Kept, 'id'>;
	comparisons: EntityTable<Comparison, 'id'>;
};

export const DB_NAME = 'soft-tide';
export const DEMO_DB_NAME = 'soft-tide-demo';

/** A stored sequence of the first version, brought up to date in place, its undo history with it. */
function upgradeStored(stored: Record<string, unknown>): void {
	stored.sequence = sequenceFrom1(stored.sequence as Record<string, unknown>);
	stored.history = historyFrom1(stored.history);
}

/** The sequence that a stored session keeps, brought up to date in place. */
function upgradeSession(session: Record<string, unknown>): void {
	Object.assign(session, sessionFrom1(session));
}

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
	// Version 2: the user's own library, and sequences in the second version of their format.
	db.version(2)
		.stores({ techniques: 'id, updatedAt', schools: 'id, updatedAt', media: 'id, updatedAt' })
		.upgrade(async (tx) => {
			await tx
				.table('sequences')
				.toCollection()
				.modify((stored: Record<string, unknown>) => upgradeStored(stored));
			await tx
				.table('secondVersions')
				.toCollection()
				.modify((second: { kind: string; record: Record<string, unknown> }) => {
					if (second.kind === 'sequence') upgradeStored(second.record);
					if (second.kind === 'session') upgradeSession(second.record);
				});
			await tx
				.table('sessions')
				.toCollection()
				.modify((session: Record<string, unknown>) => upgradeSession(session));
		});
	// Version 3: kept versions and the bin, and when a sequence was last used, without opening a session.
	db.version(3).stores({
		kept: 'id, sequenceId, kind, keptAt',
		sessions: 'id, clientId, startedAt, [clientId+startedAt], [sequence.id+startedAt]'
	});
	// Version 4: comparisons by the model that were saved.
	db.version(4).stores({ comparisons: 'id, updatedAt' });
	return db;
}
