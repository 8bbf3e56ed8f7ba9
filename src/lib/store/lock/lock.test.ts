import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { describe, expect, test, vi } from 'vitest';
import { everything } from '../backup';
import { MIN_PASSPHRASE, problemOf, TooEarly } from './refusals';
import { copyOf, databases, readLock, stillToWait, waitAfter } from './lockRow';
import { isSealed } from './sealedRow';
import { WrongPassphrase } from './sealing';
import { at, eachOnItsOwn, fillDemo, inOrder, later, locked, opened, PASS, raw, rowsOf, window } from './testing';
import { RowsDamaged } from './vault';

eachOnItsOwn();
const OTHER = 'four green apples';

class Killed extends Error {}
/** Ends when it hears of the n-th page. */
const killedAt = (page: number) => {
	let pages = 0;
	return () => {
		if (++pages === page) throw new Killed();
	};
};
const ended = (work: Promise<unknown>) =>
	work.then(
		() => true,
		(error: unknown) => {
			expect(error).toBeInstanceOf(Killed);
			return false;
		}
	);
/** Deletion that is not reached any more. */
const stopDeleting = () => vi.spyOn(Dexie, 'delete').mockRejectedValue(new Killed());

describe('broken off', () => {
	test('in the middle of putting on: it goes on when it is opened, every record is there, and nothing plain is left', async () => {
		await fillDemo();
		const before = inOrder(await raw());
		for (let page = 1; ; page++) {
			const first = window();
			const done = await ended(first.lock.putOn(await first.lock.prepare(PASS), PASS, 10, { onrows: killedAt(page) }));
			const next = window();
			await next.lock.look();
			expect(next.lock.unfinished).toBe(!done);
			// Until it is done the records are where they were.
			expect(next.lock.database === at.name).toBe(!done);
			if (!done) expect(inOrder(await raw(at.name))).toEqual(before);
			await next.lock.open(PASS);
			expect(inOrder(await everything(next.records().db))).toEqual(before);
			expect(rowsOf(await raw()).every(isSealed)).toBe(true);
			expect((await databases()).filter((name) => name.startsWith(at.name))).toEqual([next.lock.database]);
			await next.lock.takeOff(PASS);
			expect(inOrder(await raw())).toEqual(before);
			if (done) return expect(page).toBeGreaterThan(5);
		}
	});

	test('in the middle of taking off, or of another passphrase: either passphrase goes on with it', async () => {
		await fillDemo();
		const before = inOrder(await raw());
		for (const page of [1, 3, 6]) {
			const first = await locked();
			expect(await ended(first.lock.change(PASS, OTHER, { onrows: killedAt(page) }))).toBe(false);
			const next = window();
			// By either: the one that was, and the one that is to be.
			await next.lock.open(page === 3 ? PASS : OTHER);
			expect(inOrder(await everything(next.records().db))).toEqual(before);
			await expect(window().lock.open(PASS)).rejects.toThrow(WrongPassphrase);
			later(1);
			expect(await ended(next.lock.takeOff(OTHER, { onrows: killedAt(page) }))).toBe(false);
			const last = window();
			await last.lock.open(OTHER);
			expect(last.lock.row).toBeNull();
			expect(inOrder(await raw())).toEqual(before);
			expect((await databases()).filter((name) => name.startsWith(at.name))).toEqual([at.name]);
		}
	});

	test('what another window writes while the records move is taken over too', async () => {
		await fillDemo();
		const beside = window().records();
		const { lock } = window();
		let written: Promise<unknown> | null = null;
		await lock.putOn(await lock.prepare(PASS), PASS, 10, {
			onrows: () => (written ??= beside.repo.addClient({ id: 'late', name: 'Lamp 15' }))
		});
		await written;
		const next = window();
		await next.lock.open(PASS);
		expect((await next.records().repo.clients()).map((c) => c.name)).toContain('Lamp 15');
	});

	test('before what was left is deleted: it is deleted at the next start', async () => {
		await fillDemo();
		for (const putOn of [true, false]) {
			const { lock } = putOn ? window() : await locked();
			const spy = stopDeleting();
			const work = putOn ? lock.putOn(await lock.prepare(PASS), PASS, 10) : lock.takeOff(PASS);
			await expect(work).rejects.toThrow(Killed);
			spy.mockRestore();
			const next = window();
			await next.lock.look();
			expect(next.lock.unfinished).toBe(false);
			expect((await databases()).filter((name) => name.startsWith(at.name))).toHaveLength(2);
			await next.lock.tidy();
			expect((await databases()).filter((name) => name.startsWith(at.name))).toEqual([next.lock.database]);
			expect(next.lock.row === null).toBe(!putOn);
			if (putOn) await next.lock.takeOff(PASS);
		}
	});

	test('by a full disk at any write: nothing is lost, and what is sealed opens', async () => {
		await fillDemo();
		const before = inOrder(await raw());
		const all = rowsOf(before).length;
		for (const failing of [1, 7, Math.floor(all / 2), all]) {
			const first = window();
			const prepared = await first.lock.prepare(PASS);
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
			await expect(first.lock.putOn(prepared, PASS, 10)).rejects.toThrow();
			spy.mockRestore();
			const next = window();
			await next.lock.open(PASS);
			expect(inOrder(await everything(next.records().db))).toEqual(before);
			await next.lock.takeOff(PASS);
			expect(inOrder(await raw())).toEqual(before);
		}
	});

	test('no room for a second copy is said before anything is done', async () => {
		await fillDemo();
		const { lock } = window();
		const prepared = await lock.prepare(PASS);
		vi.stubGlobal('navigator', { storage: { estimate: async () => ({ usage: 90e6, quota: 100e6 }) } });
		await expect(lock.putOn(prepared, PASS, 10)).rejects.toThrow(/about 12\d MB.*allows 10 MB more/);
		vi.unstubAllGlobals();
		expect((await readLock(at.name)).row).toBeNull();
	});
});

describe('two windows, and two places', () => {
	test('two windows that put a lock on at once: one does, and every record opens by its passphrase', async () => {
		await fillDemo();
		const before = inOrder(await raw());
		const [first, second] = [window(), window()];
		const prepared = [await first.lock.prepare(PASS), await second.lock.prepare(OTHER)] as const;
		const came = await Promise.allSettled([
			first.lock.putOn(prepared[0], PASS, 10),
			second.lock.putOn(prepared[1], OTHER, 10)
		]);
		expect(came.map((c) => c.status).sort()).toEqual(['fulfilled', 'rejected']);
		// One later is told that there is one, and touches nothing.
		await expect(second.lock.putOn(prepared[1], OTHER, 10)).rejects.toThrow(/Another window has put a lock on/);
		const next = window();
		await next.lock.open(came[0]!.status === 'fulfilled' ? PASS : OTHER);
		expect(inOrder(await everything(next.records().db))).toEqual(before);
	});

	test('a lock that is not the one that was written seals nothing', async () => {
		await fillDemo();
		const before = inOrder(await raw());
		const { lock } = window();
		const [mine, foreign] = [await lock.prepare(PASS), await lock.prepare(OTHER)];
		// What is stored is another one than what was to be.
		const put = IDBObjectStore.prototype.add;
		const spy = vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(function (
			this: IDBObjectStore,
			value,
			key
		) {
			const row = value as { move?: { by: unknown } };
			return put.call(this, this.name === 'locks' ? { ...row, move: { ...row.move, by: foreign.opener } } : value, key);
		});
		await expect(lock.putOn(mine, PASS, 10)).rejects.toThrow(WrongPassphrase);
		spy.mockRestore();
		expect(inOrder(await raw(at.name))).toEqual(before);
	});

	test('what opens the records is kept twice: either opens them, and without both it is said', async () => {
		await fillDemo();
		const { lock, db } = await locked();
		db.close();
		const drop = async (name: string) => {
			const there = await new Dexie(name).open();
			await there.table('locks').clear();
			there.close();
		};
		await drop('soft-tide-lock');
		const next = window();
		await next.lock.open(PASS);
		expect(await next.records().repo.clients()).not.toHaveLength(0);
		// It was written again where it was missing: the other may go.
		await next.lock.setIdle(5);
		await drop(lock.database);
		await window().lock.open(PASS);
		await drop('soft-tide-lock');
		const last = window();
		await last.lock.look();
		expect([last.lock.lost, last.vault.hold.kind]).toEqual([true, 'shut']);
	});

	test('a damaged record does not keep the others: it is asked, left out, and named', async () => {
		await fillDemo();
		const { lock, db } = await locked();
		const all = rowsOf(await raw()).length;
		const row = (await opened(undefined, db.name).table('clients').get('demo-odile')) as {
			sealed: { data: Uint8Array };
		};
		row.sealed.data[9]! ^= 1;
		await opened(undefined, db.name).table('clients').put(row);
		await expect(lock.takeOff(PASS)).rejects.toThrow('1 record cannot be opened');
		// Nothing is gone: it is open as it lies, until it is said what becomes of that one.
		const next = window();
		await expect(next.lock.open(PASS)).rejects.toThrow(RowsDamaged);
		expect(next.vault.hold.kind).toBe('open');
		expect(await next.records().repo.sessionsOf('demo-odile' as never)).not.toHaveLength(0);
		await next.lock.open(PASS, { leaveOut: true });
		expect(next.lock.row).toBeNull();
		expect(rowsOf(await raw())).toHaveLength(all - 1);
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
		const { lock, records } = window();
		await lock.open(PASS);
		expect((await records().repo.clients()).length).toBeGreaterThan(3);
		expect((await readLock(at.name)).row?.failed).toBe(0);
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

	test('another one is another key: nothing that was sealed by the one before stays', async () => {
		await fillDemo();
		const { lock } = await locked();
		const before = lock.database;
		await expect(lock.change('not this one', OTHER)).rejects.toThrow(WrongPassphrase);
		later(1);
		await lock.change(PASS, OTHER);
		expect(lock.database).not.toBe(before);
		expect(await databases()).not.toContain(before);
		const next = window();
		await expect(next.lock.open(PASS)).rejects.toThrow(WrongPassphrase);
		later(1);
		await next.lock.open(OTHER);
		expect((await next.records().repo.clients()).length).toBeGreaterThan(3);
		await next.lock.takeOff(OTHER);
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
		const { repo } = window().records();
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
		expect((await readLock(at.name)).row).toBeNull();
	});
});
