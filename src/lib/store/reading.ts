import type { Medium } from '../core/medium/medium.schema';
import type { Client } from '../core/records/client';
import type { Comparison } from '../core/records/comparison';
import type { CustomRecord } from '../core/records/custom';
import type { DrillRound } from '../core/records/drillRound';
import type { Kept } from '../core/records/kept';
import type { StoredRecord } from '../core/records/record';
import type { RunEntry } from '../core/records/runEntry';
import type { SecondVersion } from '../core/records/secondVersion';
import type { SequenceRecord } from '../core/records/sequenceRecord';
import type { Session } from '../core/records/session';
import type { Settings } from '../core/records/settings';
import { DEFAULT_SETTINGS } from '../core/records/defaultSettings';
import { KIND_IDS, tableRow, type KindId } from '../core/records/tables';
import type { School } from '../core/school/school.schema';
import type { Sequence } from '../core/sequence/sequence.schema';
import type { ClientId, SequenceId, SessionId } from '../core/step/common.schema';
import type { Technique } from '../core/technique/technique.schema';
import type { DrillId } from '../core/train/drills';
import { DEFAULT_WORKING } from '../core/working/defaultWorking';
import type { Working } from '../core/working/working.schema';
import type { SomeRows } from '../formats/backup/backupSchema';
import { tableOf, type SoftTideDb } from './db';

/** What a practitioner added to the shipped library. */
export interface CustomLibrary {
	readonly techniques: readonly Technique[];
	readonly schools: readonly School[];
	readonly media: readonly Medium[];
}
export type CustomKind = 'technique' | 'school' | 'medium';

/** How often a client was here, and when last. */
export interface Visits {
	readonly count: number;
	/** Place of the last visit among all sessions, and the day that it says. */
	readonly lastOrder: number;
	readonly lastAt: string;
}

/** Two versions of one record. */
export interface VersionPair {
	readonly stored: StoredRecord;
	readonly second: SecondVersion;
}

/** The moment of a save, and ids for what is new. */
export interface Stamp {
	readonly now: string;
	readonly newId: () => string;
}

/** What is asked of the database, and changes nothing. No record is checked here: what lies in it was checked when it was saved. */
export class Reading {
	constructor(
		readonly db: SoftTideDb,
		protected readonly clock: () => Date,
		protected readonly newId: () => string
	) {}

	stamp(): Stamp {
		return { now: this.clock().toISOString(), newId: this.newId };
	}
	protected readonly table = <K extends KindId>(kind: K) => tableOf(this.db, kind);

	/** How many records of each kind there are. */
	async counts(): Promise<Record<KindId, number>> {
		const counted = await Promise.all(
			KIND_IDS.map(async (id) => [id, await this.db.table(tableRow(id).table).count()] as const)
		);
		return Object.fromEntries(counted) as Record<KindId, number>;
	}
	secondVersionsOf = (recordId: string): Promise<SecondVersion[]> =>
		this.table('second-version').where('recordId').equals(recordId).toArray() as unknown as Promise<SecondVersion[]>;

	/** A record with the oldest of its second versions; null where there is no other version. */
	async versionPair(kind: KindId, id: string): Promise<VersionPair | null> {
		const [second] = (await this.secondVersionsOf(id)).filter((s) => s.kind === kind);
		const stored = second
			? ((await this.table(kind).get(id as never)) as unknown as StoredRecord | undefined)
			: undefined;
		return second && stored ? { stored, second } : null;
	}
	/** Whether a record is there. */
	has = async (kind: KindId, id: string): Promise<boolean> =>
		(await this.table(kind).where('id').equals(id).count()) > 0;

	/** By name. Sorted here: a locked store keeps no key of names. */
	clients = async (): Promise<Client[]> =>
		(await this.table('client').toArray()).sort((a, b) => a.name.localeCompare(b.name, 'en') || (a.id < b.id ? -1 : 1));
	client = (id: ClientId): Promise<Client | undefined> => this.table('client').get(id);
	/** All that is recorded of a client, and nothing of anybody else: what a file of her alone holds. */
	rowsOfClient = async (id: ClientId): Promise<SomeRows> => {
		const [client, sessions] = await Promise.all([this.client(id), this.sessionsOf(id)]);
		const wanted = new Set(sessions.flatMap((s) => (s.sequence ? [s.sequence.snapshot] : [])));
		const snapshots = await this.table('snapshot').bulkGet([...wanted]);
		return {
			client: client ? [client] : [],
			session: sessions,
			snapshot: snapshots.filter((s) => s !== undefined)
		};
	};
	sequences = (): Promise<SequenceRecord[]> => this.table('sequence').orderBy('updatedAt').reverse().toArray();
	sequence = (id: SequenceId): Promise<SequenceRecord | undefined> => this.table('sequence').get(id);
	session = (id: SessionId): Promise<Session | undefined> => this.table('session').get(id);
	readonly #inOrder = (clientId: ClientId) =>
		this.table('session').where('[clientId+order]').between([clientId, 0], [clientId, Infinity]);
	/** So many of her latest that one is among them which is not open, if she has one. */
	readonly #latest = (clientId: ClientId, open: readonly Session[]) =>
		this.#inOrder(clientId)
			.reverse()
			.limit(open.length + 1);
	sessionsOf = (clientId: ClientId): Promise<Session[]> => this.#inOrder(clientId).toArray();
	/** Her last session. */
	lastSessionOf = (clientId: ClientId): Promise<Session | undefined> => this.#inOrder(clientId).last();
	/** The sessions since a moment, latest first. @param since ISO date and time */
	sessionsSince = (since: string): Promise<Session[]> =>
		this.table('session').where('startedAt').aboveOrEqual(since).reverse().sortBy('order');
	/** The latest sessions of all clients, latest first. @param skip so many of them are left out */
	latestSessions = (most: number, skip = 0): Promise<Session[]> =>
		this.table('session').orderBy('order').reverse().offset(skip).limit(most).toArray();
	/**
	 * Something of each client that has it, by her id, of keys alone. A short question for each, all in one transaction, is
	 * answered sooner than one that walks all sessions.
	 * @param ask of the sessions of one, and those of them that are open
	 */
	async #ofEach<T>(
		ask: (clientId: string, open: readonly Session[]) => PromiseLike<T | undefined>
	): Promise<Map<string, T>> {
		// Outside of the transaction: what is sealed is not opened while it is held.
		const open = await this.openSessions();
		const openOf = (id: string) => open.filter((s) => s.clientId === id);
		return this.db.transaction('r', [this.table('client'), this.table('session')], async () => {
			const ids = await this.table('client').toCollection().primaryKeys();
			const found = await Promise.all(ids.map((id) => ask(id, openOf(id))));
			return new Map(ids.flatMap((id, i) => (found[i] === undefined ? [] : [[id, found[i]]])));
		});
	}
	/** How often each client was here, and when last, by her id. A session that was interrupted is none yet. Reads keys, and the few that are open. */
	visits = (): Promise<Map<string, Visits>> =>
		this.#ofEach(async (id, open) => {
			const [count, keys] = await Promise.all([this.#inOrder(id).count(), this.#latest(id, open).keys()]);
			const orders = (keys as unknown as [string, number][]).map(([, order]) => order);
			const lastOrder = orders.find((order) => !open.some((s) => s.order === order));
			return lastOrder === undefined
				? undefined
				: { count: count - open.length, lastOrder, lastAt: new Date(lastOrder).toISOString() };
		});
	/** The id of her last session but those that are open. @param open sessions of hers whose stage is not over */
	async #lastIdBut(clientId: string, open: readonly Session[]): Promise<string | undefined> {
		const ids = await this.#latest(clientId, open).primaryKeys();
		return ids.find((id) => !open.some((s) => s.id === id));
	}
	/** The last session of a client; one that was interrupted is none yet. */
	async lastVisitOf(clientId: ClientId): Promise<Session | undefined> {
		const open = (await this.openSessions()).filter((s) => s.clientId === clientId);
		const id = await this.#lastIdBut(clientId, open);
		return id === undefined ? undefined : this.session(id);
	}
	/** The last session of each client that has one. */
	async lastVisits(): Promise<Map<string, Session>> {
		const ids = await this.#ofEach((id, open) => this.#lastIdBut(id, open));
		const sessions = await this.table('session').bulkGet([...ids.values()]);
		return new Map(sessions.flatMap((s) => (s ? [[s.clientId, s] as const] : [])));
	}
	/** Sessions whose stage is not over. */
	async openSessions(): Promise<Session[]> {
		const ids = (await this.table('run-entry').orderBy('sessionId').uniqueKeys()) as unknown as string[];
		return (await this.table('session').bulkGet(ids)).filter(
			(s): s is Session => s !== undefined && s.endedAt === null
		);
	}
	/** When each sequence was last begun in a session, by its id: ISO date and time. Reads keys only. */
	async lastUsed(): Promise<Map<string, string>> {
		const keys = (await this.table('session').orderBy('[sequence.id+order]').keys()) as unknown as [string, number][];
		return new Map(keys.map(([id, order]) => [id, new Date(order).toISOString()]));
	}

	/** The sequences as performed of many sessions, by their snapshots. */
	async performedIn(sessions: readonly Session[]): Promise<Map<string, Sequence>> {
		const ids = [...new Set(sessions.flatMap(({ sequence }) => (sequence ? [sequence.snapshot] : [])))];
		const found = await this.table('snapshot').bulkGet(ids);
		return new Map(found.flatMap((snapshot) => (snapshot ? [[snapshot.id, snapshot.sequence] as const] : [])));
	}
	/** The sequence of a session as it was performed; null where there was none. */
	performed = async ({ sequence }: Pick<Session, 'sequence'>): Promise<Sequence | null> =>
		sequence ? ((await this.table('snapshot').get(sequence.snapshot))?.sequence ?? null) : null;

	/** A sequence that was in force at some time; null where it is not kept. */
	snapshot = async (id: string): Promise<Sequence | null> => (await this.table('snapshot').get(id))?.sequence ?? null;

	/** The sequence as it was planned, where something was changed while working. */
	planned = ({ planned }: Pick<Session, 'planned'>): Promise<Sequence | null> => this.performed({ sequence: planned });

	/** The log of a stage, in order. */
	run = (sessionId: SessionId): Promise<RunEntry[]> =>
		this.table('run-entry').where('sessionId').equals(sessionId).sortBy('n');
	/** All that she has added to the shipped library, by title. */
	async customLibrary(): Promise<CustomLibrary> {
		const items = async <T extends { title: string }>(rows: Promise<readonly { item: T }[]>): Promise<T[]> =>
			(await rows).map((r) => r.item).sort((a, b) => a.title.localeCompare(b.title));
		return {
			techniques: await items(this.table('technique').toArray()),
			schools: await items(this.table('school').toArray()),
			media: await items(this.table('medium').toArray())
		};
	}
	/** The record of an item of her own library; undefined where she has none of this id. */
	custom = async (kind: CustomKind, id: string): Promise<CustomRecord | undefined> =>
		(await this.table(kind).get(id as never)) as CustomRecord | undefined;
	/** What lies in the bin, latest first. */
	bin = async (): Promise<Kept[]> =>
		(await this.table('kept').where('kind').equals('removed').sortBy('keptAt')).reverse();
	/** The versions of a sequence that were kept, latest first. */
	versionsOf = async (sequenceId: SequenceId): Promise<Kept[]> =>
		(await this.table('kept').where('sequenceId').equals(sequenceId).sortBy('keptAt'))
			.filter((k) => k.kind === 'version')
			.reverse();

	/** The rounds of a drill, the first one first. */
	roundsOf = (drill: DrillId): Promise<DrillRound[]> =>
		this.table('drill-round').where('[drill+at]').between([drill, ''], [drill, '\uffff']).toArray();
	/** The comparisons that were saved, latest first. */
	comparisons = (): Promise<Comparison[]> => this.table('comparison').orderBy('updatedAt').reverse().toArray();
	async settings(): Promise<Settings> {
		const known = await this.table('settings').get('settings');
		return known ?? { ...DEFAULT_SETTINGS, id: 'settings', revision: 0, updatedAt: this.stamp().now };
	}
	/** The working values as they are set; as shipped where nothing was. */
	async working(): Promise<Working> {
		return (await this.table('working').get('working'))?.values ?? DEFAULT_WORKING;
	}
}
