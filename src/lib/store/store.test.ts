import 'fake-indexeddb/auto';
import { afterEach, describe, expect, test } from 'vitest';
import { sampleComparison } from '../core/records/testing';
import { CONTEXT, sequenceOf, step, NOW } from '../core/testing';
import { setHead } from '../core/sequence/edits';
import { commit, EMPTY_HISTORY } from '../core/sequence/history';
import { SessionSchema } from '../core/records/session';
import { emptyAssessment } from '../core/assess/assessment';
import type { SequenceRecord } from '../core/records/sequenceRecord';
import { readBackup } from '../formats/backup/readBackup';
import { backupOf } from '../formats/backup/writeBackup';
import { everything } from './backup';
import { MEDIA } from '../core/medium/media';
import { kindOf } from '../core/records/kinds';
import { makeDb, type SoftTideDb } from './db';
import { applyImport, planImport, planOfSequence } from './importPlan';
import { settleVersions } from './saveRecord';
import { storageTrouble } from './plainWords';
import { Repository } from './repository';

let made: SoftTideDb[] = [];
let n = 0;
function repository() {
	const db = makeDb(`test-${n++}`);
	made.push(db);
	return new Repository(
		db,
		() => new Date(NOW),
		() => `id-${n++}`
	);
}
afterEach(async () => {
	for (const db of made) await db.delete();
	made = [];
});

const sequence = sequenceOf([step('a', ['chin', 'jawline'])]);
const client = { id: 'c', revision: 0, updatedAt: NOW, name: 'Bo' };
const session = {
	id: 'x',
	revision: 0,
	updatedAt: NOW,
	clientId: 'c',
	startedAt: NOW,
	before: emptyAssessment(NOW)
};

async function filled() {
	const repo = repository();
	await repo.saveClient(client);
	const draft = commit({ sequence, history: EMPTY_HISTORY }, setHead(sequence, { title: 'Two' }, 'Rename'));
	await repo.saveSequence(draft.sequence, draft.history);
	await repo.saveSession(session);
	await repo.saveSettings({ theme: 'evening' });
	return repo;
}

describe('revisions', () => {
	test('each save counts up; the history is stored with the sequence', async () => {
		const repo = await filled();
		const stored = (await repo.sequence('s1'))!;
		expect(stored.sequence.revision).toBe(1);
		expect(stored.history.past[0]!.label).toBe('Rename');
	});
	test('a save from an older revision never overwrites: it stands beside, and can be settled three ways', async () => {
		const repo = await filled();
		const mine = (await repo.sequence('s1'))!.sequence;
		await repo.saveSequence({ ...mine, title: 'Mine' });
		const late = await repo.saveSequence({ ...mine, title: 'Yours' });
		expect(late.outcome).toBe('second-version');
		expect((await repo.sequence('s1'))!.sequence.title).toBe('Mine');
		const [second] = await repo.secondVersionsOf('s1');
		expect((second!.record as unknown as SequenceRecord).sequence.title).toBe('Yours');
		await settleVersions(repo.db, second!, 'both', repo.stamp());
		expect((await repo.sequences()).map((s) => s.sequence.title).sort()).toEqual(['Mine', 'Yours (second version)']);
		const again = await repo.saveSequence({ ...mine, title: 'Late again' });
		expect(again.outcome).toBe('second-version');
		await settleVersions(repo.db, (await repo.secondVersionsOf('s1'))[0]!, 'second', repo.stamp());
		expect((await repo.sequence('s1'))!.sequence).toMatchObject({ title: 'Late again', revision: 3 });
	});
	test('the same for a client', async () => {
		const repo = await filled();
		const [stored] = await repo.clients();
		await repo.saveClient({ ...stored, name: 'Bodil' });
		expect((await repo.saveClient({ ...stored, name: 'Bob' })).outcome).toBe('second-version');
		expect((await repo.client('c'))!.name).toBe('Bodil');
		const [second] = await repo.secondVersionsOf('c');
		await settleVersions(repo.db, second!, 'second', repo.stamp());
		expect(await repo.client('c')).toMatchObject({ name: 'Bob', revision: 3 });
		expect(await repo.secondVersionsOf('c')).toEqual([]);
	});
	test('for a session the stored one may stand', async () => {
		const repo = await filled();
		const stored = (await repo.session('x'))!;
		await repo.saveSession({ ...stored, note: 'first' });
		await repo.saveSession({ ...stored, note: 'late' });
		await settleVersions(repo.db, (await repo.secondVersionsOf('x'))[0]!, 'stored', repo.stamp());
		expect((await repo.session('x'))!.note).toBe('first');
		expect(await repo.secondVersionsOf('x')).toEqual([]);
	});
	test('lists come in their order, and what is unknown is not there', async () => {
		const repo = await filled();
		await repo.saveClient({ ...client, id: 'd', name: 'Anouk' });
		expect((await repo.clients()).map((c) => c.name)).toEqual(['Anouk', 'Bo']);
		// The clock was set back meanwhile: what comes later stands later.
		await repo.saveSession({ ...session, id: 'w', startedAt: '2026-02-01T08:00:00.000Z' });
		expect((await repo.sessionsOf('c')).map((s) => s.id)).toEqual(['x', 'w']);
		expect((await repo.sessionsSince('')).map((s) => s.id)).toEqual(['w', 'x']);
		const lastOrder = Date.parse(session.startedAt) + 1;
		const lastAt = new Date(lastOrder).toISOString();
		expect([...(await repo.visits())]).toEqual([['c', { count: 2, lastOrder, lastAt }]]);
		expect((await repo.lastVisits()).get('c')!.id).toBe('w');
		expect((await repo.lastSessionOf('c'))!.id).toBe('w');
		expect((await repo.counts()).session).toBe(2);
		expect(await repo.sequence('nothing')).toBeUndefined();
		const removed = await repo.removeSequence('s1');
		expect(await repo.sequences()).toEqual([]);
		expect((await repo.bin()).map((k) => k.id)).toEqual([removed!.id]);
		expect(await repo.putBack(removed!.id)).toBe('s1');
		expect([await repo.bin(), await repo.putBack(removed!.id), await repo.removeSequence('nothing')]).toEqual([
			[],
			undefined,
			undefined
		]);
		expect(await repo.sequences()).toHaveLength(1);
		expect((await repo.settings()).theme).toBe('evening');
	});
	test('what was removed elsewhere does not come back by itself, and never without its owner', async () => {
		const repo = await filled();
		const [stored, visit] = [(await repo.client('c'))!, (await repo.session('x'))!];
		const { sequence: composed, history } = (await repo.sequence('s1'))!;
		await repo.removeClient('c');
		await repo.removeSequence('s1');
		await expect(repo.saveClient({ ...stored, name: 'Late' })).rejects.toThrow(/client was removed in another window/);
		await expect(repo.saveSession({ ...visit, note: 'late' })).rejects.toThrow(/so was the client/);
		await expect(repo.saveSession({ ...visit, id: 'new', revision: 0 })).rejects.toMatchObject({ owner: 'client' });
		await expect(repo.saveSequence(composed, history)).rejects.toMatchObject({ name: 'RecordGone', owner: null });
		await expect(repo.logRun('x', { kind: 'still', seconds: 1, atMs: 1 })).rejects.toThrow(/removed/);
		const left = await everything(repo.db);
		expect([left.client, left.session, left.sequence, left['run-entry']]).toEqual([[], [], [], []]);
		expect((await repo.saveSequence({ ...composed, revision: 0 }, history)).record.revision).toBe(1);
	});
	test('a removed sequence takes its second versions into the bin, and each can come back', async () => {
		const repo = await filled();
		const mine = (await repo.sequence('s1'))!.sequence;
		await repo.saveSequence({ ...mine, title: 'Mine' });
		await repo.saveSequence({ ...mine, title: 'Yours' });
		const removed = (await repo.removeSequence('s1'))!;
		expect((await repo.bin()).map((k) => k.sequence.title).sort()).toEqual(['Mine', 'Yours']);
		await repo.putBack(removed.id);
		await repo.putBack((await repo.bin())[0]!.id);
		expect((await repo.sequences()).map((s) => s.sequence.title).sort()).toEqual(['Mine', 'Yours']);
		expect(await repo.secondVersionsOf('s1')).toEqual([]);
	});
	test('an own move that was changed elsewhere while it stood in a form is kept beside', async () => {
		const repo = repository();
		const item = { ...MEDIA[0]!, id: 'mine', title: 'My oil' };
		const { record } = await repo.keepCustom('medium', item, 0);
		await repo.keepCustom('medium', { ...item, title: 'Theirs' }, record.revision);
		expect((await repo.keepCustom('medium', { ...item, title: 'Mine' }, record.revision)).outcome).toBe(
			'second-version'
		);
		const pair = (await repo.versionPair('medium', 'mine'))!;
		const titles = [pair.stored, pair.second.record].map((r) => kindOf('medium').facts!(r)[0]![1]);
		expect(titles).toEqual(['Theirs', 'Mine']);
		await repo.settle(pair.second, 'second');
		expect((await repo.customLibrary()).media.map((m) => m.title)).toEqual(['Mine']);
		expect(await repo.versionPair('medium', 'mine')).toBeNull();
	});
	test('a draft that is not valid is refused and nothing is stored', async () => {
		const repo = await filled();
		await expect(repo.saveClient({ ...client, name: '' })).rejects.toThrow(/name/);
		expect((await repo.client('c'))!.name).toBe('Bo');
	});
	test('removing a client removes her sessions', async () => {
		const repo = await filled();
		await repo.removeClient('c');
		expect(await repo.sessionsOf('c')).toEqual([]);
	});
});

describe('versions, bin and archive', () => {
	test('a version is kept as it was under a name, however the sequence goes on', async () => {
		const repo = await filled();
		const stored = (await repo.sequence('s1'))!;
		const kept = await repo.keepVersion(stored, 'Before the change');
		await repo.saveSequence({ ...stored.sequence, title: 'Later' }, stored.history);
		expect((await repo.versionsOf('s1')).map((v) => [v.name, v.sequence.title])).toEqual([
			['Before the change', stored.sequence.title]
		]);
		await repo.discard(kept.id);
		expect(await repo.versionsOf('s1')).toEqual([]);
	});
	test('what comes back from the bin never replaces a sequence that is there meanwhile', async () => {
		const repo = await filled();
		const stored = (await repo.sequence('s1'))!;
		const gone = (await repo.removeSequence('s1'))!;
		await repo.saveSequence({ ...stored.sequence, revision: 0, title: 'Made meanwhile' });
		const id = await repo.putBack(gone.id);
		expect(id).not.toBe('s1');
		expect((await repo.sequences()).map((s) => s.sequence.title).sort()).toEqual(
			['Made meanwhile', stored.sequence.title].sort()
		);
		expect((await repo.sequence(id!))!.sequence.id).toBe(id);
	});
	test('an archived sequence stays so when it is edited, and comes back', async () => {
		const repo = await filled();
		await repo.archive('s1', true);
		const stored = (await repo.sequence('s1'))!;
		await repo.saveSequence({ ...stored.sequence, title: 'Edited' }, stored.history);
		expect((await repo.sequence('s1'))!.archived).toBe(true);
		await repo.archive('s1', false);
		expect((await repo.sequence('s1'))!.archived).toBe(false);
	});
	test('tells when each sequence was last used in a session', async () => {
		const repo = await filled();
		const { sequence } = (await repo.sequence('s1'))!;
		const begun = SessionSchema.parse(session);
		await repo.startSession({ ...begun, id: 'u1', startedAt: '2027-02-01T08:00:00.000Z' }, sequence);
		await repo.startSession({ ...begun, id: 'u2', startedAt: '2027-02-20T08:00:00.000Z' }, sequence);
		expect([...(await repo.lastUsed())]).toEqual([['s1', '2027-02-20T08:00:00.000Z']]);
	});
});

describe('backup, wipe, import', () => {
	test('all is there again', async () => {
		const repo = await filled();
		await repo.keepVersion((await repo.sequence('s1'))!, 'Kept');
		await repo.archive('s1', true);
		const before = await everything(repo.db);
		const bytes = await backupOf(NOW, before);
		await repo.wipe();
		expect((await everything(repo.db)).client).toEqual([]);
		const read = await readBackup(bytes);
		if (!read.ok) throw new Error('refused');
		const plan = await planImport(repo.db, read.value.rows);
		expect(plan.records.map((r) => `${r.kind} ${r.effect}`)).toEqual([
			'client added',
			'sequence added',
			'session added',
			'kept added',
			'settings added'
		]);
		await applyImport(repo.db, plan, repo.stamp());
		expect(await everything(repo.db)).toEqual(before);
	});
	test('the preview tells added, changed and skipped; what is replaced is kept; settings of one’s own stay', async () => {
		const repo = await filled();
		const content = await everything(repo.db);
		const plan = await planImport(repo.db, { ...content, client: [{ ...content.client![0]!, name: 'Bo the second' }] });
		expect(plan.records.map((r) => `${r.kind} ${r.effect}`)).toEqual([
			'client changed',
			'sequence skipped',
			'session skipped',
			'settings skipped'
		]);
		expect((await repo.client('c'))!.name).toBe('Bo');
		await applyImport(repo.db, plan, repo.stamp());
		expect((await repo.client('c'))!.name).toBe('Bo the second');
		expect((await repo.secondVersionsOf('c'))[0]!.record).toMatchObject({ name: 'Bo' });
	});
	test('settings of a backup come back where nothing but consent was said here; else mine stay', async () => {
		const content = await everything((await filled()).db);
		const fresh = repository();
		await fresh.saveSettings({ cautionSeenAt: NOW });
		const plan = await planImport(fresh.db, content);
		expect(plan.records.find((r) => r.kind === 'settings')!.effect).toBe('changed');
		await applyImport(fresh.db, plan, fresh.stamp());
		expect(await fresh.settings()).toMatchObject({ theme: 'evening', cautionSeenAt: NOW });
		expect((await fresh.counts())['second-version']).toBe(0);
		const own = repository();
		await own.saveSettings({ units: 'inch' });
		expect((await planImport(own.db, content)).records.find((r) => r.kind === 'settings')!.effect).toBe('skipped');
	});
	test('archive flags and histories of equal sequences come back; a sequence file alone says nothing of them', async () => {
		const repo = await filled();
		const content = await everything(repo.db);
		await repo.archive('s1', true);
		const stored = (await repo.sequence('s1'))!;
		const plan = await planImport(repo.db, content);
		expect(plan.records.find((r) => r.kind === 'sequence')!.effect).toBe('changed');
		await applyImport(repo.db, plan, repo.stamp());
		expect((await repo.sequence('s1'))!.archived).toBe(false);
		expect((await planOfSequence(repo.db, stored.sequence)).records.map((r) => r.effect)).toEqual(['skipped']);
		const removed = await repo.removeSequence('s1');
		expect(removed!.archived).toBe(false);
	});
	test('what is changed here after the file was read is never overwritten: the plan is made anew', async () => {
		const repo = await filled();
		const content = await everything(repo.db);
		const theirs = { ...content, client: [{ ...content.client![0]!, name: 'Theirs' }] };
		const plan = await planImport(repo.db, theirs);
		await repo.saveClient({ ...(await repo.client('c')), name: 'Meanwhile' });
		await expect(applyImport(repo.db, plan, repo.stamp())).rejects.toMatchObject({ name: 'PlanStale', count: 1 });
		expect((await repo.client('c'))!.name).toBe('Meanwhile');
		await applyImport(repo.db, await planImport(repo.db, theirs), repo.stamp());
		expect(await repo.client('c')).toMatchObject({ name: 'Theirs', revision: 3 });
		expect((await repo.secondVersionsOf('c'))[0]!.record).toMatchObject({ name: 'Meanwhile' });
		const removed = await planImport(repo.db, theirs);
		await repo.removeClient('c');
		await expect(applyImport(repo.db, removed, repo.stamp())).rejects.toThrow(/changed here since/);
	});
	test('all or nothing: a record that cannot be stored takes the rest back', async () => {
		const repo = repository();
		const plan = await planOfSequence(repo.db, sequence);
		const broken = { ...plan.records[0]!, kind: 'client' as const, record: { noId: true } as never };
		await expect(
			applyImport(repo.db, { ...plan, records: [plan.records[0]!, broken] }, repo.stamp())
		).rejects.toThrow();
		expect(await repo.sequences()).toEqual([]);
	});
});

test('storage trouble is told in plain words with what to do', () => {
	const named = (name: string) => storageTrouble(Object.assign(new Error('x'), { name }));
	expect(named('QuotaExceededError')).toMatch(/full.*Export a backup/);
	expect(named('BlockedError')).toMatch(/Close the other windows/);
	expect(named('OpenFailedError')).toMatch(/private window/);
	expect(storageTrouble('odd')).toMatch(/odd/);
});

describe('comparisons by the model', () => {
	test('are saved whole, listed, exported, brought in elsewhere once, and thrown away', async () => {
		const repo = repository();
		const {
			id: _id,
			revision: _r,
			updatedAt: _u,
			...draft
		} = sampleComparison([sequence, { ...sequence, id: 's2' }], CONTEXT);
		const saved = await repo.saveComparison(draft);
		expect(await repo.comparisons()).toEqual([saved]);
		await expect(repo.saveComparison({ ...draft, input: { ...draft.input, sequences: [sequence] } })).rejects.toThrow(
			/at least 2 sequences are compared/
		);
		const read = await readBackup(await backupOf(NOW, await everything(repo.db)));
		if (!read.ok) throw new Error(JSON.stringify(read.problems));
		const other = repository();
		await applyImport(other.db, await planImport(other.db, read.value.rows), other.stamp());
		expect(await other.comparisons()).toEqual([saved]);
		expect((await planImport(other.db, read.value.rows)).records.map((r) => r.effect)).toEqual(['skipped']);
		await repo.discardComparison(saved.id);
		expect(await repo.comparisons()).toEqual([]);
	});
});
