// @vitest-environment happy-dom
import { flushSync } from 'svelte';
import { afterEach, expect, test, vi } from 'vitest';
import { afterPaint } from './afterPaint.svelte';

afterEach(() => vi.unstubAllGlobals());

test('a value follows after the frame, and only the latest one', async () => {
	let value = $state(1);
	let later: { readonly current: number } | undefined;
	const stop = $effect.root(() => {
		later = afterPaint(() => value);
	});
	flushSync();
	expect(later!.current).toBe(1);
	value = 2;
	flushSync();
	value = 3;
	flushSync();
	expect(later!.current).toBe(1);
	await vi.waitFor(() => expect(later!.current).toBe(3));
	stop();
});
test('where no frame comes, it follows all the same', async () => {
	vi.stubGlobal('requestAnimationFrame', () => 1);
	vi.stubGlobal('cancelAnimationFrame', () => {});
	let value = $state('a');
	let later: { readonly current: string } | undefined;
	const stop = $effect.root(() => {
		later = afterPaint(() => value);
	});
	flushSync();
	value = 'b';
	flushSync();
	await vi.waitFor(() => expect(later!.current).toBe('b'));
	stop();
});
