// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { NOW } from '../core/testing';
import { makeDb } from '../store/db';
import { databases } from '../store/lock/lockRow';
import { Vault } from '../store/lock/vault';
import { Repository } from '../store/repository';
import { LockChange } from './lockChange.svelte';
import { LockSetup } from './lockSetup.svelte';
import { LockState } from './lock.svelte';

const PASS = 'linseed oil by candlelight';
let n = 0;
let database = '';
let nowMs = 0;
const left = vi.fn();
let ends: (() => void)[] = [];

/** The line between windows, within one of them: Node's own cannot hand a key on that it was handed itself. */
class Line extends EventTarget {
	static all = new Set<Line>();
	constructor(readonly name: string) {
		super();
		Line.all.add(this);
	}
	postMessage(data: unknown): void {
		for (const other of Line.all)
			if (other !== this && other.name === this.name)
				setImmediate(() => Line.all.has(other) && other.dispatchEvent(new MessageEvent('message', { data })));
	}
	close = (): boolean => Line.all.delete(this);
}
vi.stubGlobal('BroadcastChannel', Line);

/** A window of the browser, as the layout makes one. */
async function window(): Promise<{ lock: LockState; repo: Repository }> {
	const vault = new Vault();
	const lock = new LockState({ database, vault, clock: () => new Date(nowMs), leave: left, rounds: 10 });
	const db = makeDb(database, undefined, vault);
	const stop = lock.follow();
	ends.push(() => {
		stop();
		db.close();
	});
	const repo = new Repository(
		db,
		() => new Date(nowMs),
		() => `id-${n++}`
	);
	await lock.look();
	return { lock, repo };
}
async function set(lock: LockState): Promise<LockSetup> {
	const setup = new LockSetup(lock);
	setup.retype('passphrase', PASS);
	setup.retype('again', PASS);
	await setup.makeCopy();
	await setup.tryCopy(PASS);
	await setup.putOn();
	return setup;
}
const client = { id: 'c', revision: 0, updatedAt: NOW, name: 'Lamp 14' };
/** A minute goes by, as the clock of the wall and that of the window say. */
async function pass(seconds: number): Promise<void> {
	for (let s = 0; s < seconds; s++) {
		nowMs += 1000;
		await vi.advanceTimersByTimeAsync(1000);
	}
}

beforeEach(() => {
	database = `lock-state-${n++}`;
	nowMs = Date.parse(NOW);
	left.mockClear();
});
afterEach(async () => {
	vi.useRealTimers();
	for (const end of ends) end();
	ends = [];
	for (const name of await databases()) await Dexie.delete(name);
});

test('the way to a lock: a wrong word is said, the copy is tried, then it is put on', async () => {
	const { lock, repo } = await window();
	expect(lock.phase).toBe('none');
	await repo.saveClient(client);
	const setup = new LockSetup(lock);
	setup.retype('passphrase', 'short');
	await setup.makeCopy();
	expect(setup.problem).toContain('at least 10');
	expect(setup.copied).toBeNull();
	setup.retype('passphrase', PASS);
	setup.retype('again', PASS);
	await setup.makeCopy();
	expect(setup.copied).toBe(1);
	// Nothing is locked yet, and not before the copy was opened.
	await setup.putOn();
	expect(lock.set).toBe(false);
	await setup.tryCopy('something else');
	expect(setup.problem).toContain('does not open');
	expect(setup.proven).toBe(false);
	await setup.tryCopy(PASS);
	expect([setup.problem, setup.proven, setup.tried]).toEqual(['', true, { same: 1, changed: 0, lost: 0 }]);
	// Another passphrase has to be tried anew.
	setup.retype('again', `${PASS} `);
	expect([setup.copied, setup.proven]).toEqual([null, false]);
	setup.retype('again', PASS);
	await setup.makeCopy();
	await setup.tryCopy(PASS);
	await setup.putOn();
	expect([lock.phase, lock.row?.state, lock.row?.idleMinutes]).toEqual(['open', 'sealed', 10]);
	expect(await databases()).not.toContain(`${database}-copy`);
	expect((await repo.clients())[0]!.name).toBe('Lamp 14');
});

test('windows share one sitting: a lock put on, opened, locked or taken off in one holds in all', async () => {
	const [first, second] = [await window(), await window()];
	await first.repo.saveClient(client);
	await set(first.lock);
	await vi.waitFor(() => expect(second.lock.phase).toBe('open'));
	expect((await second.repo.clients())[0]!.name).toBe('Lamp 14');
	// A new one is given the key by those that are open.
	const third = await window();
	await vi.waitFor(() => expect(third.lock.phase).toBe('open'));
	expect((await third.repo.clients())[0]!.name).toBe('Lamp 14');
	third.lock.shut();
	await vi.waitFor(() =>
		expect([first, second, third].map((w) => w.lock.phase)).toEqual(['closing', 'closing', 'closing'])
	);
	await vi.waitFor(() => expect(left).toHaveBeenCalledTimes(3));
	// Nobody gives the key away while all are closing.
	const fourth = await window();
	await new Promise((done) => setTimeout(done, 30));
	expect(fourth.lock.phase).toBe('shut');
	expect(await fourth.lock.open(PASS)).toBe(true);
	const fifth = await window();
	await vi.waitFor(() => expect(fifth.lock.phase).toBe('open'));
	const change = new LockChange(fourth.lock);
	expect(await change.takeOff(PASS)).toBe(true);
	await vi.waitFor(() => expect(fifth.lock.phase).toBe('none'));
	await fifth.repo.saveClient({ ...client, id: 'd', name: 'Lamp 15' });
	expect((await fourth.repo.clients()).map((c) => c.name)).toEqual(['Lamp 14', 'Lamp 15']);
});

test('a wrong passphrase is said, with how long to wait; the wait runs down', async () => {
	await set((await window()).lock);
	for (const end of ends) end();
	ends = [];
	const { lock } = await window();
	vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] });
	const { lock: again } = await window();
	for (const _ of [1, 2, 3]) {
		expect(await lock.open('something else')).toBe(false);
		nowMs += 1000 * lock.wait;
	}
	nowMs -= 4000;
	expect(lock.said).toContain('does not open');
	await again.look();
	expect(again.wait).toBe(4);
	expect(await again.open(PASS)).toBe(false);
	expect(again.said).toBe('Wait 4 s before the next try.');
	await pass(3);
	expect(again.wait).toBe(1);
	await pass(1);
	expect(again.wait).toBe(0);
	expect(await again.open(PASS)).toBe(true);
});

test('when nobody is at work it says so and locks; a touch, or something that runs, keeps it open', async () => {
	const { lock } = await window();
	await set(lock);
	const other = await window();
	await vi.waitFor(() => expect(other.lock.phase).toBe('open'));
	await lock.setIdle(2);
	ends.pop()!();
	vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'setTimeout'] });
	const stop = lock.follow();
	const release = lock.keepOpen();
	await pass(300);
	expect(lock.phase).toBe('open');
	release();
	await pass(105);
	expect([lock.phase, lock.soon]).toEqual(['open', 15]);
	dispatchEvent(new Event('pointerdown'));
	expect(lock.soon).toBeNull();
	await pass(119);
	expect([lock.phase, lock.soon]).toEqual(['open', 1]);
	await pass(2);
	expect(lock.phase).toBe('closing');
	await pass(1);
	expect(left).toHaveBeenCalled();
	stop();
});

test('never by itself, where that is wanted', async () => {
	const { lock } = await window();
	await set(lock);
	await lock.setIdle(0);
	vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] });
	const stop = lock.follow();
	await pass(3000);
	expect(lock.phase).toBe('open');
	stop();
});

test('a change asks for the passphrase until now, and says what came of it', async () => {
	const { lock } = await window();
	await set(lock);
	const change = new LockChange(lock);
	expect(await change.change(PASS, 'short', 'short')).toBe(false);
	expect(change.problem).toContain('at least 10');
	expect(await change.change('something else', 'four green apples', 'four green apples')).toBe(false);
	expect(change.problem).toContain('The next try is possible in 1 s');
	nowMs += 1000;
	expect(await change.change(PASS, 'four green apples', 'four green apples')).toBe(true);
	expect(change.said).toContain('changed');
	expect(await change.setIdle(30)).toBe(true);
	expect(lock.row?.idleMinutes).toBe(30);
	expect(await change.takeOff('four green apples')).toBe(true);
	expect([lock.phase, lock.set]).toEqual(['none', false]);
});
