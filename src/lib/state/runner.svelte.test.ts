// @vitest-environment happy-dom
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { CONTEXT, sequenceOf, step } from '../core/testing';
import { expand } from '../core/sequence/expand';
import { Runner } from './runner.svelte';

const events = expand(
	sequenceOf([step('a', ['chin', 'jawline'], { side: { each: true, first: 'left' } }), step('b', ['malar', 'zygoma'])]),
	CONTEXT
);
let ms = 0;
const runner = (beats: string[] = []) => new Runner({ events, clock: () => ms, onbeat: (b) => beats.push(b) });
beforeEach(() => (ms = 0));

describe('the stage clock', () => {
	test('follows the clock even if nobody looked for eleven seconds, as in a hidden tab', () => {
		const r = runner();
		r.go();
		ms = 13_000;
		r.tick();
		expect(r.seconds).toBe(13);
		expect(r.position.event!.side).toBe('right');
	});
	test('a pause is not work, and going on begins the interrupted stroke again', () => {
		const r = runner();
		r.go();
		ms = 5_000;
		r.pause();
		ms = 65_000;
		r.go();
		expect(r.seconds).toBe(4);
		expect(r.haltedSeconds).toBe(60);
		ms = 67_000;
		r.tick();
		expect(r.seconds).toBe(6);
		expect(r.done()[0]).toMatchObject({ leftReps: 3, seconds: 6 });
		expect(r.workedSeconds).toBe(6);
	});
	test('a tone at each repetition, another at a change of side', () => {
		const beats: string[] = [];
		const r = runner(beats);
		r.go();
		for (ms = 500; ms <= 12_500; ms += 500) r.tick();
		expect(beats.filter((b) => b === 'stroke').length).toBe(5);
		expect(beats).toContain('side');
	});
	test('skipped is skipped, done again counts once, and the end is the end', () => {
		const r = runner();
		r.go();
		r.skip();
		expect(r.seconds).toBe(22);
		ms = 4_000;
		r.tick();
		r.back();
		expect(r.seconds).toBe(22);
		ms = 60_000;
		r.tick();
		expect(r.playing).toBe(false);
		expect(r.position.done).toBe(true);
		expect(r.done()).toEqual([
			{ stepId: 'a', leftReps: 0, rightReps: 0, seconds: 0, skipped: true },
			{ stepId: 'b', leftReps: 5, rightReps: 5, seconds: 10, skipped: false }
		]);
	});
	test('after a reload it waits where it was', () => {
		const r = runner();
		r.go();
		ms = 7_000;
		r.pause();
		const again = new Runner({ events, clock: vi.fn(() => 0), resume: r.state() });
		expect(again.playing).toBe(false);
		expect(again.begun).toBe(true);
		expect(again.seconds).toBe(7);
		expect(again.done()[0]!.leftReps).toBe(3);
	});
});
