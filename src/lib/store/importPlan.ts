import type { Backup } from '../formats/backupFile';
import type { Sequence } from '../core/sequence/sequence.schema';
import { EMPTY_HISTORY } from '../core/sequence/history';
import type { SecondVersion, SoftTideDb, StoredSequence } from './db';
import { tableOf, type PlainRecord, type Stamp } from './saveRecord';

export type ImportEffect = 'added' | 'changed' | 'skipped';
export interface PlannedRecord {
	readonly kind: SecondVersion['kind'];
	readonly id: string;
	readonly title: string;
	readonly effect: ImportEffect;
	readonly record: StoredSequence | PlainRecord;
	readonly known: StoredSequence | PlainRecord | null;
}
export interface ImportPlan {
	readonly records: readonly PlannedRecord[];
	readonly settings: Backup['settings'];
	/** Kept versions and things of the bin that are not here yet. */
	readonly kept: Backup['kept'];
	readonly comparisons: Backup['comparisons'];
}

/** Canonical text: the order of keys must not make a record look changed. */
function canonical(value: unknown): string {
	return JSON.stringify(value, (_, v: unknown) =>
		v && typeof v === 'object' && !Array.isArray(v)
			? Object.fromEntries(Object.entries(v).sort(([a], [b]) => a.localeCompare(b)))
			: v
	);
}

/** What counts as content: revision and time of saving do not. */
function contentOf(record: StoredSequence | PlainRecord): string {
	if ('sequence' in record && 'history' in record) {
		const { revision: _r, updatedAt: _u, ...rest } = record.sequence;
		return canonical(rest);
	}
	const { revision: _r, updatedAt: _u, ...rest } = record;
	return canonical(rest);
}

const stored = (sequence: Sequence, history = EMPTY_HISTORY, archived = false): StoredSequence => ({
	id: sequence.id,
	updatedAt: sequence.updatedAt,
	sequence,
	history,
	...(archived ? { archived } : {})
});

/** What an import would add, change and skip. Nothing is written. */
export async function planImport(
	db: SoftTideDb,
	backup: Pick<Backup, 'clients' | 'sequences' | 'sessions' | 'settings'> &
		Partial<Pick<Backup, 'techniques' | 'schools' | 'media' | 'kept' | 'comparisons'>>
): Promise<ImportPlan> {
	const effect = (
		kind: PlannedRecord['kind'],
		title: string,
		record: PlannedRecord['record'],
		known: PlannedRecord['known'] | undefined
	): PlannedRecord => ({
		kind,
		id: record.id,
		title,
		record,
		known: known ?? null,
		effect: !known ? 'added' : contentOf(known) === contentOf(record) ? 'skipped' : 'changed'
	});
	const names = new Map(backup.clients.map((c) => [c.id, c.name]));
	const records = [
		...(await Promise.all(backup.clients.map(async (c) => effect('client', c.name, c, await db.clients.get(c.id))))),
		...(await Promise.all(
			backup.sequences.map(async (s) =>
				effect(
					'sequence',
					s.sequence.title,
					stored(s.sequence, s.history, s.archived),
					await db.sequences.get(s.sequence.id)
				)
			)
		)),
		...(await Promise.all(
			backup.sessions.map(async (s) =>
				effect(
					'session',
					`${names.get(s.clientId) ?? s.clientId}, ${s.startedAt.slice(0, 10)}`,
					s,
					await db.sessions.get(s.id)
				)
			)
		))
	];
	const own = [
		...(backup.techniques ?? []).map((r) => ['technique', r] as const),
		...(backup.schools ?? []).map((r) => ['school', r] as const),
		...(backup.media ?? []).map((r) => ['medium', r] as const)
	];
	for (const [kind, r] of own) records.push(effect(kind, r.item.title, r, await tableOf(db, kind).get(r.id)));
	const here = new Set([
		...(await db.kept.toCollection().primaryKeys()),
		...(await db.comparisons.toCollection().primaryKeys())
	]);
	const missing = <T extends { id: string }>(list: readonly T[] = []): T[] => list.filter((r) => !here.has(r.id));
	return {
		records,
		settings: backup.settings,
		kept: missing(backup.kept),
		comparisons: missing(backup.comparisons)
	};
}

export const planOfSequence = (db: SoftTideDb, sequence: Sequence): Promise<ImportPlan> =>
	planImport(db, {
		clients: [],
		sessions: [],
		settings: null,
		sequences: [{ sequence, history: EMPTY_HISTORY, archived: false }]
	});

/** Writes a plan, all or nothing. What is replaced is kept as a second version. */
export async function applyImport(db: SoftTideDb, plan: ImportPlan, stamp: Stamp): Promise<void> {
	await db.transaction('rw', db.tables, async () => {
		for (const { kind, record, known, effect, id } of plan.records) {
			if (effect === 'skipped') continue;
			if (known)
				await db.secondVersions.put({
					id: stamp.newId(),
					kind,
					recordId: id,
					savedAt: stamp.now,
					record: known
				});
			if (kind !== 'sequence')
				await tableOf(db, kind).put({ ...(record as PlainRecord), revision: nextRevision(record, known) });
			else {
				const { sequence, ...rest } = record as StoredSequence;
				const before = (known as StoredSequence | null)?.sequence;
				await db.sequences.put({
					...rest,
					sequence: { ...sequence, revision: nextRevision(sequence, before ?? null) }
				});
			}
		}
		await db.kept.bulkPut([...plan.kept]);
		await db.comparisons.bulkPut([...plan.comparisons]);
		const mine = await db.settings.get('settings');
		if (plan.settings && !mine) await db.settings.put(plan.settings);
	});
}

/** A replaced record gets a revision above both, so that an open editor notices. */
function nextRevision(record: object, known: object | null): number {
	const revision = (r: object | null) => (r && 'revision' in r ? Number(r.revision) : 0);
	return known ? Math.max(revision(record), revision(known)) + 1 : revision(record);
}
