// @vitest-environment happy-dom
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { isTyping, Typed } from './typed.svelte';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

test('while something is typed and not handed over, nobody is told that all is stored', () => {
	let stored = 'Dawn';
	const field = new Typed({
		value: () => stored,
		of: () => 'a',
		keep: (text) => {
			stored = text;
		}
	});
	expect(isTyping()).toBe(false);
	field.type('Dawn, light');
	expect(isTyping()).toBe(true);
	// As it was is nothing to be stored.
	field.type('Dawn');
	expect(isTyping()).toBe(false);
	field.type('Dawn, bright');
	vi.advanceTimersByTime(399);
	expect([stored, isTyping()]).toEqual(['Dawn', true]);
	vi.advanceTimersByTime(1);
	expect([stored, isTyping()]).toEqual(['Dawn, bright', false]);
	field.type('Dawn, again');
	field.end();
	expect([stored, isTyping()]).toEqual(['Dawn, again', false]);
});
