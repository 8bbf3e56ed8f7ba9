// @vitest-environment happy-dom
import { flushSync } from 'svelte';
import { expect, test, vi } from 'vitest';
import { inTurns } from './inTurns.svelte';

test('a long list comes in turns until all of it is there, never more than there is, and grows on', async () => {
	let wish = $state(0);
	let drawn: { readonly current: number } | undefined;
	const stop = $effect.root(() => {
		drawn = inTurns(() => wish, 20);
	});
	flushSync();
	expect(drawn!.current).toBe(0);
	wish = 55;
	flushSync();
	const seen = new Set([drawn!.current]);
	await vi.waitFor(() => {
		flushSync();
		seen.add(drawn!.current);
		expect(drawn!.current).toBe(55);
	});
	expect(Math.min(...seen)).toBe(20);
	wish = 8;
	flushSync();
	expect(drawn!.current).toBe(8);
	wish = 70;
	flushSync();
	await vi.waitFor(() => {
		flushSync();
		expect(drawn!.current).toBe(70);
	});
	stop();
});
