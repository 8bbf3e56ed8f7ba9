// @vitest-environment happy-dom
import { flushSync } from 'svelte';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import KeptField from './KeptField.svelte';
import { button, clear, click, show } from '../../testing';

let stored = $state({ of: 'a', value: 'Anna' });
let kept: [string, string][] = [];
let left = 0;
const onkeep = (text: string, of: string): string | void => {
	if (!text.trim()) return 'A name is needed.';
	kept.push([of, text]);
	if (of === stored.of) stored = { of, value: text.trim() };
};
function field(more: object = {}) {
	const root = show(KeptField as never, {
		label: 'Name',
		maxlength: 20,
		get value() {
			return stored.value;
		},
		get of() {
			return stored.of;
		},
		onkeep,
		onleave: () => left++,
		...more
	});
	const input = root.querySelector<HTMLInputElement>('input, textarea')!;
	const type = (text: string) => {
		input.value = text;
		input.dispatchEvent(new Event('input', { bubbles: true }));
		flushSync();
	};
	return { root, input, type };
}
beforeEach(() => {
	vi.useFakeTimers();
	stored = { of: 'a', value: 'Anna' };
	[kept, left] = [[], 0];
});
afterEach(() => {
	clear();
	vi.useRealTimers();
});

describe('a field that is typed in', () => {
	test('what saves in its own time refuses nothing: no word is shown', () => {
		const { root, input, type } = field({
			onkeep: (text: string, of: string) => (onkeep(text, of), Promise.resolve())
		});
		input.focus();
		type('Ann');
		vi.advanceTimersByTime(500);
		flushSync();
		expect(root.textContent).not.toContain('Promise');
		expect(input.getAttribute('aria-describedby')).toBeNull();
	});
	test('keeps what is typed after a moment of rest, once, and when it is left', () => {
		const { input, type } = field();
		input.focus();
		type('Ann');
		type('Anne ');
		vi.advanceTimersByTime(399);
		expect(kept).toEqual([]);
		vi.advanceTimersByTime(1);
		flushSync();
		expect(kept).toEqual([['a', 'Anne ']]);
		// The space under the caret stays, though it is not stored.
		expect(input.value).toBe('Anne ');
		type('Anne K');
		input.blur();
		flushSync();
		expect(kept.at(-1)).toEqual(['a', 'Anne K']);
		expect([input.value, left]).toEqual(['Anne K', 1]);
		input.focus();
		input.blur();
		expect(kept).toHaveLength(2);
	});
	test('keeps it when the page goes or is hidden, and when the field is taken away', () => {
		const { input, type } = field();
		input.focus();
		type('One');
		window.dispatchEvent(new Event('pagehide'));
		expect(kept.at(-1)).toEqual(['a', 'One']);
		type('Two');
		vi.spyOn(document, 'hidden', 'get').mockReturnValue(true);
		document.dispatchEvent(new Event('visibilitychange'));
		expect(kept.at(-1)).toEqual(['a', 'Two']);
		type('Three');
		clear();
		expect(kept.at(-1)).toEqual(['a', 'Three']);
		vi.restoreAllMocks();
	});
	test('is never replaced: a change from elsewhere is offered beside, and can be taken', () => {
		const { root, input, type } = field();
		input.focus();
		type('Mine');
		stored = { of: 'a', value: 'Theirs' };
		flushSync();
		expect(input.value).toBe('Mine');
		expect(root.textContent).toContain('Changed elsewhere to “Theirs”');
		click(button(root, 'Take that'));
		expect(input.value).toBe('Theirs');
		vi.advanceTimersByTime(1000);
		expect(kept).toEqual([]);
		expect(root.textContent).not.toContain('Changed elsewhere');
	});
	test('a space at the end is no change from elsewhere, whether it is stored or trimmed, and is stored once', () => {
		const storing = vi.fn((value: string) => void (stored = { of: 'a', value }));
		const { root, input, type } = field({ onkeep: storing });
		input.focus();
		type('Sleeps ');
		vi.advanceTimersByTime(400);
		flushSync();
		expect(root.textContent).not.toContain('Changed elsewhere');
		input.blur();
		flushSync();
		expect(storing).toHaveBeenCalledTimes(1);
	});
	test('that is not in use follows what is stored', () => {
		const { input } = field();
		stored = { of: 'a', value: 'Other' };
		flushSync();
		expect(input.value).toBe('Other');
	});
	test('stores what was typed for what it was begun for, when that changes under the caret', () => {
		const { input, type } = field();
		input.focus();
		type('For a');
		stored = { of: 'b', value: 'B' };
		flushSync();
		expect(input.value).toBe('B');
		vi.advanceTimersByTime(400);
		expect(kept).toEqual([['a', 'For a']]);
		type('Bb');
		vi.advanceTimersByTime(400);
		expect(kept.at(-1)).toEqual(['b', 'Bb']);
	});
	test('says why something is refused, and shows the old value again when it is left', () => {
		const { root, input, type } = field({ rows: 2 });
		input.focus();
		type('  ');
		vi.advanceTimersByTime(400);
		flushSync();
		expect(root.textContent).toContain('A name is needed.');
		expect(input.value).toBe('  ');
		input.blur();
		flushSync();
		expect([input.value, kept]).toEqual(['Anna', []]);
	});
});
