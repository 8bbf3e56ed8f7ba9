// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { MEDIA } from '../core/medium/media';
import type { Medium } from '../core/medium/medium.schema';
import type { Client } from '../core/records/client';
import type { Photo } from '../core/records/photo';
import { setHead } from '../core/sequence/edits';
import { CONTEXT, NOW, sequenceOf, step } from '../core/testing';
import { makeDb, type SoftTideDb } from '../store/db';
import { Repository } from '../store/repository';
import { ClientEdits } from './clientEdits.svelte';
import { CustomEditing } from './customEditing.svelte';
import { PhotoPoints } from './photoPoints.svelte';
import { SequenceDraft } from './sequenceDraft.svelte';
import { SessionDraft } from './sessionDraft.svelte';

let db: SoftTideDb;
let repo: Repository;
let n = 0;
beforeEach(async () => {
	db = makeDb(`windows-${n++}`);
	repo = new Repository(
		db,
		() => new Date(NOW),
		() => `id-${n++}`
	);
});
afterEach(() => db.delete());
const run = <T>(work: () => Promise<T>) => work();
const book = { urlOf: () => Promise.resolve('blob:x') } as never;
const PICTURE = { type: 'image/png', bytes: new Uint8Array([1, 2, 3]) };

/** One window: it edits, says when it is told that all of it is saved, and is left. */
interface Window {
	/** Writes a text that is this window's own from now on. */
	write(text: string): void;
	/** Resolves when it is told that what was written is kept. @returns whether it is */
	told(): Promise<boolean>;
}
const keptStates = ['saved', 'second-version'];

/** How each kind of record is edited in a window. */
const KINDS: Record<string, () => Promise<() => Promise<Window>>> = {
	client: async () => {
		await repo.addClient({ id: 'c', name: 'Bo' });
		return async () => {
			let seen = (await repo.client('c'))!;
			const edits = new ClientEdits({ repo, run, current: { byId: () => seen } } as never);
			let last: Promise<unknown> = Promise.resolve();
			return {
				write: (text) => {
					// A field that is typed in: it knows the text from which it was typed on, and sees nothing of the other window.
					const from = seen.note;
					last = edits.change(
						'c',
						() => ({ note: text }),
						(stored: Client) => ![from, text].includes(stored.note)
					);
					seen = { ...seen, note: text };
				},
				told: async () => {
					await last;
					return edits.said !== '';
				}
			};
		};
	},
	session: async () => {
		await repo.addClient({ id: 'c', name: 'Bo' });
		const base = { id: 'x', revision: 0, updatedAt: NOW, clientId: 'c', startedAt: NOW };
		expect((await repo.saveSession({ ...base, before: { takenAt: NOW, entries: [] } })).outcome).toBe('saved');
		return async () => {
			const draft = new SessionDraft((await repo.session('x'))!, repo);
			return loopOf(draft.saving, (note) => void draft.change({ note }));
		};
	},
	sequence: async () => {
		await repo.addSequence(sequenceOf([step('a', ['chin', 'jawline'])]));
		return async () => {
			const draft = new SequenceDraft((await repo.sequence('s1'))!, CONTEXT, repo);
			return loopOf(draft.saving, (notes) => void draft.do(setHead(draft.sequence, { notes }, 'Notes')));
		};
	},
	photo: async () => {
		await repo.addClient({ id: 'c', name: 'Bo' });
		const taking = { clientId: 'c', sessionId: null, when: 'before', view: 'front', takenAt: NOW } as const;
		const more = { source: 'file', widthPx: 600, heightPx: 800, points: {}, suggested: {}, truth: null } as const;
		const photo = await repo.photos.add(
			{ ...taking, ...more, scale: { kind: 'none' }, distanceMm: null, note: '' },
			PICTURE,
			PICTURE
		);
		return async () => {
			const points = (await PhotoPoints.open(repo.photos, book, photo.id))!;
			return loopOf(points.saving, (text) => {
				// Where a point lies says which of the texts it was.
				points.placing.putAll({ exL: [10 + (Number(text.replace(/\D/g, '')) % 500), 20] });
			});
		};
	},
	medium: async () => {
		expect((await repo.keepCustom('medium', { ...MEDIA[0]!, id: 'mine' }, 0)).outcome).toBe('saved');
		return async () => {
			const editing = new CustomEditing<Medium>({ repo, run } as never, 'medium');
			await editing.change('mine');
			let kept: Promise<boolean> = Promise.resolve(true);
			const item = editing.item!;
			return {
				write: (note) => void (kept = kept.then(() => editing.keep({ ...item, note }))),
				told: () => kept
			};
		};
	}
};
function loopOf(saving: { readonly state: string }, write: (text: string) => void): Window {
	return {
		write,
		told: async () => {
			await vi.waitFor(() => expect(saving.state).not.toBe('saving'), { timeout: 5000 });
			await new Promise((done) => setTimeout(done, 30));
			await vi.waitFor(() => expect(saving.state).not.toBe('saving'), { timeout: 5000 });
			return keptStates.includes(saving.state);
		}
	};
}

/** All that is kept anywhere, as text: the stored records, and their second versions. */
async function everything(): Promise<string> {
	const tables = await Promise.all(db.tables.map((table) => table.toArray()));
	return JSON.stringify(tables);
}
const textOf = (kind: string, text: string) =>
	kind === 'photo' ? `[${10 + (Number(text.replace(/\D/g, '')) % 500)},20]` : text;

describe.each(Object.keys(KINDS))('a %s in two and three windows', (kind) => {
	test('whatever is written where, and in whatever order: nothing that was told to be kept is nowhere', async () => {
		await fc.assert(
			fc.asyncProperty(
				fc.integer({ min: 2, max: 3 }),
				fc.array(fc.tuple(fc.nat(2), fc.boolean()), { minLength: 1, maxLength: 7 }),
				async (count, writes) => {
					await db.delete();
					await db.open();
					const open = await KINDS[kind]!();
					const windows = await Promise.all(Array.from({ length: count }, open));
					const last = new Map<number, string>();
					for (const [i, [which, waits]] of writes.entries()) {
						const at = which % count;
						const text = `text ${100 + i} of window ${at}`;
						windows[at]!.write(text);
						last.set(at, text);
						if (waits) expect(await windows[at]!.told()).toBe(true);
					}
					for (const [at] of last) expect(await windows[at]!.told()).toBe(true);
					const kept = await everything();
					for (const [at, text] of last) expect(kept, `window ${at}`).toContain(textOf(kind, text));
				}
			),
			{ numRuns: 12 }
		);
	});
});

test('points that are placed after a photograph was changed elsewhere are kept beside it, and both are told apart', async () => {
	const open = await KINDS.photo!();
	const [one, two] = [await open(), await open()];
	one.write('text 1');
	expect(await one.told()).toBe(true);
	two.write('text 2');
	two.write('text 3');
	expect(await two.told()).toBe(true);
	const [photo] = (await db.table('photos').toArray()) as Photo[];
	const seconds = await repo.secondVersionsOf(photo!.id);
	expect(photo!.points.exL).toEqual([11, 20]);
	expect(seconds.map((s) => (s.record as unknown as Photo).points.exL)).toEqual([[13, 20]]);
});

test('the choice between two versions made elsewhere takes nothing that is written on', async () => {
	const open = await KINDS.session!();
	const [one, two] = [await open(), await open()];
	one.write('mine');
	await one.told();
	two.write('yours');
	await two.told();
	const pair = (await repo.versionPair('session', 'x'))!;
	await repo.settle(pair.second, 'stored');
	two.write('yours, and more');
	expect(await two.told()).toBe(true);
	expect(await everything()).toContain('yours, and more');
	expect((await repo.session('x'))!.note).toBe('mine');
});
