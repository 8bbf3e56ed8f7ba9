import { dequal } from 'dequal';
import { clientKind, type Client, type ClientChange, type ClientSeen } from '../core/records/client';
import type { Comparison } from '../core/records/comparison';
import type { CustomRecord } from '../core/records/custom';
import type { DrillRound } from '../core/records/drillRound';
import { KeptSchema, type Kept } from '../core/records/kept';
import type { RunEvent } from '../core/records/runEntry';
import type { SecondVersion } from '../core/records/secondVersion';
import type { SequenceRecord } from '../core/records/sequenceRecord';
import { sessionKind, type Session } from '../core/records/session';
import type { Settings } from '../core/records/settings';
import { refTo, snapshotOf } from '../core/records/snapshot';
import { tableRow } from '../core/records/tables';
import type { ClientId, SequenceId, SessionId } from '../core/step/common.schema';
import { EMPTY_HISTORY, type Draft } from '../core/sequence/history';
import { StoredSequenceSchema, type Sequence } from '../core/sequence/sequence.schema';
import { DEFAULT_WORKING } from '../core/working/defaultWorking';
import type { Working } from '../core/working/working.schema';
import { Reading, type CustomKind } from './reading';
import { RecordGone } from './recordGone';
import { removeRecord } from './removeRecord';
import { keepBeside, saveRecord, settleVersions, type Choice, type Saved } from './saveRecord';

/** For so long one can go back to a session that was ended and not closed. */
const RESUMABLE_MS = 24 * 3_600_000;

/**
 * What changes the database. Drafts come as `unknown`: whatever a form or a rune hands over is checked here. It is fetched
 * apart from what reads: a page opens without it.
 */
export class Writing extends Reading {
	settle = (second: SecondVersion, choice: Choice): Promise<void> =>
		settleVersions(this.db, second, choice, this.stamp());
	saveClient = (draft: unknown): Promise<Saved<Client>> => saveRecord(this.db, 'client', draft, this.stamp());
	/** A new client. */
	addClient = async (draft: Pick<Client, 'id' | 'name'> & Partial<Client>): Promise<Client> =>
		(await this.saveClient({ ...draft, revision: 0, updatedAt: this.stamp().now })).record;
	/**
	 * Changes fields of a client on top of what is stored by then; a list grows by what is stored, not by what was seen. A field
	 * that says something else by now than what was seen when it was changed is not overwritten: both versions are kept.
	 * @param seen the fields as they were seen
	 * @param onto the second version in which changes of this window are kept by now
	 * @throws {RecordGone} if the client was removed
	 */
	changeClient = (
		id: ClientId,
		fields: ClientChange,
		seen: ClientSeen = {},
		onto: string | null = null
	): Promise<Saved<Client>> =>
		this.db.transaction('rw', [this.table('client'), this.table('second-version')], async () => {
			const stored = await this.client(id);
			if (!stored) throw new RecordGone(clientKind.title, null);
			const made = (from: Client): Client => ({ ...from, ...(typeof fields === 'function' ? fields(from) : fields) });
			const wished = made(stored);
			const meets =
				typeof seen === 'function'
					? seen(stored)
					: (Object.keys(seen) as (keyof Client)[]).some(
							(name) => !dequal(stored[name], seen[name]) && !dequal(stored[name], wished[name])
						);
			if (!meets) return this.saveClient(wished);
			const open = onto === null ? undefined : await this.table('second-version').get(onto);
			return keepBeside(this.db, 'client', made((open?.record as Client | undefined) ?? stored), this.stamp(), onto);
		});
	/** Removes a client with all that was recorded of her. */
	removeClient = async (id: ClientId): Promise<void> => void (await removeRecord(this.db, 'client', id));

	/** @param onto the second version in which the draft is kept by now */
	async saveSequence(
		sequence: unknown,
		history: unknown = EMPTY_HISTORY,
		onto: string | null = null
	): Promise<Saved<SequenceRecord>> {
		const { id, revision, updatedAt } = sequence as Sequence;
		return this.db.transaction('rw', [this.table('sequence'), this.table('second-version')], async () => {
			const known = await this.sequence(id);
			const forWhom = known?.clientId === undefined ? {} : { clientId: known.clientId };
			const draft = { id, revision, updatedAt, archived: known?.archived ?? false, ...forWhom, sequence, history };
			return saveRecord(this.db, 'sequence', draft, this.stamp(), onto);
		});
	}
	/** A new sequence. */
	addSequence = async (sequence: Sequence): Promise<SequenceRecord> =>
		(await this.saveSequence({ ...sequence, revision: 0 })).record;
	/** Takes a sequence out of the usual list, or back into it. */
	archive = async (id: SequenceId, archived: boolean): Promise<void> =>
		void (await this.table('sequence').update(id, { archived }));

	/** For whom a sequence is being made; null: for nobody. */
	makeFor = async (id: SequenceId, clientId: ClientId | null): Promise<void> =>
		void (await this.table('sequence').update(id, { clientId }));

	/** Saves a session; a new one gets its place after all that are here, whatever the clock says. */
	async saveSession(draft: unknown, onto: string | null = null): Promise<Saved<Session>> {
		const table = this.table('session');
		return this.db.transaction('rw', this.db.tables, async () => {
			const session = draft as Partial<Session>;
			if (session.order) return saveRecord(this.db, 'session', draft, this.stamp(), onto);
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
		await this.table('snapshot').put(snapshot);
		return refTo(snapshot);
	}
	/** Adds a line to the log of a stage. */
	async logRun(sessionId: SessionId, event: RunEvent): Promise<void> {
		const table = this.table('run-entry');
		await this.db.transaction('rw', [table, this.table('session')], async () => {
			if (!(await this.session(sessionId))) throw new RecordGone(sessionKind.title, null);
			const n = await table.where('sessionId').equals(sessionId).count();
			const { now } = this.stamp();
			const id = `${sessionId}:${String(n).padStart(5, '0')}`;
			await table.add({ ...event, id, revision: 1, updatedAt: now, sessionId, n });
		});
	}
	/** Logs of sessions that were ended long ago and never closed: till then one can go on with them. */
	async #forgetEndedRuns(): Promise<void> {
		const ids = (await this.table('run-entry').orderBy('sessionId').uniqueKeys()) as unknown as string[];
		const now = this.clock().getTime();
		for (const session of await this.table('session').bulkGet(ids))
			if (session && session.endedAt !== null && now - Date.parse(session.endedAt) > RESUMABLE_MS)
				await this.endRun(session.id);
	}
	/** A stage is over and saved: its log has done its work. */
	endRun = async (sessionId: SessionId): Promise<void> =>
		void (await this.table('run-entry').where('sessionId').equals(sessionId).delete());

	/**
	 * Keeps an item of her own library; the record has the id of the item.
	 * @param revision of the record that it was made from; 0 for a new one
	 */
	async keepCustom(
		kind: CustomKind,
		item: CustomRecord['item'],
		revision: number,
		onto: string | null = null
	): Promise<Saved<CustomRecord>> {
		const draft = { id: item.id, revision, updatedAt: this.stamp().now, item };
		return saveRecord(this.db, kind, draft, this.stamp(), onto) as unknown as Promise<Saved<CustomRecord>>;
	}
	/** Removes an item of her own library and hands it over, so that it can be put back. Sequences keep their copies. */
	async removeCustom(kind: CustomKind, id: string): Promise<CustomRecord | undefined> {
		const known = (await this.table(kind).get(id as never)) as CustomRecord | undefined;
		await removeRecord(this.db, kind, id);
		return known;
	}
	putCustomBack = async (kind: CustomKind, record: CustomRecord): Promise<void> =>
		void (await this.db.table(tableRow(kind).table).put(record));

	/**
	 * Removes a sequence into the bin, from where it can come back, with every second version of it; undefined where it is
	 * gone already.
	 */
	async removeSequence(id: SequenceId): Promise<Kept | undefined> {
		return this.db.transaction('rw', this.db.tables, async () => {
			const stored = await this.sequence(id);
			if (!stored) return undefined;
			const kept = this.#keep('removed', stored, '', stored.archived);
			await this.table('kept').put(kept);
			for (const second of await this.secondVersionsOf(id)) {
				const { archived, ...other } = second.record as SequenceRecord;
				await this.table('kept').put(this.#keep('removed', other, 'second version', archived));
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
	/** Takes a sequence out of the bin. Where one of its id is there meanwhile, it comes back as a sequence of its own. */
	async putBack(keptId: string): Promise<string | undefined> {
		return this.db.transaction('rw', [this.table('sequence'), this.table('kept')], async () => {
			const kept = await this.table('kept').get(keptId);
			if (!kept) return undefined;
			const { now: updatedAt, newId } = this.stamp();
			const id = (await this.sequence(kept.sequenceId)) ? newId() : kept.sequenceId;
			const { archived, sequence: was, history } = kept;
			const sequence = { ...was, id };
			await this.table('sequence').put({ id, revision: was.revision, updatedAt, archived, sequence, history });
			await this.table('kept').delete(keptId);
			return id;
		});
	}
	/** Throws a kept version, or something in the bin, away for good. */
	discard = async (keptId: string): Promise<void> => void (await removeRecord(this.db, 'kept', keptId));
	/** Keeps a sequence as it is now under a name. */
	async keepVersion(draft: Draft, name: string): Promise<Kept> {
		const kept = this.#keep('version', draft, name);
		await this.table('kept').put(kept);
		return kept;
	}
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

	discardComparison = async (id: string): Promise<void> => void (await removeRecord(this.db, 'comparison', id));
	/** Saves a comparison with all that it was asked. It is never changed afterwards. */
	async saveComparison(draft: Omit<Comparison, 'id' | 'revision' | 'updatedAt'>): Promise<Comparison> {
		const { now: updatedAt, newId } = this.stamp();
		return (await saveRecord(this.db, 'comparison', { ...draft, id: newId(), revision: 0, updatedAt }, this.stamp()))
			.record;
	}

	async saveSettings(change: Partial<Settings>): Promise<void> {
		await this.db.transaction('rw', [this.table('settings'), this.table('second-version')], async () => {
			await saveRecord(this.db, 'settings', { ...(await this.settings()), ...change }, this.stamp());
		});
	}

	/**
	 * Makes the working values that are stored into others, so that two windows do not undo one another; where all are as
	 * shipped nothing is stored. @throws {ZodError} for a value out of its range
	 */
	async changeWorking(change: (stored: Working) => unknown): Promise<void> {
		await this.db.transaction('rw', [this.table('working'), this.table('second-version')], async () => {
			const known = await this.table('working').get('working');
			const values = change(known?.values ?? DEFAULT_WORKING);
			if (dequal(values, DEFAULT_WORKING)) await this.table('working').delete('working');
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
