// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { NOW } from '../core/testing';
import { makeDb, pointTo } from '../store/db';
import { databases } from '../store/lock/lockRow';
import { Vault } from '../store/lock/vault';
import { pending } from './pendingWork';
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
async function window(unstored = () => ''): Promise<{ lock: LockState; repo: Repository }> {
	const vault = new Vault();
	const clock = () => new Date(nowMs);
	const db = makeDb(database, undefined, vault);
	const quiet = () => db.close();
	const lock = new LockState({ database, vault, clock, leave: left, quiet, unstored, rounds: 10, noiseRounds: 0 });
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
	// The page points to where the records are before it reads.
	const pointed = () => (db.isOpen() ? undefined : pointTo(db, lock.lock.database));
	return {
		lock,
		get repo() {
			pointed();
			return repo;
		}
	};
}
/** A window in which the records are sealed and open. */
async function sitting(): Promise<Awaited<ReturnType<typeof window>>> {
	const first = await window();
	await set(first.lock);
	for (const end of ends) end();
	ends = [];
	left.mockClear();
	const here = await window();
	await here.lock.open(PASS);
	return here;
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
	// The window is opened anew; whoever opens the records knows the passphrase.
	expect(left).toHaveBeenCalledTimes(1);
	expect(await databases()).not.toContain(`${database}-copy`);
	const next = await window();
	expect([next.lock.phase, next.lock.row?.idleMinutes]).toEqual(['shut', 10]);
	expect(await next.lock.open(PASS)).toBe(true);
	expect((await next.repo.clients())[0]!.name).toBe('Lamp 14');
});

test('windows share one sitting: a lock put on, opened, locked or taken off in one holds in all', async () => {
	const [beginning, beside] = [await window(), await window()];
	await beginning.repo.saveClient(client);
	await set(beginning.lock);
	// The other one stores what was typed last, and is opened anew too.
	expect(beside.lock.phase).toBe('closing');
	await vi.waitFor(() => expect(left).toHaveBeenCalledTimes(2));
	left.mockClear();
	const [first, second] = [await window(), await window()];
	expect([first.lock.phase, second.lock.phase]).toEqual(['shut', 'shut']);
	await first.lock.open(PASS);
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
	expect(fifth.lock.phase).toBe('closing');
	const last = await window();
	expect(last.lock.phase).toBe('none');
	await last.repo.saveClient({ ...client, id: 'd', name: 'Lamp 15' });
	expect((await last.repo.clients()).map((c) => c.name)).toEqual(['Lamp 14', 'Lamp 15']);
});

test('locking waits for what is being stored; what could not be stored is said, and nothing is thrown away', async () => {
	const { lock } = await sitting();
	let stored = () => {};
	void pending(new Promise<void>((done) => (stored = done)));
	vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'setTimeout'] });
	// Not by itself while something is being stored.
	await lock.setIdle(2);
	await pass(300);
	expect(lock.phase).toBe('open');
	lock.shut();
	await pass(30);
	expect([lock.phase, left.mock.calls.length]).toEqual(['closing', 0]);
	stored();
	await pass(1);
	expect(left).toHaveBeenCalledTimes(1);
	vi.useRealTimers();
	const full = await window(() => 'The disk is full.');
	await full.lock.open(PASS);
	full.lock.shut();
	await vi.waitFor(() => expect(full.lock.unstored).toBe('The disk is full.'));
	expect(left).toHaveBeenCalledTimes(1);
	full.lock.leaveUnstored();
	expect(left).toHaveBeenCalledTimes(2);
});

test('a wrong passphrase is said, with how long to wait; the wait runs down', async () => {
	await sitting();
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
	const { lock } = await sitting();
	await lock.setIdle(2);
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
	const { lock } = await sitting();
	await lock.setIdle(0);
	vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] });
	const stop = lock.follow();
	await pass(3000);
	expect(lock.phase).toBe('open');
	stop();
});

test('a change asks for the passphrase until now; a wrong one changes nothing and keeps the page', async () => {
	const { lock } = await sitting();
	const change = new LockChange(lock);
	expect(await change.change(PASS, 'short', 'short')).toBe(false);
	expect(change.problem).toContain('at least 10');
	expect(await change.change('something else', 'four green apples', 'four green apples')).toBe(false);
	expect(change.problem).toContain('The next try is possible in 1 s');
	expect(lock.phase).toBe('open');
	nowMs += 1000;
	expect(await change.setIdle(30)).toBe(true);
	expect(lock.row?.idleMinutes).toBe(30);
	expect(await change.change(PASS, 'four green apples', 'four green apples')).toBe(true);
	expect(left).toHaveBeenCalledTimes(1);
	const next = await window();
	expect(await next.lock.open(PASS)).toBe(false);
	nowMs += 1000;
	expect(await next.lock.open('four green apples')).toBe(true);
});

test('what was broken off says what keeps it, and is asked when the records are opened', async () => {
	const { lock, repo } = await sitting();
	await repo.saveClient(client);
	repo.db.close();
	const disk = await new Dexie(lock.lock.database).open();
	const row = (await disk.table('clients').get('c')) as { sealed: { data: Uint8Array } };
	row.sealed.data[5]! ^= 1;
	await disk.table('clients').put(row);
	disk.close();
	expect(await lock.takeOff(PASS)).toBe(true);
	expect([lock.phase, lock.said]).toEqual([
		'moving',
		'1 record cannot be opened. Open the records to decide what becomes of them.'
	]);
	const next = await window();
	expect(await next.lock.open(PASS)).toBe(false);
	expect(next.lock.damaged.map((d) => d.id)).toEqual(['c']);
	expect(await next.lock.open(PASS, true)).toBe(true);
	expect(next.lock.phase).toBe('none');
});
