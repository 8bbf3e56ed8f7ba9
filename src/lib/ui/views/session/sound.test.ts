import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Soundtrack } from '$lib/core/perform/sounds';
import { StageSound } from './sound';

/** A sound card and a page as plain numbers: the card runs a little fast, and tells where it is in coarse steps. */
const FAST = 1 + 1e-3;
const STEP_SECONDS = 0.01;
let pageMs = 0;
let looks: (() => void)[] = [];
const laid: { at: number; laidMs: number; takenBack: boolean }[] = [];
/** Where the card's clock stands still, silent as it may be; and how often it was woken. */
let stands: number | null = null;
let resumed = 0;
const heardMs = (at: number) => (1000 * at) / FAST;
class Card {
	state = 'running';
	destination = {};
	get currentTime() {
		return stands ?? Math.floor((FAST * pageMs) / 1000 / STEP_SECONDS) * STEP_SECONDS;
	}
	getOutputTimestamp = () => ({ contextTime: this.currentTime, performanceTime: heardMs(this.currentTime) });
	resume = async () => {
		resumed++;
	};
	close = async () => {};
	createGain = () => ({
		gain: { setValueAtTime() {}, linearRampToValueAtTime() {}, exponentialRampToValueAtTime() {} },
		connect: (next: unknown) => next
	});
	createOscillator() {
		const note = { at: 0, laidMs: 0, takenBack: false };
		return {
			frequency: { setValueAtTime() {}, linearRampToValueAtTime() {} },
			connect: (next: unknown) => next,
			addEventListener() {},
			start: (at: number) => {
				Object.assign(note, { at, laidMs: pageMs });
				laid.push(note);
			},
			stop: (at?: number) => {
				if (at === undefined) note.takenBack = true;
			}
		};
	}
}
beforeEach(() => {
	[pageMs, looks, stands, resumed] = [0, [], null, 0];
	laid.length = 0;
	vi.stubGlobal('AudioContext', Card);
	vi.stubGlobal('document', { hidden: false });
	vi.stubGlobal('performance', { now: () => pageMs });
	vi.stubGlobal('setInterval', (look: () => void) => looks.push(look));
	vi.stubGlobal('clearInterval', () => (looks = []));
});
afterEach(() => vi.unstubAllGlobals());
const beats = (seconds: number): Soundtrack => ({
	tones: Array.from({ length: seconds }, (_, i) => ({ atSeconds: i, tone: 'stroke' as const, seconds: 0.16 })),
	spoken: []
});
const look = (afterMs: number) => {
	pageMs += afterMs;
	looks.forEach((l) => l());
};

test('over an hour, with the page busy for three seconds now and then, each beat is there once, in time, and none drifts', () => {
	const sound = new StageSound({ rate: () => 1, volume: () => 1 });
	sound.wake();
	sound.follow(beats(3600));
	sound.play(0);
	for (let i = 0; pageMs < 3600_000; i++) look(i % 40 === 39 ? 3000 : 250);
	const heard = laid.filter((t) => !t.takenBack).sort((a, b) => a.at - b.at);
	expect(heard).toHaveLength(3600);
	const late = heard.map((t, i) => heardMs(t.at) - 1000 * i);
	expect(Math.max(...late.map(Math.abs))).toBeLessThan(30);
	// All but the first lay ready before they were due, also behind a busy stretch.
	expect(heard.slice(1).filter((t) => t.laidMs > heardMs(t.at))).toEqual([]);
	const ofAll = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length;
	expect(Math.abs(ofAll(late.slice(-600)) - ofAll(late.slice(0, 600)))).toBeLessThan(20);
});
test('a pause takes back what lies ahead; it goes on with the beat where it is', () => {
	const sound = new StageSound({ rate: () => 1, volume: () => 1 });
	sound.wake();
	sound.follow(beats(60));
	sound.play(0);
	look(4500);
	sound.stop();
	expect(laid.filter((t) => heardMs(t.at) > pageMs + 20).every((t) => t.takenBack)).toBe(true);
	look(10_000);
	sound.play(5);
	const next = laid
		.filter((t) => !t.takenBack && heardMs(t.at) >= pageMs - 20)
		.map((t) => Math.round(heardMs(t.at) - pageMs));
	expect(next.map((ms) => Math.round(ms / 1000) + 0)).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
});

test('a card that stands still is told within a second and woken, and told again when it goes on, which costs no second gap', () => {
	const told: { silent: boolean; ms: number }[] = [];
	const onsilent = (silent: boolean) => told.push({ silent, ms: pageMs });
	const sound = new StageSound({ rate: () => 1, volume: () => 1, onsilent });
	sound.wake();
	sound.follow(beats(60));
	sound.play(0);
	for (let i = 0; i < 20; i++) look(250);
	expect(told).toEqual([]);
	const [from, woken] = [pageMs, resumed];
	stands = FAST * (from / 1000);
	for (let i = 0; i < 12; i++) look(250);
	expect(told.map(({ silent }) => silent)).toEqual([true]);
	expect(told[0]!.ms - from).toBeLessThanOrEqual(1000);
	expect(resumed).toBeGreaterThan(woken);
	const back = pageMs;
	stands = null;
	for (let i = 0; i < 20; i++) look(250);
	expect(told.map(({ silent }) => silent)).toEqual([true, false]);
	expect(told[1]!.ms - back).toBeLessThanOrEqual(250);
	// From then on each beat is there once.
	const heard = laid.filter((t) => !t.takenBack && heardMs(t.at) > back + 500 && heardMs(t.at) < pageMs);
	const beatsAt = heard.map((t) => Math.round(heardMs(t.at) / 1000));
	expect(beatsAt.toSorted((a, b) => a - b)).toEqual([9, 10, 11, 12, 13]);
});
