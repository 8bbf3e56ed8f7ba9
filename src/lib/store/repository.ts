import type { Medium } from '../core/medium/medium.schema';
import type { Client, ClientChange } from '../core/records/client';
import type { Comparison } from '../core/records/comparison';
import type { CustomRecord } from '../core/records/custom';
import type { DrillRound } from '../core/records/drillRound';
import { KeptSchema, type Kept } from '../core/records/kept';
import { allKinds, kindOf, type KindId } from '../core/records/kinds';
import type { StoredRecord } from '../core/records/record';
import type { RunEntry, RunEvent } from '../core/records/runEntry';
import type { SecondVersion } from '../core/records/secondVersion';
import type { SequenceRecord } from '../core/records/sequenceRecord';
import type { Session } from '../core/records/session';
import { SettingsSchema, type Settings } from '../core/records/settings';
import { refTo, snapshotOf } from '../core/records/snapshot';
import type { School } from '../core/school/school.schema';
import type { SomeRows } from '../formats/backup/backupSchema';
import { EMPTY_HISTORY, type Draft } from '../core/sequence/history';
import { StoredSequenceSchema, type Sequence } from '../core/sequence/sequence.schema';
import type { Technique } from '../core/technique/technique.schema';
import type { DrillId } from '../core/train/drills';
import { DEFAULT_WORKING, type Working } from '../core/working/working.schema';
import { tableOf, type SoftTideDb } from './db';
import { Photos } from './photos';
import { removeRecord } from './removeRecord';
import { RecordGone, saveRecord, settleVersions, type Choice, type Saved, type Stamp } from './saveRecord';

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

/** Everything the pages ask of the database. Drafts come as `unknown`: whatever a form or a rune hands over is checked. */
export class Repository {
	readonly photos: Photos;

	constructor(
		readonly db: SoftTideDb,
		private readonly clock: () => Date,
		private readonly newId: () => string
	) {
		this.photos = new Photos(db, () => this.stamp());
	}

	stamp(): Stamp {
		return { now: this.clock().toISOString(), newId: this.newId };
	}
	#table = <K extends KindId>(kind: K) => tableOf(this.db, kind);

	/** How many records of each kind there are. */
	async counts(): Promise<Record<KindId, number>> {
		const counted = await Promise.all(
			allKinds().map(async (k) => [k.id, await this.db.table(k.table).count()] as const)
		);
		return Object.fromEntries(counted) as Record<KindId, number>;
	}
	secondVersionsOf = (recordId: string): Promise<SecondVersion[]> =>
		this.#table('second-version').where('recordId').equals(recordId).toArray() as unknown as Promise<SecondVersion[]>;

	/** A record with the oldest of its second versions; null where there is no other version. */
	async versionPair(kind: KindId, id: string): Promise<VersionPair | null> {
		const [second] = (await this.secondVersionsOf(id)).filter((s) => s.kind === kind);
		const stored = second
			? ((await this.#table(kind).get(id as never)) as unknown as StoredRecord | undefined)
			: undefined;
		return second && stored ? { stored, second } : null;
	}
	settle = (second: SecondVersion, choice: Choice): Promise<void> =>
		settleVersions(this.db, second, choice, this.stamp());
	/** Whether a record is there. */
	has = async (kind: KindId, id: string): Promise<boolean> =>
		(await this.#table(kind).where('id').equals(id).count()) > 0;

	/** By name. Sorted here: a locked store keeps no key of names. */
	clients = async (): Promise<Client[]> =>
		(await this.#table('client').toArray()).sort(
			(a, b) => a.name.localeCompare(b.name, 'en') || (a.id < b.id ? -1 : 1)
		);
	client = (id: string): Promise<Client | undefined> => this.#table('client').get(id);
	saveClient = (draft: unknown): Promise<Saved<Client>> => saveRecord(this.db, 'client', draft, this.stamp());
	/** Changes fields of a client on top of what is stored by then; a list grows by what is stored, not by what was seen. @throws {RecordGone} if she was removed */
	changeClient = (id: string, fields: ClientChange): Promise<Saved<Client>> =>
		this.db.transaction('rw', [this.#table('client'), this.#table('second-version')], async () => {
			const stored = await this.client(id);
			if (!stored) throw new RecordGone(kindOf('client'), null);
			return this.saveClient({ ...stored, ...(typeof fields === 'function' ? fields(stored) : fields) });
		});
	/** All that is recorded of a client, and nothing of anybody else: what a file of her alone holds. */
	rowsOfClient = async (id: string): Promise<SomeRows> => {
		const [client, sessions] = await Promise.all([this.client(id), this.sessionsOf(id)]);
		const wanted = new Set(sessions.flatMap((s) => (s.sequence ? [s.sequence.snapshot] : [])));
		const snapshots = await this.#table('snapshot').bulkGet([...wanted]);
		return {
			client: client ? [client] : [],
			session: sessions,
			snapshot: snapshots.filter((s) => s !== undefined)
		};
	};
	/** Removes a client with all that was recorded of her. */
	removeClient = async (id: string): Promise<void> => void (await removeRecord(this.db, 'client', id));

	sequences = (): Promise<SequenceRecord[]> => this.#table('sequence').orderBy('updatedAt').reverse().toArray();
	sequence = (id: string): Promise<SequenceRecord | undefined> => this.#table('sequence').get(id);
	async saveSequence(sequence: unknown, history: unknown = EMPTY_HISTORY): Promise<Saved<SequenceRecord>> {
		const { id, revision, updatedAt } = sequence as Sequence;
		return this.db.transaction('rw', [this.#table('sequence'), this.#table('second-version')], async () => {
			const known = await this.sequence(id);
			const forWhom = known?.clientId === undefined ? {} : { clientId: known.clientId };
			const draft = { id, revision, updatedAt, archived: known?.archived ?? false, ...forWhom, sequence, history };
			return saveRecord(this.db, 'sequence', draft, this.stamp());
		});
	}
	/** Takes a sequence out of the usual list, or back into it. */
	archive = async (id: string, archived: boolean): Promise<void> =>
		void (await this.#table('sequence').update(id, { archived }));

	/** For whom a sequence is being made; null: for nobody. */
	makeFor = async (id: string, clientId: string | null): Promise<void> =>
		void (await this.#table('sequence').update(id, { clientId }));

	session = (id: string): Promise<Session | undefined> => this.#table('session').get(id);
	sessionsOf = (clientId: string): Promise<Session[]> =>
		this.#table('session').where('[clientId+order]').between([clientId, 0], [clientId, Infinity]).toArray();
	/** Her last session. */
	lastSessionOf = (clientId: string): Promise<Session | undefined> =>
		this.#table('session').where('[clientId+order]').between([clientId, 0], [clientId, Infinity]).last();
	/** The sessions since a moment, latest first. @param since ISO date and time */
	sessionsSince = (since: string): Promise<Session[]> =>
		this.#table('session').where('startedAt').aboveOrEqual(since).reverse().sortBy('order');
	/** The latest sessions of all clients, latest first. @param skip so many of them are left out */
	latestSessions = (most: number, skip = 0): Promise<Session[]> =>
		this.#table('session').orderBy('order').reverse().offset(skip).limit(most).toArray();
	/** How often each client was here, and when last, by her id. A session that was interrupted is none yet. Reads keys, and the few that are open. */
	async visits(): Promise<Map<string, Visits>> {
		const open = new Set((await this.openSessions()).map((s) => `${s.clientId} ${s.order}`));
		const keys = (await this.#table('session').orderBy('[clientId+order]').keys()) as unknown as [string, number][];
		const visits = new Map<string, Visits>();
		for (const [id, order] of keys) {
			if (open.has(`${id} ${order}`)) continue;
			const count = (visits.get(id)?.count ?? 0) + 1;
			visits.set(id, { count, lastOrder: order, lastAt: new Date(order).toISOString() });
		}
		return visits;
	}
	/** The last session of each client that has one. */
	async lastSessions(): Promise<Map<string, Session>> {
		const pairs = [...(await this.visits())].map(([id, { lastOrder }]) => [id, lastOrder]);
		const sessions = await this.#table('session').where('[clientId+order]').anyOf(pairs).toArray();
		return new Map(sessions.map((s) => [s.clientId, s]));
	}
	/** Sessions whose stage is not over. */
	async openSessions(): Promise<Session[]> {
		const ids = (await this.#table('run-entry').orderBy('sessionId').uniqueKeys()) as unknown as string[];
		return (await this.#table('session').bulkGet(ids)).filter(
			(s): s is Session => s !== undefined && s.endedAt === null
		);
	}
	/** When each sequence was last begun in a session, by its id: ISO date and time. Reads keys only. */
	async lastUsed(): Promise<Map<string, string>> {
		const keys = (await this.#table('session').orderBy('[sequence.id+order]').keys()) as unknown as [string, number][];
		return new Map(keys.map(([id, order]) => [id, new Date(order).toISOString()]));
	}

	/** Saves a session; a new one gets its place after all that are here, whatever the clock says. */
	async saveSession(draft: unknown): Promise<Saved<Session>> {
		const table = this.#table('session');
		return this.db.transaction('rw', this.db.tables, async () => {
			const session = draft as Partial<Session>;
			if (session.order) return saveRecord(this.db, 'session', draft, this.stamp());
			const latest = (await table.orderBy('order').last())?.order ?? 0;
			const began = Date.parse(session.startedAt ?? '') || 0;
			return saveRecord(this.db, 'session', { ...session, order: Math.max(began, latest + 1) }, this.stamp());
		});
	}
	/** Begins a session with a sequence: it is stored as it is now, and the log of the stage gets its first line. */
	async startSession(draft: Omit<Session, 'sequence' | 'order'>, sequence: unknown): Promise<Saved<Session>> {
		return this.db.transaction('rw', this.db.tables, async () => {
			await this.#forgetEndedRuns();
			const saved = await this.saveSession({ ...draft, sequence: await this.keepPerformed(sequence) });
			await this.logRun(draft.id, { kind: 'begin', seconds: 0, atMs: this.clock().getTime() });
			return saved;
		});
	}
	/** Writes down a session that was done without the stage. */
	writeSession = (draft: Omit<Session, 'sequence' | 'order'>, sequence: unknown): Promise<Saved<Session>> =>
		this.db.transaction('rw', this.db.tables, async () =>
			this.saveSession({ ...draft, sequence: await this.keepPerformed(sequence) })
		);
	/** Keeps a sequence as it is performed from now on, for a session to refer to. */
	async keepPerformed(sequence: unknown): Promise<Session['sequence']> {
		const snapshot = snapshotOf(StoredSequenceSchema.parse(sequence));
		await this.#table('snapshot').put(snapshot);
		return refTo(snapshot);
	}
	/** The sequences as performed of many sessions, by their snapshots. */
	async performedIn(sessions: readonly Session[]): Promise<Map<string, Sequence>> {
		const ids = [...new Set(sessions.flatMap(({ sequence }) => (sequence ? [sequence.snapshot] : [])))];
		const found = await this.#table('snapshot').bulkGet(ids);
		return new Map(found.flatMap((snapshot) => (snapshot ? [[snapshot.id, snapshot.sequence] as const] : [])));
	}
	/** The sequence of a session as it was performed; null where there was none. */
	performed = async ({ sequence }: Pick<Session, 'sequence'>): Promise<Sequence | null> =>
		sequence ? ((await this.#table('snapshot').get(sequence.snapshot))?.sequence ?? null) : null;

	/** The sequence as it was planned, where something was changed while working. */
	planned = ({ planned }: Pick<Session, 'planned'>): Promise<Sequence | null> => this.performed({ sequence: planned });

	/** The log of a stage, in order. */
	run = (sessionId: string): Promise<RunEntry[]> =>
		this.#table('run-entry').where('sessionId').equals(sessionId).sortBy('n');
	/** Adds a line to the log of a stage. */
	async logRun(sessionId: string, event: RunEvent): Promise<void> {
		const table = this.#table('run-entry');
		await this.db.transaction('rw', [table, this.#table('session')], async () => {
			if (!(await this.session(sessionId))) throw new RecordGone(kindOf('session'), null);
			const n = await table.where('sessionId').equals(sessionId).count();
			const { now } = this.stamp();
			const id = `${sessionId}:${String(n).padStart(5, '0')}`;
			await table.add({ ...event, id, revision: 1, updatedAt: now, sessionId, n });
		});
	}
	/** Logs of sessions that were ended, and never closed: nobody goes on with them any more. */
	async #forgetEndedRuns(): Promise<void> {
		const ids = (await this.#table('run-entry').orderBy('sessionId').uniqueKeys()) as unknown as string[];
		for (const session of await this.#table('session').bulkGet(ids))
			if (session && session.endedAt !== null) await this.endRun(session.id);
	}
	/** A stage is over and saved: its log has done its work. */
	endRun = async (sessionId: string): Promise<void> =>
		void (await this.#table('run-entry').where('sessionId').equals(sessionId).delete());

	/** All that she has added to the shipped library, by title. */
	async customLibrary(): Promise<CustomLibrary> {
		const items = async <T extends { title: string }>(rows: Promise<readonly { item: T }[]>): Promise<T[]> =>
			(await rows).map((r) => r.item).sort((a, b) => a.title.localeCompare(b.title));
		return {
			techniques: await items(this.#table('technique').toArray()),
			schools: await items(this.#table('school').toArray()),
			media: await items(this.#table('medium').toArray())
		};
	}
	/** The record of an item of her own library; undefined where she has none of this id. */
	custom = async (kind: CustomKind, id: string): Promise<CustomRecord | undefined> =>
		(await this.#table(kind).get(id as never)) as CustomRecord | undefined;
	/**
	 * Keeps an item of her own library; the record has the id of the item.
	 * @param revision of the record that it was made from; 0 for a new one
	 */
	async keepCustom(kind: CustomKind, item: CustomRecord['item'], revision: number): Promise<Saved<CustomRecord>> {
		const draft = { id: item.id, revision, updatedAt: this.stamp().now, item };
		return saveRecord(this.db, kind, draft, this.stamp()) as unknown as Promise<Saved<CustomRecord>>;
	}
	/** Removes an item of her own library and hands it over, so that it can be put back. Sequences keep their copies. */
	async removeCustom(kind: CustomKind, id: string): Promise<CustomRecord | undefined> {
		const known = (await this.#table(kind).get(id as never)) as CustomRecord | undefined;
		await removeRecord(this.db, kind, id);
		return known;
	}
	putCustomBack = async (kind: CustomKind, record: CustomRecord): Promise<void> =>
		void (await this.db.table(kindOf(kind).table).put(record));

	/**
	 * Removes a sequence into the bin, from where it can come back, with every second version of it; undefined where it is
	 * gone already.
	 */
	async removeSequence(id: string): Promise<Kept | undefined> {
		return this.db.transaction('rw', this.db.tables, async () => {
			const stored = await this.sequence(id);
			if (!stored) return undefined;
			const kept = this.#keep('removed', stored, '', stored.archived);
			await this.#table('kept').put(kept);
			for (const second of await this.secondVersionsOf(id)) {
				const { archived, ...other } = second.record as SequenceRecord;
				await this.#table('kept').put(this.#keep('removed', other, 'second version', archived));
			}
			await removeRecord(this.db, 'sequence', id);
			return kept;
		});
	}
	#keep(kind: Kept['kind'], { sequence, history }: Draft, name: string, archived = false): Kept {
		const { now: keptAt, newId } = this.stamp();
		const stamped = { id: newId(), revision: 1, updatedAt: keptAt, keptAt };
		return KeptSchema.parse({ ...stamped, kind, sequenceId: sequence.id, name, archived, sequence, history });
	}
	/** What lies in the bin, latest first. */
	bin = async (): Promise<Kept[]> =>
		(await this.#table('kept').where('kind').equals('removed').sortBy('keptAt')).reverse();
	/** Takes a sequence out of the bin. Where one of its id is there meanwhile, it comes back as a sequence of its own. */
	async putBack(keptId: string): Promise<string | undefined> {
		return this.db.transaction('rw', [this.#table('sequence'), this.#table('kept')], async () => {
			const kept = await this.#table('kept').get(keptId);
			if (!kept) return undefined;
			const { now: updatedAt, newId } = this.stamp();
			const id = (await this.sequence(kept.sequenceId)) ? newId() : kept.sequenceId;
			const { archived, sequence: was, history } = kept;
			const sequence = { ...was, id };
			await this.#table('sequence').put({ id, revision: was.revision, updatedAt, archived, sequence, history });
			await this.#table('kept').delete(keptId);
			return id;
		});
	}
	/** Throws a kept version, or something in the bin, away for good. */
	discard = async (keptId: string): Promise<void> => void (await removeRecord(this.db, 'kept', keptId));
	/** Keeps a sequence as it is now under a name. */
	async keepVersion(draft: Draft, name: string): Promise<Kept> {
		const kept = this.#keep('version', draft, name);
		await this.#table('kept').put(kept);
		return kept;
	}
	/** The versions of a sequence that were kept, latest first. */
	versionsOf = async (sequenceId: string): Promise<Kept[]> =>
		(await this.#table('kept').where('sequenceId').equals(sequenceId).sortBy('keptAt'))
			.filter((k) => k.kind === 'version')
			.reverse();

	/** The rounds of a drill, the first one first. */
	roundsOf = (drill: DrillId): Promise<DrillRound[]> =>
		this.#table('drill-round').where('[drill+at]').between([drill, ''], [drill, '\uffff']).toArray();
	/** Keeps a round of practice. */
	async saveRound(round: Pick<DrillRound, 'drill' | 'value' | 'count' | 'what' | 'simulated'>): Promise<void> {
		const { now, newId } = this.stamp();
		await saveRecord(
			this.db,
			'drill-round',
			{ ...round, id: newId(), revision: 0, updatedAt: now, at: now },
			this.stamp()
		);
	}

	/** The comparisons that were saved, latest first. */
	comparisons = (): Promise<Comparison[]> => this.#table('comparison').orderBy('updatedAt').reverse().toArray();
	discardComparison = async (id: string): Promise<void> => void (await removeRecord(this.db, 'comparison', id));
	/** Saves a comparison with all that it was asked. It is never changed afterwards. */
	async saveComparison(draft: Omit<Comparison, 'id' | 'revision' | 'updatedAt'>): Promise<Comparison> {
		const { now: updatedAt, newId } = this.stamp();
		return (await saveRecord(this.db, 'comparison', { ...draft, id: newId(), revision: 0, updatedAt }, this.stamp()))
			.record;
	}

	async settings(): Promise<Settings> {
		const known = await this.#table('settings').get('settings');
		return known ?? SettingsSchema.parse({ id: 'settings', revision: 0, updatedAt: this.stamp().now });
	}
	async saveSettings(change: Partial<Settings>): Promise<void> {
		await this.db.transaction('rw', [this.#table('settings'), this.#table('second-version')], async () => {
			await saveRecord(this.db, 'settings', { ...(await this.settings()), ...change }, this.stamp());
		});
	}

	/** The working values as they are set; as shipped where nothing was. */
	async working(): Promise<Working> {
		return (await this.#table('working').get('working'))?.values ?? DEFAULT_WORKING;
	}
	/** Sets the working values; null puts all of them back as shipped. @throws {ZodError} for a value out of its range */
	async saveWorking(values: unknown): Promise<void> {
		await this.db.transaction('rw', [this.#table('working'), this.#table('second-version')], async () => {
			const known = await this.#table('working').get('working');
			if (values === null) await this.#table('working').delete('working');
			else {
				const { now: updatedAt } = this.stamp();
				const draft = { id: 'working', revision: known?.revision ?? 0, updatedAt, values };
				await saveRecord(this.db, 'working', draft, this.stamp());
			}
		});
	}

	/** Empties the database: everything goes, settings too. */
	async wipe(): Promise<void> {
		await this.db.transaction('rw', this.db.tables, async () => {
			for (const table of this.db.tables) await table.clear();
		});
	}
}
