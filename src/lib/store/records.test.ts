import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { NOW } from '../core/testing';
import { allKinds, KIND_IDS, kindOf, type KindId } from '../core/records/kinds';
import type { RecordKind } from '../core/records/record';
import { recordsDoc } from '../core/records/recordsDoc';
import { anyStore, begunSession } from '../core/records/testing';
import type { SomeRows } from '../formats/backup/backupSchema';
import { uncheckedBackup } from '../formats/backup/testing';
import { readBackup } from '../formats/backup/readBackup';
import { backupOf, writeBackup } from '../formats/backup/writeBackup';
import { everything, pagesFrom } from './backup';
import { makeDb, tableOf, type SoftTideDb } from './db';
import { applyImport, planImport, previewOf } from './importPlan';
import { removeRecord } from './removeRecord';
import { Repository } from './repository';
import { saveRecord, settleVersions } from './saveRecord';

/** A kind that nobody has thought of yet: a row of its table and a line, and everything knows it. */
vi.mock('../core/records/tables', async (original) => {
	const { TABLES } = await original<typeof import('../core/records/tables')>();
	const { 'second-version': last, ...plain } = TABLES;
	const tables = { ...plain, wish: { table: 'wishes', indexes: { 5: 'id, clientId' } }, 'second-version': last };
	return { TABLES: tables, KIND_IDS: Object.keys(tables), tableRow: (id: KindId) => tables[id] };
});
vi.mock('../core/records/kindTable', async (original) => {
	const { RECORD_KINDS } = await original<typeof import('../core/records/kindTable')>();
	const { secondVersionKind } = await import('../core/records/secondVersion');
	const { RecordFields } = await import('../core/records/fields.schema');
	const { sequenceAt } = await import('../core/records/record');
	const { SequenceSchema } = await import('../core/sequence/sequence.schema');
	const { z } = await import('zod');
	const wishKind: RecordKind<never> = {
		id: 'wish',
		table: 'wishes',
		title: 'Wish',
		titles: 'Wishes',
		what: 'What a client wishes for, with the sequence that would serve it.',
		schema: z.strictObject({
			...RecordFields,
			clientId: z.string(),
			wish: z.string(),
			sequence: SequenceSchema
		}) as never,
		indexes: { 5: 'id, clientId' },
		limit: 10,
		refs: [
			{ to: 'client', index: 'clientId', of: (w: { clientId: string }) => [w.clientId], removed: 'go', must: true }
		],
		sequences: sequenceAt('sequence'),
		meets: 'beside',
		preview: 'listed',
		nameOf: (w: { wish: string }) => w.wish
	} as never;
	const { 'second-version': _second, ...plain } = RECORD_KINDS;
	const kinds = { ...plain, wish: wishKind };
	const beside = Object.values(kinds).filter((k) => k.meets === 'beside') as never;
	return { RECORD_KINDS: { ...kinds, 'second-version': secondVersionKind(beside) } };
});

type Store = Record<string, { id: string }[]>;
/** Random full stores, with wishes of the first client. */
const fullStore = anyStore.map((rows) => {
	const wish = {
		id: 'w',
		revision: 1,
		updatedAt: NOW,
		clientId: 'client-0',
		wish: 'Lighter',
		sequence: rows.sequence[0]!.sequence
	};
	return { ...rows, wish: [wish] } as unknown as Store;
});

let made: SoftTideDb[] = [];
let n = 0;
const opened = () => {
	const db = makeDb(`records-${n++}`);
	made.push(db);
	return db;
};
const stamp = { now: NOW, newId: () => `new-${n++}` };
async function filled(rows: Store): Promise<SoftTideDb> {
	const db = opened();
	// As the store itself writes them: what a schema has read has its fields in the order of the schema.
	for (const kind of allKinds()) await db.table(kind.table).bulkPut(rows[kind.id]!.map((r) => kind.schema.parse(r)));
	return db;
}
afterEach(async () => {
	for (const db of made) await db.delete();
	made = [];
});

/** Everything that a browser holds of a database, as text. */
const textOf = async (db: SoftTideDb): Promise<string> => {
	const tables = await Promise.all(db.tables.map(async (t) => [t.name, await t.toArray()] as const));
	return JSON.stringify(tables);
};

describe('over random full stores', () => {
	test('export, wipe, import: every table is the same again, to the byte', async () => {
		await fc.assert(
			fc.asyncProperty(fullStore, async (rows) => {
				const db = await filled(rows);
				const before = await textOf(db);
				const chunks: Uint8Array[] = [];
				await writeBackup(NOW, pagesFrom(db), (c) => chunks.push(c));
				await new Repository(db, () => new Date(NOW), stamp.newId).wipe();
				expect((await Promise.all(db.tables.map((t) => t.count()))).every((c) => c === 0)).toBe(true);
				const read = await readBackup(Uint8Array.from(chunks.flatMap((c) => [...c])));
				if (!read.ok) throw new Error(JSON.stringify(read.problems));
				await applyImport(db, await planImport(db, read.value.rows), stamp);
				expect(await textOf(db)).toBe(before);
			}),
			{ numRuns: 12 }
		);
	});
	test('a second import of the same changes nothing', async () => {
		await fc.assert(
			fc.asyncProperty(fullStore, async (rows) => {
				const db = await filled(rows);
				const plan = await planImport(db, (await everything(db)) as SomeRows);
				expect(plan.records.filter((r) => r.effect !== 'skipped')).toEqual([]);
				expect(previewOf(plan).worth).toBe(false);
			}),
			{ numRuns: 8 }
		);
	});
	test('after a client is removed nothing holds her id or her words, and nothing points nowhere', async () => {
		await fc.assert(
			fc.asyncProperty(fullStore, async (rows) => {
				const db = await filled(rows);
				const [her, ...others] = rows.client as unknown as { id: string; name: string; cautions: string }[];
				const clientOf = (s: { clientId?: string }) => s.clientId === her!.id;
				const hers = (rows.session as unknown as { id: string; clientId: string }[]).filter(clientOf);
				await removeRecord(db, 'client', her!.id);
				const text = await textOf(db);
				for (const word of [her!.id, her!.cautions, ...hers.map((s) => s.id)])
					expect(text.includes(JSON.stringify(word)), word).toBe(false);
				const rest = await everything(db);
				expect(rest.client!.map((c) => c.id)).toEqual(others.map((c) => c.id));
				const read = await readBackup(await backupOf(NOW, rest));
				expect(read.ok ? [] : read.problems).toEqual([]);
				const wanted = new Set(rest.session!.flatMap((s) => (s.sequence ? [s.sequence.snapshot] : [])));
				for (const second of rest['second-version']!)
					for (const ref of kindOf(second.kind as KindId).refs ?? [])
						if (ref.to === 'snapshot') ref.of(second.record).forEach((id) => wanted.add(id));
				expect(new Set(rest.snapshot!.map((s) => s.id))).toEqual(wanted);
				expect(rest.settings![0]!.currentClientId).toBeNull();
			}),
			{ numRuns: 25 }
		);
	});
	test('every kind is in these stores, so that none goes unseen', () => {
		const seen = new Set<string>();
		for (const rows of fc.sample(fullStore, { numRuns: 40, seed: 2 }))
			for (const id of KIND_IDS) if (rows[id]!.length) seen.add(id);
		expect([...seen].sort()).toEqual([...KIND_IDS].sort());
	});
});

describe('a kind that was only declared', () => {
	const id = 'wish' as KindId;
	const [rows] = fc.sample(fullStore, { numRuns: 1, seed: 3 });
	const wish = rows!.wish![0] as never as { id: string; revision: number; wish: string };
	test('is saved with revisions, and an older save stands beside until one is chosen', async () => {
		const db = await filled(rows!);
		await saveRecord(db, id, { ...wish, wish: 'Mine' }, stamp);
		expect((await saveRecord(db, id, { ...wish, wish: 'Yours' }, stamp)).outcome).toBe('second-version');
		const [second] = await tableOf(db, 'second-version').where('recordId').equals('w').toArray();
		expect(second!.record).toMatchObject({ wish: 'Yours' });
		await settleVersions(db, second!, 'second', stamp);
		expect(await db.table('wishes').get('w')).toMatchObject({ wish: 'Yours', revision: 3 });
		await expect(saveRecord(db, id, { ...wish, wish: 5 }, stamp)).rejects.toThrow(/wish/);
	});
	test('is named in the preview of an import, counted, written down in docs, and goes with its client', async () => {
		const db = opened();
		const plan = await planImport(db, rows as unknown as SomeRows);
		expect(previewOf(plan).records).toContainEqual({ kind: 'wish', id: 'w', title: 'Lighter', effect: 'added' });
		await applyImport(db, plan, stamp);
		const repo = new Repository(db, () => new Date(NOW), stamp.newId);
		expect(await repo.counts()).toMatchObject({ wish: 1 });
		expect(recordsDoc()).toContain('## Wish');
		await repo.removeClient('client-0');
		expect(await repo.counts()).toMatchObject({ wish: 0 });
	});
	test('a file that names a client who is not in it is refused at the field', async () => {
		const read = await readBackup(uncheckedBackup({ ...(rows as unknown as SomeRows), client: [], binary: [] }));
		expect(read.ok ? [] : read.problems.map((p) => p.path)).toContain('wishes[0].clientId');
	});
});

describe('what a session performed', () => {
	const CLIENT = { id: 'client-0', revision: 0, updatedAt: NOW, name: 'Bo' };
	const [rows] = fc.sample(anyStore, { numRuns: 1, seed: 11 });
	const sequence = rows!.sequence[0]!.sequence;
	const session = (id: string) => begunSession(id, 'client-0');
	test('is stored once for all sessions that performed the same, and goes with the last of them', async () => {
		const db = opened();
		const repo = new Repository(db, () => new Date(NOW), stamp.newId);
		await repo.saveClient(CLIENT);
		for (const id of ['a', 'b']) await repo.startSession(session(id), sequence);
		await repo.startSession(session('c'), { ...sequence, title: 'Another' });
		expect(await repo.counts()).toMatchObject({ session: 3, snapshot: 2 });
		expect((await repo.performed((await repo.session('b'))!))!.title).toBe(sequence.title);
		expect((await repo.openSessions()).map((s) => s.id)).toEqual(['a', 'b', 'c']);
		await removeRecord(db, 'session', 'a');
		expect(await repo.counts()).toMatchObject({ session: 2, snapshot: 2, 'run-entry': 2 });
		await removeRecord(db, 'session', 'b');
		expect(await repo.counts()).toMatchObject({ session: 1, snapshot: 1 });
	});
	test('performed otherwise from the middle on, the session keeps that, and the other goes with the next sweep', async () => {
		const db = opened();
		const repo = new Repository(db, () => new Date(NOW), stamp.newId);
		await repo.saveClient(CLIENT);
		for (const id of ['a', 'b']) await repo.startSession(session(id), sequence);
		const kept = await repo.keepPerformed({ ...sequence, title: 'As performed' });
		await repo.saveSession({ ...(await repo.session('a')), sequence: kept });
		const titles = async () =>
			Promise.all(['a', 'b'].map(async (id) => (await repo.performed((await repo.session(id))!))!.title));
		expect(await titles()).toEqual(['As performed', sequence.title]);
		await removeRecord(db, 'session', 'b');
		expect(await repo.counts()).toMatchObject({ session: 1, snapshot: 1 });
		expect((await repo.performed((await repo.session('a'))!))!.title).toBe('As performed');
	});
	test('a stage keeps a log that is only added to, and it goes when the stage is over', async () => {
		const repo = new Repository(opened(), () => new Date(NOW), stamp.newId);
		await repo.saveClient(CLIENT);
		await repo.startSession(session('a'), sequence);
		for (let seconds = 1; seconds < 12; seconds++)
			await repo.logRun('a', { kind: 'still', seconds, atMs: 1000 * seconds });
		const log = await repo.run('a');
		expect(log.map((r) => [r.n, r.seconds])).toEqual(Array.from({ length: 12 }, (_, i) => [i, i]));
		await repo.endRun('a');
		expect(await repo.openSessions()).toEqual([]);
	});
});
