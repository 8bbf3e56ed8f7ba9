import { clientKind, type Client, type ClientChange } from '../core/records/client';
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
import { EMPTY_HISTORY, type Draft } from '../core/sequence/history';
import { StoredSequenceSchema, type Sequence } from '../core/sequence/sequence.schema';
import { Reading, type CustomKind } from './reading';
import { RecordGone } from './recordGone';
import { removeRecord } from './removeRecord';
import { saveRecord, settleVersions, type Choice, type Saved } from './saveRecord';

/**
 * What changes the database. Drafts come as `unknown`: whatever a form or a rune hands over is checked here. It is fetched
 * apart from what reads: a page opens without it.
 */
export class Writing extends Reading {
	settle = (second: SecondVersion, choice: Choice): Promise<void> =>
		settleVersions(this.db, second, choice, this.stamp());
	saveClient = (draft: unknown): Promise<Saved<Client>> => saveRecord(this.db, 'client', draft, this.stamp());
	/** Changes fields of a client on top of what is stored by then; a list grows by what is stored, not by what was seen. @throws {RecordGone} if she was removed */
	changeClient = (id: string, fields: ClientChange): Promise<Saved<Client>> =>
		this.db.transaction('rw', [this.table('client'), this.table('second-version')], async () => {
			const stored = await this.client(id);
			if (!stored) throw new RecordGone(clientKind.title, null);
			return this.saveClient({ ...stored, ...(typeof fields === 'function' ? fields(stored) : fields) });
		});
	/** Removes a client with all that was recorded of her. */
	removeClient = async (id: string): Promise<void> => void (await removeRecord(this.db, 'client', id));

	async saveSequence(sequence: unknown, history: unknown = EMPTY_HISTORY): Promise<Saved<SequenceRecord>> {
		const { id, revision, updatedAt } = sequence as Sequence;
		return this.db.transaction('rw', [this.table('sequence'), this.table('second-version')], async () => {
			const known = await this.sequence(id);
			const forWhom = known?.clientId === undefined ? {} : { clientId: known.clientId };
			const draft = { id, revision, updatedAt, archived: known?.archived ?? false, ...forWhom, sequence, history };
			return saveRecord(this.db, 'sequence', draft, this.stamp());
		});
	}
	/** Takes a sequence out of the usual list, or back into it. */
	archive = async (id: string, archived: boolean): Promise<void> =>
		void (await this.table('sequence').update(id, { archived }));

	/** For whom a sequence is being made; null: for nobody. */
	makeFor = async (id: string, clientId: string | null): Promise<void> =>
		void (await this.table('sequence').update(id, { clientId }));

	/** Saves a session; a new one gets its place after all that are here, whatever the clock says. */
	async saveSession(draft: unknown): Promise<Saved<Session>> {
		const table = this.table('session');
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
		await this.table('snapshot').put(snapshot);
		return refTo(snapshot);
	}
	/** Adds a line to the log of a stage. */
	async logRun(sessionId: string, event: RunEvent): Promise<void> {
		const table = this.table('run-entry');
		await this.db.transaction('rw', [table, this.table('session')], async () => {
			if (!(await this.session(sessionId))) throw new RecordGone(sessionKind.title, null);
			const n = await table.where('sessionId').equals(sessionId).count();
			const { now } = this.stamp();
			const id = `${sessionId}:${String(n).padStart(5, '0')}`;
			await table.add({ ...event, id, revision: 1, updatedAt: now, sessionId, n });
		});
	}
	/** Logs of sessions that were ended, and never closed: nobody goes on with them any more. */
	async #forgetEndedRuns(): Promise<void> {
		const ids = (await this.table('run-entry').orderBy('sessionId').uniqueKeys()) as unknown as string[];
		for (const session of await this.table('session').bulkGet(ids))
			if (session && session.endedAt !== null) await this.endRun(session.id);
	}
	/** A stage is over and saved: its log has done its work. */
	endRun = async (sessionId: string): Promise<void> =>
		void (await this.table('run-entry').where('sessionId').equals(sessionId).delete());

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
	async removeSequence(id: string): Promise<Kept | undefined> {
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

	/** Sets the working values; null puts all of them back as shipped. @throws {ZodError} for a value out of its range */
	async saveWorking(values: unknown): Promise<void> {
		await this.db.transaction('rw', [this.table('working'), this.table('second-version')], async () => {
			const known = await this.table('working').get('working');
			if (values === null) await this.table('working').delete('working');
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
