// @vitest-environment happy-dom
import { expect, test, vi } from 'vitest';
import { StageHold } from './stageHold.svelte';

/** Locks as a browser has them, for one name: a later one waits, is refused, or steals. */
function browserLocks() {
	let held: { reject: (e: unknown) => void } | null = null;
	return {
		request: (_name: string, options: LockOptions, work: (lock: Lock | null) => unknown) => {
			if (held && options.ifAvailable && !options.steal) return Promise.resolve(work(null));
			held?.reject(new DOMException('', 'AbortError'));
			return new Promise((resolve, reject) => {
				const mine = { reject };
				held = mine;
				void Promise.resolve(work({ mode: 'exclusive', name: _name } as Lock)).then((value) => {
					if (held === mine) held = null;
					resolve(value);
				});
			});
		}
	} as unknown as Pick<LockManager, 'request'>;
}

test('one window at a time performs a session; the other may take it over, and the first one stops', async () => {
	const locks = browserLocks();
	const lost = vi.fn();
	const [first, second] = [new StageHold(locks, lost), new StageHold(locks, vi.fn())];
	await first.ask('s');
	expect(first.state).toBe('mine');
	// Asked again, as after it was ended and is taken up, it still is.
	await first.ask('s');
	expect(first.state).toBe('mine');
	await second.ask('s');
	expect(second.state).toBe('elsewhere');
	await second.takeOver('s');
	expect(second.state).toBe('mine');
	await vi.waitFor(() => expect(first.state).toBe('taken'));
	expect(lost).toHaveBeenCalledOnce();
});

test('what is let go can be had again; a browser without locks keeps nobody out', async () => {
	const locks = browserLocks();
	const [first, second] = [new StageHold(locks, vi.fn()), new StageHold(locks, vi.fn())];
	await first.ask('s');
	first.release();
	await Promise.resolve();
	await second.ask('s');
	expect(second.state).toBe('mine');
	const free = new StageHold(undefined, vi.fn());
	await free.ask('s');
	expect(free.state).toBe('mine');
});
