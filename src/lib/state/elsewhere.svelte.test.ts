// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { MEDIA } from '../core/medium/media';
import type { Medium } from '../core/medium/medium.schema';
import { EMPTY_HISTORY } from '../core/sequence/history';
import { CONTEXT, NOW, sequenceOf, step } from '../core/testing';
import { setHead } from '../core/sequence/edits';
import { makeDb, type SoftTideDb } from '../store/db';
import { Repository } from '../store/repository';
import { ClientEdits } from './clientEdits.svelte';
import { CustomEditing } from './customEditing.svelte';
import { Exchange } from './exchange.svelte';
import { SequenceDraft } from './sequenceDraft.svelte';
import { SessionDraft } from './sessionDraft.svelte';

let db: SoftTideDb;
let repo: Repository;
let n = 0;
beforeEach(() => {
	db = makeDb(`elsewhere-${n++}`);
	repo = new Repository(
		db,
		() => new Date(NOW),
		() => `id-${n++}`
	);
});
afterEach(() => db.delete());
const run = <T>(work: () => Promise<T>) => work();
const CLIENT = { id: 'c', revision: 0, updatedAt: NOW, name: 'Bo' };
const sequence = sequenceOf([step('a', ['chin', 'jawline'])]);

describe('removed in another window while it was edited here', () => {
	test('a sequence asks, and goes on as a new one with all its edits, or is let go', async () => {
		const { record } = await repo.saveSequence(sequence);
		const draft = new SequenceDraft({ sequence: record.sequence, history: EMPTY_HISTORY }, CONTEXT, repo);
		await repo.removeSequence('s1');
		draft.do(setHead(draft.sequence, { title: 'Late' }, 'Rename'));
		await vi.waitFor(() => expect(draft.saving.state).toBe('gone'));
		expect(draft.saving.gone).toMatchObject({ keepable: true, words: expect.stringContaining('removed') });
		draft.do(setHead(draft.sequence, { title: 'Later' }, 'Rename again'));
		expect(await repo.sequence('s1')).toBeUndefined();
		draft.keepAsNew();
		await vi.waitFor(async () => expect((await repo.sequence('s1'))?.sequence.title).toBe('Later'));
		expect((await repo.sequence('s1'))!.history.past).toHaveLength(2);
		expect((await repo.bin()).map((k) => k.sequence.title)).toEqual([sequence.title]);
	});
	test('a session goes with its client: it cannot be kept', async () => {
		await repo.saveClient(CLIENT);
		const session = { id: 'x', revision: 0, updatedAt: NOW, clientId: 'c', startedAt: NOW };
		const { record } = await repo.saveSession({ ...session, before: { takenAt: NOW, entries: [] } });
		const draft = new SessionDraft(record, repo);
		await repo.removeClient('c');
		await draft.change({ note: 'late' });
		expect(draft.saving.gone).toMatchObject({ keepable: false, words: expect.stringContaining('so was the client') });
		expect((await repo.counts()).session).toBe(0);
	});
	test('a client comes back only when asked', async () => {
		await repo.saveClient(CLIENT);
		const client = (await repo.client('c'))!;
		const edits = new ClientEdits({ repo, run, current: { byId: () => client } } as never);
		await edits.change('c', { note: 'first' });
		expect([edits.said, (await repo.client('c'))!.note]).toEqual(['Saved', 'first']);
		await repo.removeClient('c');
		await edits.change('c', { note: 'second' });
		expect([edits.gone?.keepable, await repo.client('c')]).toEqual([true, undefined]);
		edits.keepAsNew();
		await vi.waitFor(async () => expect(await repo.client('c')).toMatchObject({ note: 'second', revision: 1 }));
		await repo.removeClient('c');
		await edits.change('c', { note: 'third' });
		edits.drop();
		edits.keepAsNew();
		expect([edits.gone, await repo.client('c')]).toEqual([null, undefined]);
	});
	test('fields of one client that are typed one after the other add up', async () => {
		await repo.saveClient(CLIENT);
		const edits = new ClientEdits({ repo, run, current: { byId: () => null } } as never);
		await Promise.all([
			edits.change('c', { name: 'Bodil' }),
			edits.change('c', { note: 'n' }),
			edits.change('c', { cautions: 'm' })
		]);
		expect(await repo.client('c')).toMatchObject({ name: 'Bodil', note: 'n', cautions: 'm', revision: 4 });
		expect(await repo.secondVersionsOf('c')).toEqual([]);
	});
	test('a medium in a form asks too; one that was changed meanwhile is kept beside', async () => {
		const editing = new CustomEditing<Medium>({ repo, run } as never, 'medium');
		editing.begin({ ...MEDIA[0]!, id: 'mine', title: 'My oil' });
		expect(await editing.keep(editing.item!)).toBe(true);
		await editing.change('mine');
		await repo.keepCustom('medium', { ...MEDIA[0]!, id: 'mine', title: 'Theirs' }, 1);
		expect(await editing.keep({ ...editing.item!, title: 'Mine' })).toBe(true);
		expect((await repo.versionPair('medium', 'mine'))?.second.record).toMatchObject({ item: { title: 'Mine' } });
		await editing.change('mine');
		await repo.removeCustom('medium', 'mine');
		expect(await editing.keep({ ...editing.item!, title: 'Late' })).toBe(false);
		expect([editing.gone?.keepable, editing.item?.title]).toEqual([true, 'Theirs']);
		editing.keepAsNew();
		await vi.waitFor(async () => expect((await repo.customLibrary()).media.map((m) => m.title)).toEqual(['Late']));
		await vi.waitFor(() => expect(editing.item).toBeNull());
		await editing.change('unknown');
		expect(editing.item).toBeNull();
	});
});

describe('files', () => {
	const preview = { records: [], counts: [], leftOut: [], worth: true };
	const client = {
		write: vi.fn(() =>
			Promise.resolve({
				exportedAt: NOW,
				file: new Blob(),
				leftOut: [] as { path: string; message: string; remedy: string }[]
			})
		),
		read: vi.fn((_file: Blob, mend: boolean) =>
			Promise.resolve(
				mend
					? { ok: true as const, value: preview }
					: { ok: false as const, problems: [{ path: 'clients[0]', message: 'm', remedy: 'r' }], mendable: true }
			)
		),
		apply: vi.fn<() => Promise<number | typeof preview>>(() => Promise.resolve(2)),
		forget: vi.fn(),
		close: vi.fn()
	};
	const told: string[] = [];
	const exchange = new Exchange(client as never, (words) => told.push(words));
	test('one with faults is offered without them', async () => {
		await exchange.read(new Blob(['x']));
		expect([exchange.problems.length, exchange.mendable, exchange.preview]).toEqual([1, true, null]);
		await exchange.mend();
		expect([exchange.problems.length, exchange.mendable, exchange.preview]).toEqual([0, false, preview]);
	});
	test('what was changed here meanwhile is shown anew instead of written', async () => {
		const anew = { ...preview, worth: false };
		client.apply.mockResolvedValueOnce(anew);
		await exchange.apply();
		expect([exchange.preview, exchange.said]).toEqual([anew, expect.stringContaining('nothing was imported')]);
		await exchange.apply();
		expect([exchange.preview, exchange.said]).toEqual([null, '2 records are in.']);
	});
	test('what is not in a backup is named', async () => {
		client.write.mockResolvedValueOnce({
			exportedAt: NOW,
			file: new Blob(),
			leftOut: [{ path: 'sessions[0]', message: 'no client', remedy: '' }]
		});
		await exchange.write();
		expect(exchange.said).toBe('Not in the file, since it could not be read again: sessions[0], no client');
	});
});
