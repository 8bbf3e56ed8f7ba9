// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { Player } from './player.svelte';

let frames: FrameRequestCallback[] = [];
let clock = 0;
beforeEach(() => {
	frames = [];
	clock = 1000;
	vi.stubGlobal('requestAnimationFrame', (run: FrameRequestCallback) => frames.push(run));
	vi.stubGlobal('cancelAnimationFrame', () => (frames = []));
	vi.spyOn(performance, 'now').mockImplementation(() => clock);
});
afterEach(() => {
	vi.unstubAllGlobals();
	vi.restoreAllMocks();
});
const frame = (ms: number) => {
	clock += ms;
	const due = frames;
	frames = [];
	for (const run of due) run(clock);
};

describe('playing', () => {
	let at = 0;
	const player = (end = 10) => {
		at = 0;
		return new Player(
			() => at,
			(s) => (at = s),
			() => end
		);
	};
	test('moves the cursor as the clock does, and halts', () => {
		const p = player();
		p.toggle();
		frame(100);
		frame(150);
		expect(at).toBeCloseTo(0.25, 6);
		p.toggle();
		frame(500);
		expect([p.running, Math.round(at * 100)]).toEqual([false, 25]);
	});
	test('does not jump when the tab slept, stops at the end, and begins anew from there', () => {
		const p = player(0.3);
		p.start();
		p.start();
		frame(60_000);
		expect(at).toBe(0.25);
		frame(200);
		expect([at, p.running]).toEqual([0.3, false]);
		p.start();
		expect(at).toBe(0);
		p.stop();
	});
	test('has nothing to play in an empty sequence', () => {
		const p = player(0);
		p.start();
		expect(p.running).toBe(false);
	});
});
