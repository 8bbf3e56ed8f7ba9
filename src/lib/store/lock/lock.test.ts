import 'fake-indexeddb/auto';
import { describe, expect, test, vi } from 'vitest';
import { everything } from '../backup';
import { tableOf } from '../db';
import { MIN_PASSPHRASE, problemOf, TooEarly } from './lock';
import { databases, readLock, stillToWait, waitAfter } from './lockRow';
import { isSealed } from './sealedRow';
import { WrongPassphrase } from './sealing';
import { copyOf } from './sealStore';
import { at, eachOnItsOwn, fillDemo, later, locked, opened, PASS, raw, rowsOf, window } from './testing';

eachOnItsOwn();

describe('broken off', () => {
	class Killed extends Error {}
	/** Ends at the n-th page. */
	const killedAt = (page: number) => {
		let pages = 0;
		return () => {
			if (++pages === page) throw new Killed();
		};
	};

	test('in the middle of putting on: all is readable, and it goes on at the next opening', async () => {
		await fillDemo();
		const before = await raw();
		for (let page = 1; ; page++) {
			const first = window();
			const done = await first.lock.putOn(await first.lock.prepare(PASS), PASS, 10, killedAt(page)).then(
				() => true,
				(error) => {
					expect(error).toBeInstanceOf(Killed);
					return false;
				}
			);
			const next = window();
			expect((await next.lock.look())?.state).toBe(done ? 'sealed' : 'sealing');
			await next.lock.open(PASS);
			expect(await everything(next.db)).toEqual(before);
			await next.lock.resume();
			expect(next.lock.row?.state).toBe('sealed');
			expect(rowsOf(await raw()).every(isSealed)).toBe(true);
			await next.lock.takeOff(PASS);
			if (done) return expect(page).toBeGreaterThan(5);
		}
	});

	test('in the middle of taking off: all is readable, and it goes on at the next opening', async () => {
		await fillDemo();
		const before = await raw();
		for (let page = 1; ; page++) {
			const first = await locked();
			const done = await first.lock.takeOff(PASS, killedAt(page)).then(
				() => true,
				() => false
			);
			const next = window();
			expect((await next.lock.look())?.state).toBe(done ? undefined : 'unsealing');
			if (done) return expect(page).toBeGreaterThan(5);
			await next.lock.open(PASS);
			expect(await everything(next.db)).toEqual(before);
			// What is written meanwhile is plain already.
			await next.repo.saveSettings({ theme: 'evening' });
			await next.lock.resume();
			expect(await readLock(at.name)).toBeNull();
			const { settings, ...rest } = await raw();
			expect({ ...rest, settings: [] }).toEqual(before);
			expect(settings).toHaveLength(1);
			await tableOf(next.db, 'settings').clear();
		}
	});

	test('by a full disk at any write: nothing is lost, and what is sealed opens', async () => {
		await fillDemo();
		const before = await raw();
		const all = rowsOf(before).length;
		for (const failing of [1, 7, Math.floor(all / 2), all]) {
			const first = window();
			const wrapped = await first.lock.prepare(PASS);
			let writes = 0;

			const put = IDBObjectStore.prototype.put;
			const spy = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (
				this: IDBObjectStore,
				value,
				key
			) {
				if (this.name !== 'locks' && ++writes === failing) throw new DOMException('full', 'QuotaExceededError');
				return put.call(this, value, key);
			});
			await expect(first.lock.putOn(wrapped, PASS, 10)).rejects.toThrow();
			spy.mockRestore();
			const next = window();
			await next.lock.look();
			await next.lock.open(PASS);
			expect(await everything(next.db)).toEqual(before);
			await next.lock.takeOff(PASS);
			expect(await raw()).toEqual(before);
		}
	});
});

describe('the passphrase', () => {
	test('what cannot be one is said before anything is done', () => {
		expect(problemOf('short', 'short')).toContain(`5 signs; use at least ${MIN_PASSPHRASE}`);
		expect(problemOf('aaaaaaaaaaaa', 'aaaaaaaaaaaa')).toContain('repeats');
		expect(problemOf(PASS, `${PASS}.`)).toContain('not the same');
		expect(problemOf(PASS, PASS)).toBe('');
	});

	test('a wrong one waits 1, 2, 4 … s, in a new window too, and at most five minutes', async () => {
		await fillDemo();
		await locked();
		for (const wait of [1, 2, 4, 8]) {
			const { lock } = window();
			await expect(lock.open('not this one')).rejects.toThrow(WrongPassphrase);
			const again = window().lock;
			await expect(again.open(PASS)).rejects.toThrow(new TooEarly(wait).message);
			later(wait);
		}
		const { lock, repo } = window();
		await lock.open(PASS);
		expect((await repo.clients()).length).toBeGreaterThan(3);
		expect((await readLock(at.name))?.failed).toBe(0);
		expect([0, 1, 9, 10, 50].map(waitAfter)).toEqual([0, 1, 256, 300, 300]);
	});

	test('a clock that was put back makes no wait longer than it is', () => {
		expect(stillToWait({ failed: 3, failedAt: '2026-11-02T10:00:00.000Z' }, new Date('2025-01-01'))).toBe(4);
		expect(stillToWait({ failed: 0, failedAt: null }, new Date())).toBe(0);
	});

	test('the same letters typed in another way open too', async () => {
		await fillDemo();
		const here = window();
		const composed = 'caf\u00e9 with oat milk';
		await here.lock.putOn(await here.lock.prepare(composed), composed, 0);
		await window().lock.open('cafe\u0301 with oat milk');
	});

	test('another one takes its place without a record being touched', async () => {
		await fillDemo();
		const { lock } = await locked();
		const before = await raw();
		await expect(lock.change('not this one', 'four green apples')).rejects.toThrow(WrongPassphrase);
		later(1);
		await lock.change(PASS, 'four green apples');
		expect(await raw()).toEqual(before);
		const next = window();
		await expect(next.lock.open(PASS)).rejects.toThrow(WrongPassphrase);
		later(1);
		await next.lock.open('four green apples');
		expect((await next.repo.clients()).length).toBeGreaterThan(3);
		await next.lock.takeOff('four green apples');
		expect(rowsOf(await raw()).some(isSealed)).toBe(false);
	});
});

describe('the copy', () => {
	test('is sealed, opens by the passphrase only, and leaves the records alone', async () => {
		await fillDemo();
		const before = await raw();
		const { lock } = window();
		const wrapped = await lock.prepare(PASS);
		const count = await lock.copy(wrapped, PASS);
		expect(count).toBe(rowsOf(before).length);
		expect(await raw()).toEqual(before);
		await expect(lock.tryCopy(wrapped, 'not this one')).rejects.toThrow(WrongPassphrase);
		expect(await lock.tryCopy(wrapped, PASS)).toEqual({ same: count, changed: 0, lost: 0 });
		// What was changed here meanwhile is told apart from what is lost.
		const { repo } = window();
		const [client] = await repo.clients();
		await repo.saveClient({ ...client!, note: 'Warm hands.' });
		const copy = opened(undefined, copyOf(at.name));
		const session = (await copy.table('sessions').toCollection().first()) as { sealed: { data: Uint8Array } };
		session.sealed.data[3]! ^= 1;
		await copy.table('sessions').put(session);
		expect(await lock.tryCopy(wrapped, PASS)).toEqual({ same: count - 2, changed: 1, lost: 1 });
		copy.close();
		await lock.dropCopy();
		expect(await databases()).not.toContain(copyOf(at.name));
		expect(await readLock(at.name)).toBeNull();
	});
});
