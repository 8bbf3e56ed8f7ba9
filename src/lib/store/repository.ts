import { ComparisonSchema, type Comparison } from '../core/flow/comparison.schema';
import {
	ClientSchema,
	SessionSchema,
	SettingsSchema,
	type Client,
	type Session,
	type Settings
} from '../core/measure/records.schema';
import { SequenceSchema, type Sequence } from '../core/sequence/sequence.schema';
import type { Medium } from '../core/medium/medium.schema';
import type { School } from '../core/school/school.schema';
import type { Technique } from '../core/technique/technique.schema';
import { EMPTY_HISTORY, HistorySchema, type History } from '../core/sequence/history';
import type { Backup } from '../formats/backupFile';
import { KeptSchema, type Kept } from '../formats/kept.schema';
import { CUSTOM_SCHEMAS, type CustomKind, type CustomRecord } from '../core/own/own.schema';
import type { SoftTideDb, StoredSequence } from './db';
import { saveRecord, saveSequence, tableOf, type Saved, type Stamp } from './saveRecord';

/** One’s own additions to the library. */
export interface CustomLibrary {
	readonly techniques: readonly Technique[];
	readonly schools: readonly School[];
	readonly media: readonly Medium[];
}

/** Everything the pages ask of the database. Drafts come as `unknown`: whatever a form or a rune hands over is checked here. */
export class Repository {
	constructor(
		readonly db: SoftTideDb,
		private readonly clock: () => Date,
		private readonly newId: () => string
	) {}

	stamp(): Stamp {
		return { now: this.clock().toISOString(), newId: this.newId };
	}

	clients = () => this.db.clients.orderBy('name').toArray();
	client = (id: string) => this.db.clients.get(id);
	sequences = () => this.db.sequences.orderBy('updatedAt').reverse().toArray();
	sequence = (id: string) => this.db.sequences.get(id);
	session = (id: string) => this.db.sessions.get(id);
	sessionsOf = (clientId: string) => this.db.sessions.where('clientId').equals(clientId).sortBy('startedAt');
	allSessions = () => this.db.sessions.toArray();
	secondVersionsOf = (recordId: string) => this.db.secondVersions.where('recordId').equals(recordId).toArray();

	async saveClient(draft: unknown): Promise<Saved<Client>> {
		return saveRecord(this.db, 'client', ClientSchema.parse(draft), this.stamp());
	}

	async saveSession(draft: unknown): Promise<Saved<Session>> {
		return saveRecord(this.db, 'session', SessionSchema.parse(draft), this.stamp());
	}

	async saveSequence(sequence: unknown, history: unknown = EMPTY_HISTORY): Promise<Saved<StoredSequence>> {
		const checked: { sequence: Sequence; history: History } = {
			sequence: SequenceSchema.parse(sequence),
			history: HistorySchema.parse(history)
		};
		return saveSequence(this.db, checked, this.stamp());
	}

	techniques = () => this.db.techniques.toArray();
	schools = () => this.db.schools.toArray();
	media = () => this.db.media.toArray();

	/** All that she has added to the shipped library, by title. */
	async customLibrary(): Promise<CustomLibrary> {
		const items = async <T extends { title: string }>(rows: Promise<readonly { item: T }[]>): Promise<T[]> =>
			(await rows).map((r) => r.item).sort((a, b) => a.title.localeCompare(b.title));
		return {
			techniques: await items(this.techniques()),
			schools: await items(this.schools()),
			media: await items(this.media())
		};
	}

	/** Saves one's own technique, school or medium; its id is that of the item. */
	async saveCustom(kind: CustomKind, draft: unknown): Promise<Saved<CustomRecord>> {
		return saveRecord<CustomRecord>(this.db, kind, CUSTOM_SCHEMAS[kind].parse(draft), this.stamp());
	}

	/** Keeps an item of her own library, new or changed. */
	async keepCustom(kind: CustomKind, item: CustomRecord['item']): Promise<Saved<CustomRecord>> {
		const known = await tableOf(this.db, kind).get(item.id);
		return this.saveCustom(kind, { id: item.id, revision: known?.revision ?? 0, updatedAt: this.stamp().now, item });
	}

	/** Removes one's own technique, school or medium and hands it over, so that it can be put back. Sequences keep their copies. */
	async removeCustom(kind: CustomKind, id: string): Promise<CustomRecord | undefined> {
		const table = tableOf(this.db, kind);
		const known = (await table.get(id)) as CustomRecord | undefined;
		await table.delete(id);
		return known;
	}

	async putCustomBack(kind: CustomKind, record: CustomRecord): Promise<void> {
		await tableOf(this.db, kind).put(record);
	}

	/** Removes a sequence into the bin, from where it can come back; undefined where it is gone already. */
	async removeSequence(id: string): Promise<Kept | undefined> {
		const { db } = this;
		return db.transaction('rw', [db.sequences, db.kept], async () => {
			const stored = await db.sequences.get(id);
			if (!stored) return undefined;
			const kept = this.#keep('removed', stored, '');
			await db.kept.put(kept);
			await db.sequences.delete(id);
			return kept;
		});
	}

	#keep(kind: Kept['kind'], stored: Pick<StoredSequence, 'sequence' | 'history'>, name: string): Kept {
		const { now: keptAt, newId } = this.stamp();
		const { sequence, history } = stored;
		return KeptSchema.parse({ id: newId(), kind, sequenceId: sequence.id, keptAt, name, sequence, history });
	}

	/** What lies in the bin, latest first. */
	bin = async (): Promise<Kept[]> => (await this.db.kept.where('kind').equals('removed').sortBy('keptAt')).reverse();

	/** Takes a sequence out of the bin. Where one of its id is there meanwhile, it comes back as a sequence of its own. */
	async putBack(keptId: string): Promise<string | undefined> {
		const { db } = this;
		return db.transaction('rw', [db.sequences, db.kept], async () => {
			const kept = await db.kept.get(keptId);
			if (!kept) return undefined;
			const { now, newId } = this.stamp();
			const id = (await db.sequences.get(kept.sequenceId)) ? newId() : kept.sequenceId;
			const sequence = { ...kept.sequence, id };
			await db.sequences.put({ id, updatedAt: now, sequence, history: kept.history });
			await db.kept.delete(keptId);
			return id;
		});
	}

	/** Throws a kept version, or something in the bin, away for good. */
	discard = (keptId: string): Promise<void> => this.db.kept.delete(keptId);

	/** Keeps a sequence as it is now under a name. */
	async keepVersion(draft: Pick<StoredSequence, 'sequence' | 'history'>, name: string): Promise<Kept> {
		const kept = this.#keep('version', draft, name);
		await this.db.kept.put(kept);
		return kept;
	}

	/** The versions of a sequence that were kept, latest first. */
	versionsOf = async (sequenceId: string): Promise<Kept[]> =>
		(await this.db.kept.where('sequenceId').equals(sequenceId).sortBy('keptAt'))
			.filter((k) => k.kind === 'version')
			.reverse();

	/** The comparisons that were saved, latest first. */
	comparisons = (): Promise<Comparison[]> => this.db.comparisons.orderBy('updatedAt').reverse().toArray();
	discardComparison = (id: string): Promise<void> => this.db.comparisons.delete(id);

	/** Saves a comparison with all that it was asked. It is never changed afterwards. */
	async saveComparison(draft: Omit<Comparison, 'id' | 'revision' | 'updatedAt'>): Promise<Comparison> {
		const { now, newId } = this.stamp();
		const comparison = ComparisonSchema.parse({ ...draft, id: newId(), revision: 1, updatedAt: now });
		await this.db.comparisons.put(comparison);
		return comparison;
	}

	/** Takes a sequence out of the usual list, or back into it. */
	async archive(id: string, archived: boolean): Promise<void> {
		await this.db.sequences.update(id, { archived });
	}

	/** When each sequence was last begun in a session, by its id: ISO date and time. Reads keys only. */
	async lastUsed(): Promise<Map<string, string>> {
		const keys = (await this.db.sessions.orderBy('[sequence.id+startedAt]').keys()) as unknown as [string, string][];
		return new Map(keys);
	}

	/** Removes a client with all that was recorded of her. */
	async removeClient(id: string): Promise<void> {
		await this.db.transaction('rw', [this.db.clients, this.db.sessions], async () => {
			await this.db.sessions.where('clientId').equals(id).delete();
			await this.db.clients.delete(id);
		});
	}

	async settings(): Promise<Settings> {
		const known = await this.db.settings.get('settings');
		return known ?? SettingsSchema.parse({ id: 'settings', revision: 0, updatedAt: this.stamp().now });
	}

	async saveSettings(change: Partial<Settings>): Promise<void> {
		await this.db.transaction('rw', [this.db.settings], async () => {
			const now = await this.settings();
			const next = { ...now, ...change, revision: now.revision + 1, updatedAt: this.stamp().now };
			await this.db.settings.put(SettingsSchema.parse(next));
		});
	}

	/** All that is stored, as the content of a backup. */
	async everything(): Promise<Omit<Backup, 'format' | 'version' | 'core' | 'caution'>> {
		const { db } = this;
		const sequences = await db.sequences.toArray();
		return {
			exportedAt: this.stamp().now,
			clients: await db.clients.toArray(),
			sequences: sequences.map(({ sequence, history, archived = false }) => ({ sequence, history, archived })),
			kept: await db.kept.toArray(),
			comparisons: await db.comparisons.toArray(),
			sessions: await db.sessions.toArray(),
			techniques: await db.techniques.toArray(),
			schools: await db.schools.toArray(),
			media: await db.media.toArray(),
			settings: (await db.settings.get('settings')) ?? null
		};
	}

	/** Empties the database: everything goes, settings too. */
	async wipe(): Promise<void> {
		const { db } = this;
		await db.transaction('rw', db.tables, async () => {
			for (const table of db.tables) await table.clear();
		});
	}
}
