import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { SequenceSchema } from '../core/sequence/sequence.schema';
import { HistorySchema } from '../core/sequence/history.schema';
import { MEDIA } from '../core/medium/media';
import { SCHOOLS } from '../core/school/schools';
import { TECHNIQUES } from '../core/technique/library';
import { NOW } from '../core/testing';
import { KIND_IDS, kindOf } from '../core/records/kinds';
import { readBackup } from '../formats/backup/readBackup';
import { backupOf } from '../formats/backup/writeBackup';
import { everything } from './backup';
import { makeDb, tableOf } from './db';
import { applyImport, planImport } from './importPlan';
import { Repository } from './repository';

const OLD_STORES = {
	clients: 'id, name, updatedAt',
	sequences: 'id, updatedAt',
	sessions: 'id, clientId, startedAt, [clientId+startedAt]',
	settings: 'id',
	secondVersions: 'id, recordId'
};
let n = 0;
const repositoryOf = (db: ReturnType<typeof makeDb>) =>
	new Repository(
		db,
		() => new Date(NOW),
		() => `new-${n++}`
	);

test('a database of the first version is brought up to date: sequences, their histories and second versions', async () => {
	const backup = JSON.parse(readFileSync(new URL('../formats/fixtures/backup-1.json', import.meta.url), 'utf8')) as {
		clients: { id: string }[];
		sessions: { id: string }[];
		sequences: { sequence: { id: string; updatedAt: string }; history: unknown }[];
	};
	const old = new Dexie('upgrade-test');
	old.version(1).stores(OLD_STORES);
	const stored = backup.sequences.map((s) => ({ id: s.sequence.id, updatedAt: s.sequence.updatedAt, ...s }));
	await old.table('sequences').bulkPut(stored);
	await old.table('clients').bulkPut(backup.clients);
	await old.table('sessions').bulkPut(backup.sessions);
	await old.table('secondVersions').bulkPut([
		{ id: 'v', kind: 'sequence', recordId: stored[0]!.id, savedAt: NOW, record: stored[0] },
		{ id: 'w', kind: 'session', recordId: backup.sessions[0]!.id, savedAt: NOW, record: backup.sessions[0] }
	]);
	old.close();

	const heard: [number, number][] = [];
	const db = makeDb('upgrade-test', (done, total) => heard.push([done, total]));
	const rows = await repositoryOf(db).sequences();
	expect(rows).toHaveLength(stored.length);
	for (const row of rows) {
		expect(SequenceSchema.safeParse(row.sequence).success).toBe(true);
		expect(HistorySchema.safeParse(row.history).success).toBe(true);
	}
	// Whoever waits is told how far it is, up to the end.
	expect(heard.length).toBeGreaterThan(backup.sessions.length);
	expect(heard.every(([done, total]) => done <= total)).toBe(true);
	expect(heard.at(-1)![0]).toBe(heard.at(-1)![1]);
	const sessions = await tableOf(db, 'session').toArray();
	expect(sessions.length).toBe(backup.sessions.length);
	expect(sessions.some((s) => s.sequence)).toBe(true);
	for (const s of sessions.filter((x) => x.sequence))
		expect((await repositoryOf(db).performed(s))!.title).toBe(s.sequence!.title);
	expect(await tableOf(db, 'client').count()).toBe(backup.clients.length);
	// Whatever the table: what is in it now is what the schema of its kind says.
	for (const id of KIND_IDS)
		for (const record of await db.table(kindOf(id).table).toArray()) {
			const checked = kindOf(id).schema.safeParse(record);
			expect(checked.success ? [] : checked.error.issues, id).toEqual([]);
		}
	await db.delete();
});

test('her own techniques, schools and media are saved, listed, exported, brought in elsewhere, removed and put back', async () => {
	const own = { technique: TECHNIQUES[5]!, school: SCHOOLS[2]!, medium: MEDIA[0]! } as const;
	const db = makeDb('own-test');
	const repo = repositoryOf(db);
	for (const [kind, item] of Object.entries(own) as ['technique', (typeof own)['technique']][])
		await repo.keepCustom(kind, { ...item, id: 'mine', title: `My ${kind}` } as never, 0);
	const library = await repo.customLibrary();
	expect([library.techniques, library.schools, library.media].map((list) => list.map((i) => i.title))).toEqual([
		['My technique'],
		['My school'],
		['My medium']
	]);
	const read = await readBackup(await backupOf(NOW, await everything(db)));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	const other = makeDb('own-test-other');
	const plan = await planImport(other, read.value.rows);
	expect(plan.records.map((r) => `${r.kind} ${r.effect}`)).toEqual(['technique added', 'school added', 'medium added']);
	await applyImport(other, plan, repo.stamp());
	expect(await repositoryOf(other).customLibrary()).toEqual(library);
	expect((await planImport(other, read.value.rows)).records.every((r) => r.effect === 'skipped')).toBe(true);
	const gone = (await repo.removeCustom('technique', 'mine'))!;
	expect((await repo.customLibrary()).techniques).toEqual([]);
	await repo.putCustomBack('technique', gone);
	expect((await repo.customLibrary()).techniques).toHaveLength(1);
	await expect(repo.keepCustom('school', { id: 'x', title: 'no school' } as never, 0)).rejects.toThrow();
	await db.delete();
	await other.delete();
});
