// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { newAnswer } from '../core/client/answers';
import { begunSession } from '../core/records/testing';
import { CONTEXT, NOW, sequenceOf, step } from '../core/testing';
import { makeDb, type SoftTideDb } from '../store/db';
import { Repository } from '../store/repository';
import { OpenSession } from './openSession.svelte';

let db: SoftTideDb;
let repo: Repository;
let n = 0;
const sequence = sequenceOf([step('a', ['chin', 'jawline']), step('b', ['malar', 'zygoma'])]);
beforeEach(async () => {
	db = makeDb(`open-session-${n++}`);
	repo = new Repository(
		db,
		() => new Date(NOW),
		() => `id-${n++}`
	);
	for (const id of ['c', 'd']) await repo.addClient({ id, name: id.toUpperCase() });
	for (const [id, of] of [
		['x', 'c'],
		['y', 'd']
	] as const)
		expect((await repo.startSession(begunSession(id, of), sequence)).outcome).toBe('saved');
});
afterEach(() => db.delete());
const opening = () =>
	new OpenSession({ repo, context: CONTEXT, today: { current: '2026-03-01' } as never }, undefined, () => {});

test('a session comes with its own client, its log and the stage; another one that is asked for meanwhile wins', async () => {
	const session = opening();
	await Promise.all([session.load('x'), session.load('y')]);
	expect(session.current).toMatchObject({ client: { id: 'd' }, sequence: { id: 's1' }, resumable: false, refused: [] });
	expect(session.current?.draft.current.id).toBe('y');
	expect([session.onStage, session.current?.log?.map((l) => l.kind)]).toEqual([true, ['begin']]);
});

test('what cannot be read is failed, never a session without limits', async () => {
	const session = opening();
	const reads = vi.spyOn(repo, 'client').mockRejectedValueOnce(new Error('the disk'));
	await session.load('x');
	expect([session.current, session.missing, session.failed !== null]).toEqual([null, false, true]);
	reads.mockRestore();
	await session.again();
	expect(session.current?.client.id).toBe('c');
	await session.load('nowhere');
	expect([session.current, session.missing]).toEqual([null, true]);
});

test('what ends the day ends it before it has begun, and not on the way', async () => {
	await repo.changeClient('c', { answers: [newAnswer({ flag: 'fever', says: 'yes', day: '2026-03-01', at: NOW })] });
	const session = opening();
	await session.load('x');
	expect([session.current?.refused.map((r) => r.name), session.current?.log]).toEqual([['Fever'], null]);
	await repo.logRun('x', { kind: 'go', seconds: 0, atMs: 1 });
	await session.load('x');
	expect([session.current?.refused, session.onStage]).toEqual([[], true]);
});

test('ended, it can be taken up again until it is closed; what was performed before a change is found by its snapshot', async () => {
	const session = opening();
	await session.load('x');
	const before = (await repo.keepPerformed(sequence))!;
	await repo.logRun('x', { kind: 'go', seconds: 0, atMs: 1 });
	await repo.logRun('x', { kind: 'mark', mark: 'more', seconds: 3, atMs: 4, snapshot: before.snapshot });
	const changed = { ...sequence, title: 'Changed' };
	await session.current!.draft.change({ endedAt: NOW, note: 'n' });
	session.ended(changed);
	expect(session.current).toMatchObject({ sequence: { title: 'Changed' }, planned: { id: 's1' }, resumable: true });
	await session.load('x');
	expect([session.current?.resumable, session.onStage]).toEqual([true, false]);
	await session.resume();
	expect([session.onStage, session.current?.log?.length]).toEqual([true, 3]);
	expect(session.current?.plans.get(before.snapshot)?.id).toBe('s1');
	await session.current!.draft.change({ endedAt: NOW });
	expect(await session.close({ sideEffects: 'none' })).toBe(true);
	await session.load('x');
	expect(session.current?.resumable).toBe(false);
	expect(await repo.run('x')).toEqual([]);
});

test('what the visit before taught comes with it, of this client alone', async () => {
	const over = { ...begunSession('before', 'c'), endedAt: NOW, note: 'warmer hands', happened: [] };
	await repo.writeSession(over, sequence);
	await repo.writeSession({ ...begunSession('theirs', 'd'), endedAt: NOW, note: 'of another one' }, sequence);
	const session = opening();
	await session.load('x');
	expect(session.current?.learnt.map((l) => l.words)).toContain('warmer hands');
	expect(JSON.stringify(session.current?.learnt)).not.toContain('of another one');
});
