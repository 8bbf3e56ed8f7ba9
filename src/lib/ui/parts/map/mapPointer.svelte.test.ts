// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import type { Pick } from './mapTypes';
import { MapPointer } from './mapPointer.svelte';

const TARGETS: Pick[] = [
	{ place: 'brow', side: 'left' },
	{ place: 'brow', side: 'right' },
	{ place: 'malar', side: 'left' },
	{ place: 'malar', side: 'right' }
];
let near: number | null = null;
let under: number | null = null;
const onpick = vi.fn();
const onstroke = vi.fn();
let elements: HTMLElement[] = [];
beforeEach(() => {
	near = under = null;
	onpick.mockReset();
	onstroke.mockReset();
	elements = TARGETS.map(({ place, side }) => {
		const el = document.body.appendChild(document.createElement('div'));
		Object.assign(el.dataset, { place, side });
		el.tabIndex = 0;
		return el;
	});
	document.elementFromPoint = () => (under === null ? null : elements[under]!);
});
afterEach(() => {
	document.body.innerHTML = '';
});
const pointer = () => new MapPointer({ targets: () => TARGETS, near: () => near, onpick, onstroke });
const at = (type: string, x: number, y: number, init: object = {}) => {
	const e = new MouseEvent(type, { clientX: x, clientY: y, button: 0, buttons: 1, ...init });
	Object.defineProperties(e, { currentTarget: { value: elements[0] }, pointerType: { value: 'mouse' } });
	return e as unknown as PointerEvent;
};

describe('a pointer on the map', () => {
	test('chooses what it is on, or the small place within reach', () => {
		const p = pointer();
		p.handlers(2).onclick(at('click', 5, 5, { detail: 1 }));
		near = 1;
		p.handlers(2).onclick(at('click', 5, 5, { detail: 1 }));
		// A click by a program has no place on the screen.
		p.handlers(2).onclick(at('click', 0, 0, { detail: 0 }));
		expect(onpick.mock.calls.map(([pick]) => pick)).toEqual([TARGETS[2], TARGETS[1], TARGETS[2]]);
	});
	test('that wanders a little still taps, that goes farther draws a stroke to the place beneath', () => {
		const p = pointer();
		p.handlers(0).onpointerdown(at('pointerdown', 10, 10));
		p.surface.onpointermove(at('pointermove', 13, 12));
		expect(p.drag).toBeNull();
		under = 2;
		p.surface.onpointermove(at('pointermove', 60, 60));
		expect(p.drag).toMatchObject({ from: TARGETS[0], to: TARGETS[2] });
		p.surface.onpointerup(at('pointerup', 60, 60));
		expect(onstroke).toHaveBeenCalledWith(TARGETS[0], TARGETS[2], { from: { x: 10, y: 10 }, to: { x: 60, y: 60 } });
		expect(p.drag).toBeNull();
	});
	test('let go over nothing, or close to where it began, draws nothing', () => {
		const p = pointer();
		p.handlers(0).onpointerdown(at('pointerdown', 10, 10));
		p.surface.onpointermove(at('pointermove', 90, 90));
		expect(p.drag).toMatchObject({ to: null });
		p.surface.onpointerup(at('pointerup', 90, 90));
		p.handlers(0).onpointerdown(at('pointerdown', 10, 10));
		under = 0;
		p.surface.onpointerup(at('pointerup', 30, 10));
		expect(onstroke).not.toHaveBeenCalled();
		p.handlers(0).onpointerdown(at('pointerdown', 10, 10));
		p.surface.onpointercancel();
		under = 2;
		p.surface.onpointerup(at('pointerup', 90, 90));
		expect(onstroke).not.toHaveBeenCalled();
	});
	test('inside one place a drag is a stroke of its own, and the click after it no choice', () => {
		const p = pointer();
		under = 0;
		p.handlers(0).onpointerdown(at('pointerdown', 10, 60));
		p.surface.onpointermove(at('pointermove', 10, 20));
		p.surface.onpointerup(at('pointerup', 10, 20));
		p.handlers(0).onclick(at('click', 10, 20, { detail: 1 }));
		expect(onstroke).toHaveBeenCalledWith(TARGETS[0], TARGETS[0], { from: { x: 10, y: 60 }, to: { x: 10, y: 20 } });
		expect(onpick).not.toHaveBeenCalled();
	});
	test('a drag let go anywhere is over: outside, or with a button that came up elsewhere', () => {
		const p = pointer();
		p.handlers(0).onpointerdown(at('pointerdown', 10, 10));
		p.surface.onpointermove(at('pointermove', 90, 90));
		p.end();
		expect(p.drag).toBeNull();
		p.handlers(0).onpointerdown(at('pointerdown', 10, 10));
		under = 2;
		p.surface.onpointermove(at('pointermove', 90, 90, { buttons: 0 }));
		expect(p.drag).toBeNull();
		p.surface.onpointerup(at('pointerup', 90, 90));
		expect(onstroke).not.toHaveBeenCalled();
	});
	test('shows what a tap would choose', () => {
		const p = pointer();
		under = 3;
		p.surface.onpointermove(at('pointermove', 50, 50));
		expect(TARGETS.map((_, i) => p.isNear(i))).toEqual([false, false, false, true]);
		expect(p.named).toEqual(TARGETS[3]);
		p.surface.onpointerleave();
		expect(p.isNear(3)).toBe(false);
	});
});

describe('keys on the map', () => {
	const key = (p: MapPointer, index: number, name: string) => {
		const e = new KeyboardEvent('keydown', { key: name, cancelable: true });
		Object.defineProperty(e, 'currentTarget', { value: elements[index] });
		p.handlers(index).onkeydown(e);
		return document.activeElement as HTMLElement;
	};
	test('walk down and up one side, across, and to the ends; one place is the tab stop', () => {
		const p = pointer();
		expect(key(p, 0, 'ArrowDown')).toBe(elements[2]);
		expect([p.tabindexOf(2), p.tabindexOf(0)]).toEqual([0, -1]);
		expect(key(p, 2, 'ArrowRight')).toBe(elements[3]);
		expect(key(p, 3, 'ArrowUp')).toBe(elements[1]);
		expect(key(p, 1, 'Home')).toBe(elements[0]);
		expect(key(p, 0, 'End')).toBe(elements[3]);
		elements[0]!.focus();
		expect(key(p, 0, 'ArrowUp')).toBe(elements[0]);
	});
	test('choose by Enter and Space', () => {
		const p = pointer();
		key(p, 1, 'Enter');
		key(p, 2, ' ');
		expect(onpick.mock.calls.map(([pick]) => pick)).toEqual([TARGETS[1], TARGETS[2]]);
	});
});
