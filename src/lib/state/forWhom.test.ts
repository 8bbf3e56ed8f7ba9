import 'fake-indexeddb/auto';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { emptyAssessment } from '../core/assess/assessment';
import { stepsOf } from '../core/sequence/walk';
import { NOW, sequenceOf, step } from '../core/testing';
import { exampleToShow } from './example';
import { makeDb, type SoftTideDb } from '../store/db';
import { Repository } from '../store/repository';

let db: SoftTideDb;
let repo: Repository;
let n = 0;
beforeEach(async () => {
	db = makeDb(`whom-${n++}`);
	repo = new Repository(
		db,
		() => new Date(NOW),
		() => `id-${n++}`
	);
	await repo.saveClient({ id: 'c', revision: 0, updatedAt: NOW, name: 'Bo' });
});
afterEach(() => db.delete());
const sequence = sequenceOf([step('a', ['chin', 'jawline'])]);

test('for whom a sequence is made stays through saves and goes with her', async () => {
	await repo.saveSequence(sequence);
	expect((await repo.sequence(sequence.id))!.clientId).toBeUndefined();
	await repo.makeFor(sequence.id, 'c');
	const { revision } = (await repo.sequence(sequence.id))!;
	await repo.saveSequence({ ...sequence, revision, title: 'Other' });
	expect((await repo.sequence(sequence.id))!).toMatchObject({ clientId: 'c', sequence: { title: 'Other' } });
	await repo.removeClient('c');
	const left = (await repo.sequence(sequence.id))!;
	expect([left.clientId, left.sequence.title]).toEqual([undefined, 'Other']);
	await repo.makeFor(sequence.id, null);
	expect((await repo.sequence(sequence.id))!.clientId).toBeNull();
});

test('an interrupted session is no visit until it is over', async () => {
	const base = { revision: 0, updatedAt: NOW, clientId: 'c', startedAt: NOW, before: emptyAssessment(NOW) };
	await repo.saveSession({ ...base, id: 'done', endedAt: NOW });
	const open = await repo.startSession({ ...base, id: 'open', endedAt: null } as never, sequence);
	expect((await repo.visits()).get('c')!.count).toBe(1);
	await repo.saveSession({ ...open.record, endedAt: NOW });
	expect((await repo.visits()).get('c')!.count).toBe(2);
});

test('a tour has something to show: what is long enough, else a copy of a ready one', async () => {
	await repo.saveSequence(sequence);
	const made = await exampleToShow(repo);
	expect(made).not.toBe(sequence.id);
	const shown = (await repo.sequence(made))!.sequence;
	expect(stepsOf(shown).length).toBeGreaterThanOrEqual(8);
	expect(shown.title).toMatch(/to look around in$/);
	expect(await exampleToShow(repo)).toBe(made);
});
