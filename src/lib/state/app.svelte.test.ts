// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { NOW, sequenceOf } from '../core/testing';
import { makeDb, type SoftTideDb } from '../store/db';
import { makeDemoOnce } from '../store/openStore';
import { Repository } from '../store/repository';
import { AppState } from './app.svelte';
import { LockState } from './lock.svelte';
import { Vault } from '../store/lock/vault';

let db: SoftTideDb;
let app: AppState;
let stop: () => void;
let n = 0;
beforeEach(() => {
	localStorage.clear();
	vi.stubGlobal('matchMedia', () => ({ matches: false }));
	db = makeDb(`app-${n++}`);
	const repo = new Repository(
		db,
		() => new Date(NOW),
		() => `id-${n++}`
	);
	app = new AppState(repo, false, new LockState({ database: db.name, vault: new Vault(), clock: () => new Date() }));
	stop = app.follow();
});
afterEach(async () => {
	stop();
	await db.delete();
	vi.unstubAllGlobals();
});
const settled = (check: () => void) => vi.waitFor(check);

describe('settings', () => {
	test('begin with the defaults and follow what is saved', async () => {
		await settled(() =>
			expect(app.settings).toMatchObject({ theme: 'auto', units: 'mm', tone: true, cautionSeenAt: null })
		);
		await app.save({ units: 'inch', currentClientId: 'c' });
		await settled(() => expect(app.settings).toMatchObject({ units: 'inch', currentClientId: 'c', revision: 1 }));
	});
	test('the theme is put on the page, and remembered for the first paint of the next visit', async () => {
		await app.save({ theme: 'evening' });
		await settled(() => expect(document.documentElement.dataset.theme).toBe('evening'));
		expect(localStorage.getItem('soft-tide-theme')).toBe('evening');
		await app.save({ theme: 'auto' });
		await settled(() => expect(document.documentElement.dataset.theme).toBe('day'));
	});
	test('evening comes by itself after sunset, where it is told where; till then it looks as the device does', async () => {
		vi.useFakeTimers({ toFake: ['Date', 'setInterval', 'clearInterval'], now: new Date('2026-03-20T12:00:00Z') });
		try {
			await app.save({ theme: 'sunset' });
			await settled(() => expect(localStorage.getItem('soft-tide-theme')).toBe('auto'));
			await app.save({ place: { latitude: 0, longitude: 0 } });
			await settled(() => expect(localStorage.getItem('soft-tide-theme')).toBe('day'));
			// At an equinox the sun sets on the equator at about six, and a few minutes later here: noon is at 12:07.
			vi.setSystemTime(new Date('2026-03-20T18:00:00Z'));
			vi.advanceTimersByTime(60_000);
			expect(document.documentElement.dataset.theme).toBe('day');
			vi.setSystemTime(new Date('2026-03-20T18:20:00Z'));
			vi.advanceTimersByTime(60_000);
			await settled(() => expect(document.documentElement.dataset.theme).toBe('evening'));
			expect([app.look.dark, localStorage.getItem('soft-tide-theme')]).toEqual([true, 'evening']);
		} finally {
			vi.useRealTimers();
		}
	});
	test('a value that is not valid is told and not stored', async () => {
		await app.save({ units: 'ell' as never });
		expect(app.troubles[0]).toMatch(/could not be saved/);
		expect((await app.repo.settings()).units).toBe('mm');
		await app.save({ units: 'inch' });
		expect(app.troubles).toEqual([]);
	});
});

describe('storage', () => {
	test('a small store that is full is said once', async () => {
		const full = () => {
			throw new DOMException('', 'QuotaExceededError');
		};
		vi.stubGlobal('localStorage', { setItem: full, getItem: full });
		await app.save({ theme: 'evening' });
		await settled(() => expect(app.troubles[0]).toMatch(/does not remember small things/));
		app.dismiss(app.troubles[0]!);
		await app.save({ theme: 'day' });
		await settled(() => expect(app.settings?.theme).toBe('day'));
		expect(app.troubles).toEqual([]);
	});
	test('a failure becomes a sentence, a success takes it away', async () => {
		const failing = () => Promise.reject(Object.assign(new Error('x'), { name: 'QuotaExceededError' }));
		expect(await app.run(failing)).toBeNull();
		expect(app.troubles[0]).toMatch(/is full/);
		expect(await app.run(() => Promise.resolve(7))).toBe(7);
		expect(app.troubles).toEqual([]);
	});
	test('what failed is said until the same goes well, or until it was read', async () => {
		const failing = () => Promise.reject(Object.assign(new Error('x'), { name: 'QuotaExceededError' }));
		await app.run(failing, 'client');
		await app.run(() => Promise.resolve(1));
		expect(app.troubles).toHaveLength(1);
		await app.run(() => Promise.resolve(1), 'client');
		expect(app.troubles).toEqual([]);
		await app.run(failing, 'client');
		await app.run(failing, 'settings');
		// The same words once.
		expect(app.troubles).toHaveLength(1);
		app.dismiss(app.troubles[0]!);
		expect([app.troubles, app.storeless]).toEqual([[], '']);
		await app.run(() => Promise.reject(Object.assign(new Error('x'), { name: 'MissingAPIError' })));
		expect(app.storeless).toMatch(/no place for records/);
	});
	test('asks to keep the records once, and remembers that it was asked', async () => {
		const persist = vi.fn(() => Promise.resolve(true));
		vi.stubGlobal('navigator', { storage: { persist, persisted: () => Promise.resolve(false) } });
		await app.lookWhetherPersisted();
		expect(app.persisted).toBe(false);
		await app.persist();
		expect(app.persisted).toBe(true);
		expect(persist).toHaveBeenCalledOnce();
		expect((await app.repo.settings()).keepAskedAt).toBe(NOW);
	});
	test('a browser that knows nothing of keeping is no trouble', async () => {
		vi.stubGlobal('navigator', {});
		await app.lookWhetherPersisted();
		await app.persist();
		expect([app.persisted, app.troubles]).toEqual([false, []]);
	});
});

describe('the demo practice', () => {
	// Its pictures cannot be fetched here: it does without.
	beforeEach(() => void vi.stubGlobal('fetch', () => Promise.reject(new Error('no server'))));
	afterEach(() => void vi.unstubAllGlobals());
	test('is made once: what was wiped stays wiped', async () => {
		await makeDemoOnce(app.repo);
		expect(await app.repo.clients()).toHaveLength(4);
		expect((await app.repo.settings()).currentClientId).toBe('demo-odile');
		await app.repo.wipe();
		await makeDemoOnce(app.repo);
		expect(await app.repo.clients()).toEqual([]);
	});
	test('own work beside it is left alone', async () => {
		await app.repo.saveSequence(sequenceOf([]));
		await makeDemoOnce(app.repo);
		expect((await app.repo.sequences()).map((s) => s.id)).toContain('s1');
		expect(await app.repo.sequences()).toHaveLength(7);
	});
});
