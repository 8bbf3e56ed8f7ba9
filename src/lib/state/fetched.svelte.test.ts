// @vitest-environment happy-dom
import { flushSync } from 'svelte';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { Fetched } from './fetched.svelte';
import { untilReleased } from './pointer';
import { onceTouched } from './touched';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());
const press = (name: string, code = 'KeyA') => window.dispatchEvent(Object.assign(new Event(name), { code }));

test('the first touch of the page does it, once; so does a page that has long been there', () => {
	const work = vi.fn();
	onceTouched(work);
	press('keydown');
	press('keyup');
	press('pointermove');
	vi.advanceTimersByTime(60_000);
	expect(work).toHaveBeenCalledTimes(1);
	onceTouched(work);
	vi.advanceTimersByTime(60_000);
	expect(work).toHaveBeenCalledTimes(2);
	onceTouched(work)();
	vi.advanceTimersByTime(60_000);
	expect(work).toHaveBeenCalledTimes(2);
});

test('nothing is exchanged under a finger, and a release that was never seen holds nothing up', async () => {
	const free = vi.fn();
	press('pointerdown');
	void untilReleased().then(free);
	await vi.advanceTimersByTimeAsync(100);
	expect(free).not.toHaveBeenCalled();
	press('pointerup');
	await vi.advanceTimersByTimeAsync(1);
	expect(free).toHaveBeenCalledTimes(1);
	press('keydown', 'MetaLeft');
	void untilReleased().then(free);
	await vi.advanceTimersByTimeAsync(3000);
	expect(free).toHaveBeenCalledTimes(2);
	press('keyup', 'MetaLeft');
	await vi.advanceTimersByTimeAsync(1);
});

test('a part is fetched once for all who want it, and again where it could not be', async () => {
	const fetch = vi.fn(async () => 'part');
	fetch.mockRejectedValueOnce(new Error('no network'));
	const part = new Fetched(fetch);
	await part.want();
	expect(part.current).toBeNull();
	press('pointermove');
	await vi.advanceTimersByTimeAsync(1);
	expect(part.current).toBe('part');
	await Promise.all([part.want(), part.want()]);
	expect(fetch).toHaveBeenCalledTimes(2);
});

test('a component that has use for it soon asks at the first touch', async () => {
	const fetch = vi.fn(async () => 'part');
	const part = new Fetched(fetch);
	const stop = $effect.root(() => void part.soon());
	flushSync();
	expect(fetch).not.toHaveBeenCalled();
	press('focusin');
	await vi.advanceTimersByTimeAsync(1);
	expect(part.current).toBe('part');
	stop();
});
