// @vitest-environment happy-dom
import fc from 'fast-check';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { CONTEXT, sequenceOf, step } from '../core/testing';
import { metNow } from '../core/perform/asks';
import { happenedOf } from '../core/perform/happened';
import { cuesOf } from '../core/perform/cues';
import type { RunEvent } from '../core/records/runEntry';
import { stepsOf } from '../core/sequence/walk';
import { expand } from '../core/sequence/expand';
import { judge } from '../core/rules/judge';
import { signSecondsOf } from '../core/perform/untilSign';
import { TEMPLATES } from '../core/template/templates';
import { Runner } from './runner.svelte';

const sequence = sequenceOf([
	step('a', ['chin', 'jawline'], { side: { each: true, first: 'left' } }),
	step('b', ['malar', 'zygoma'])
]);
const events = expand(sequence, CONTEXT);
const cues = cuesOf(events, new Map(stepsOf(sequence).map((s) => [s.step.id, s])), CONTEXT.working);
let ms = 0;
const runner = (log: RunEvent[] = [], waits = false) =>
	new Runner({
		events,
		cues,
		clock: () => ms,
		now: () => ms,
		// All of it is heard: a page that is not looked at guides by ear.
		heard: () => ms / 1000,
		waits: () => (waits ? 'always' : 'never'),
		onlog: (e) => log.push(e)
	});
/** The clock is read at a moment. */
const reach = (r: Runner, atMs: number) => {
	ms = atMs;
	r.tick();
};
beforeEach(() => (ms = 0));

test.each(TEMPLATES.map((s) => [s.title, s] as const))(
	'%s is performed to its end, nothing skipped, sides alike',
	(_, ready) => {
		const plan = expand(ready, CONTEXT);
		const r = new Runner({
			events: plan,
			cues: cuesOf(plan, new Map(stepsOf(ready).map((s) => [s.step.id, s])), CONTEXT.working),
			clock: () => ms,
			now: () => ms,
			onlog: () => {}
		});
		r.go();
		const end = plan.at(-1)!.endSeconds;
		for (; ms <= 1000 * end; ms += 900) r.tick();
		ms = 1000 * end;
		r.tick();
		expect(r.position.done).toBe(true);
		expect(r.workedSeconds).toBeCloseTo(end, 6);
		for (const done of r.done())
			expect([done.skipped, done.leftReps - done.rightReps], done.stepId).toEqual([false, 0]);
	}
);

test('a condition met in the middle: what was done stays, the step is next, and is counted', () => {
	const at = stepsOf(sequence)[0]!;
	const loose = step('loose', ['masseter'], { aim: 'release', motion: 'knead', onlyIf: 'it is loose' });
	const whole = {
		...sequence,
		phases: [
			{ ...at.phase, blocks: [{ ...at.block, steps: [...at.block.steps.slice(0, 1), loose, at.block.steps[1]!] }] }
		]
	};
	const planOf = (s: typeof sequence) => {
		const list = expand(s, CONTEXT);
		return { events: list, cues: cuesOf(list, new Map(stepsOf(s).map((x) => [x.step.id, x])), CONTEXT.working) };
	};
	const before = planOf(whole);
	const r = new Runner({ ...before, clock: () => ms, now: () => ms, heard: () => ms / 1000 });
	r.go();
	reach(r, 5000);
	const total = r.total;
	r.follow(planOf(metNow(whole, 'loose', before.events, r.position.index, CONTEXT)!));
	expect([r.seconds, r.position.event!.stepId, r.total > total]).toEqual([5, 'a', true]);
	r.skip();
	while (r.position.event?.stepId === 'a') r.skip();
	expect(r.position.event!.stepId).toBe('loose');
	ms += 1000 * (r.total - r.seconds);
	r.tick();
	expect(r.done().find((d) => d.stepId === 'loose')).toMatchObject({ skipped: false });
});

describe('the stage clock', () => {
	test('follows the clock even if nobody looked for thirteen seconds, as long as it was heard', () => {
		const r = runner();
		r.go();
		reach(r, 13_000);
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
		reach(r, 67_000);
		expect(r.seconds).toBe(6);
		expect(r.done()[0]).toMatchObject({ leftReps: 3, seconds: 6 });
		expect(r.workedSeconds).toBe(6);
	});
	test('where it waits for a signal, it stands at the beginning of each step, however late it is looked', () => {
		const log: RunEvent[] = [];
		const r = runner(log, true);
		r.go();
		reach(r, 21_000);
		expect([r.playing, r.seconds]).toEqual([true, 21]);
		reach(r, 100_000);
		expect([r.playing, r.seconds, r.position.event!.stepId]).toEqual([false, 22, 'b']);
		ms = 110_000;
		r.go();
		reach(r, 112_000);
		expect(r.seconds).toBe(24);
		reach(r, 200_000);
		expect([r.position.done, r.playing]).toEqual([true, false]);
		expect(r.done().map((d) => [d.leftReps, d.skipped])).toEqual([
			[5, false],
			[5, false]
		]);
		expect(log.map((e) => e.kind)).toEqual(['go', 'pause', 'go', 'pause']);
	});
	test('a step goes on past the plan until its sign, at most its longest time, and a signal leads on; a crash loses none of it', () => {
		// 10 s a side, and up to 30 s more until it is softer.
		const kneaded = step('k', ['masseter'], {
			motion: 'knead',
			side: { each: true, first: 'left' },
			dose: { kind: 'seconds', min: 5, target: 10, max: 40 },
			until: { signs: ['softer'], capSeconds: 40 }
		});
		const steps = sequenceOf([kneaded, step('b', ['malar', 'zygoma'])]);
		const { events: plan, context } = judge(steps, CONTEXT);
		const log: RunEvent[] = [];
		const onsign = vi.fn();
		const made = (from: RunEvent[]) =>
			new Runner({
				events: plan,
				cues: [],
				signSeconds: signSecondsOf(plan, context.byId),
				clock: () => ms,
				now: () => ms,
				heard: () => ms / 1000,
				waits: () => 'signs',
				onsign,
				log: from,
				onlog: (e) => log.push(e)
			});
		const r = made([]);
		r.go();
		reach(r, 25_000);
		expect([r.seconds, r.untilSign, r.position.side, onsign.mock.calls.length]).toEqual([10, 15, 'left', 1]);
		r.signed();
		// 2 s to change over, then the right side; nobody gives a signal there, and nobody looks for a minute.
		reach(r, 27_000);
		expect([r.seconds, r.untilSign]).toEqual([12, null]);
		reach(r, 37_500);
		expect(r.untilSign).toBeCloseTo(29.5, 6);
		const crashed = made([...log]);
		expect([crashed.seconds, crashed.workedSeconds]).toEqual([22, 37]);
		// 30 s past the 37th second it went on by itself: at the 67th, as it is found at the 70th.
		reach(r, 70_000);
		expect([r.seconds, r.untilSign, r.position.event!.stepId]).toEqual([25, null, 'b']);
		expect(log.filter((e) => e.mark === 'sign').map((e) => e.words)).toEqual([
			'15 s past the plan',
			'30 s past the plan'
		]);
		// Ten on each side, and fifteen and thirty past the plan.
		expect(r.done()[0]).toMatchObject({ seconds: 65, skipped: false });
		r.still();
		expect(made([...log]).workedSeconds).toBeCloseTo(r.workedSeconds, 6);
	});
	test('a closed lid: nobody looked for minutes, so it stands at the count that was last seen, and that was a halt', () => {
		const log: RunEvent[] = [];
		const onslept = vi.fn();
		const r = new Runner({ events, cues, clock: () => ms, now: () => ms, onslept, onlog: (e) => log.push(e) });
		r.go();
		for (; ms < 7_000; ms += 500) r.tick();
		r.tick();
		reach(r, 607_000);
		expect([r.playing, r.seconds, onslept.mock.calls]).toEqual([false, 7, [[600]]]);
		r.go();
		expect([r.seconds, r.haltedSeconds]).toEqual([6, 600]);
		expect(log.map((e) => [e.kind, e.atMs])).toEqual([
			['go', 0],
			['pause', 7_000],
			['go', 607_000]
		]);
	});
	test('who goes on after a crash, and crashes again, has done what was done before the first', () => {
		const log: RunEvent[] = [];
		const first = runner(log);
		first.go();
		reach(first, 9_000);
		first.still();
		const second = new Runner({
			events,
			cues,
			clock: () => ms,
			now: () => ms,
			heard: () => ms / 1000,
			log: [...log],
			onlog: (e) => log.push(e)
		});
		second.go();
		ms += 2_000;
		second.tick();
		second.still();
		// 8 s of the first time, the interrupted stroke from its start in the second.
		expect(second.seconds).toBe(10);
		const third = new Runner({ events, cues, clock: () => ms, now: () => ms, log });
		expect(third.done()[0]).toMatchObject({ leftReps: 5, seconds: 10 });
	});
	test('skipped is skipped, done again counts again, and the end is the end', () => {
		const r = runner();
		r.go();
		r.skip();
		expect(r.seconds).toBe(22);
		reach(r, 4_000);
		r.back();
		expect(r.seconds).toBe(22);
		reach(r, 60_000);
		expect(r.playing).toBe(false);
		expect(r.position.done).toBe(true);
		expect(r.done()).toEqual([
			{ stepId: 'a', leftReps: 0, rightReps: 0, seconds: 0, skipped: true },
			{ stepId: 'b', leftReps: 7, rightReps: 7, seconds: 14, skipped: false }
		]);
	});
	test('after a reload it waits where its log ends', () => {
		const log: RunEvent[] = [];
		const r = runner(log);
		r.go();
		ms = 7_000;
		r.pause();
		const again = new Runner({ events, cues, clock: vi.fn(() => 0), now: () => 0, log });
		expect(again.playing).toBe(false);
		expect(again.begun).toBe(true);
		expect(again.seconds).toBe(7);
		expect(again.done()[0]!.leftReps).toBe(3);
	});
	test('whatever is pressed, and when: the log replayed says what the runner says', () => {
		type Press = readonly [press: 'go' | 'pause' | 'skip' | 'back' | 'still' | 'tick' | 'undo', waitMs: number];
		const press = fc.tuple(
			fc.constantFrom('go', 'pause', 'skip', 'back', 'still', 'tick', 'undo'),
			fc.integer({ min: 0, max: 9000 })
		) as fc.Arbitrary<Press>;
		fc.assert(
			fc.property(fc.array(press, { maxLength: 25 }), (presses) => {
				ms = 0;
				const log: RunEvent[] = [];
				const r = runner(log);
				for (const [what, wait] of presses) {
					ms += wait;
					r.tick();
					if (what === 'undo') r.undo(null);
					else r[what]();
				}
				r.pause();
				const again = new Runner({ events, cues, clock: () => 0, now: () => 0, log });
				expect(again.seconds).toBeCloseTo(r.seconds, 6);
				expect(again.workedSeconds).toBeCloseTo(r.workedSeconds, 6);
				expect(again.haltedSeconds).toBeCloseTo(r.haltedSeconds, 6);
				expect(again.done()).toEqual(r.done());
			}),
			{ numRuns: 200 }
		);
	});
	test('three times the same step is three times, in counts, seconds and minutes', () => {
		const r = runner();
		r.go();
		r.skip();
		for (let n = 0; n < 2; n++) {
			ms += 9_000;
			r.tick();
			r.back();
		}
		ms += 20_000;
		r.tick();
		// Four whole strokes of nine seconds, twice, and the whole of it.
		expect(r.done()[1]).toMatchObject({ stepId: 'b', leftReps: 13, rightReps: 13, seconds: 28 });
		expect(r.workedSeconds).toBe(28);
	});
	test('a skip that is taken back leads to the stroke that was left; what was done meanwhile stays done', () => {
		const log: RunEvent[] = [];
		const r = runner(log);
		r.go();
		reach(r, 5_000);
		r.skip();
		reach(r, 9_000);
		expect(r.undoPoint?.what).toBe('jump');
		r.undo(null);
		expect([r.seconds, r.playing, r.undoPoint]).toEqual([4, true, null]);
		ms += 40_000;
		r.tick();
		expect(r.position.done).toBe(true);
		expect(r.done()).toMatchObject([
			{ stepId: 'a', leftReps: 5, rightReps: 5 },
			{ stepId: 'b', leftReps: 7, rightReps: 7 }
		]);
		expect(new Runner({ events, cues, clock: () => 0, now: () => 0, log }).done()).toEqual(r.done());
	});
	test('from the end of it one goes back to where one skipped from', () => {
		const r = runner();
		r.go();
		reach(r, 3_000);
		r.skip();
		r.skip();
		expect([r.position.done, r.playing]).toEqual([true, false]);
		r.undo(null);
		r.undo(null);
		expect([r.position.done, r.seconds]).toEqual([false, 2]);
		r.go();
		expect(r.playing).toBe(true);
	});
	test('a page that stood still and was silent: only what was seen is done, however long it stood, and it is told', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 200, max: 20_000 }),
				fc.integer({ min: 3_100, max: 4_000_000 }),
				fc.integer({ min: 0, max: 3_000 }),
				(seenMs, frozenMs, lateMs) => {
					ms = 0;
					const log: RunEvent[] = [];
					const r = new Runner({ events, cues, clock: () => ms, now: () => ms, onlog: (e) => log.push(e) });
					r.go();
					for (; ms < seenMs; ms += 200) r.tick();
					const last = r.seconds;
					ms += frozenMs;
					r.tick();
					expect([r.playing, r.position.done]).toEqual([false, false]);
					expect(r.seconds).toBeCloseTo(last, 6);
					ms += lateMs;
					r.go();
					expect(r.haltedSeconds).toBeGreaterThanOrEqual((frozenMs + lateMs) / 1000 - 0.2);
					expect(r.workedSeconds).toBeLessThanOrEqual(last);
					expect(log.filter((e) => e.kind === 'pause')).toHaveLength(1);
				}
			)
		);
	});
	test('what was heard while the page stood still was guided, and no more', () => {
		let heard = 0;
		const r = new Runner({ events, cues, clock: () => ms, now: () => ms, heard: () => heard });
		r.go();
		ms = 2_000;
		heard = 2;
		r.tick();
		// Laid tones go on for six seconds more; then the card is silent too.
		ms = 90_000;
		heard = 8;
		r.tick();
		expect([r.playing, r.seconds]).toEqual([false, 8]);
		r.go();
		expect(r.haltedSeconds).toBe(82);
	});
	test('the break of a log is a halt with its length, and it is told', () => {
		const log: RunEvent[] = [];
		const r = runner(log);
		r.go();
		reach(r, 6_000);
		r.still();
		ms = 306_000;
		const next = new Runner({ events, cues, clock: () => ms, now: () => ms, log: [...log], onlog: (e) => log.push(e) });
		next.go();
		expect([next.seconds, next.haltedSeconds, next.workedSeconds]).toEqual([6, 300, 6]);
		expect(happenedOf(log)).toEqual([{ mark: 'halt', seconds: 6, lastedSeconds: 300 }]);
	});
	test('waiting for a sign survives what interrupts it, with its seconds and its side', () => {
		const kneaded = step('k', ['masseter'], {
			motion: 'knead',
			side: { each: true, first: 'left' },
			dose: { kind: 'seconds', min: 5, target: 10, max: 40 },
			until: { signs: ['softer'], capSeconds: 40 }
		});
		const { events: plan, context } = judge(sequenceOf([kneaded, step('b', ['malar', 'zygoma'])]), CONTEXT);
		const log: RunEvent[] = [];
		const made = (from: readonly RunEvent[]) =>
			new Runner({
				events: plan,
				cues: [],
				signSeconds: signSecondsOf(plan, context.byId),
				clock: () => ms,
				now: () => ms,
				heard: () => ms / 1000,
				waits: () => 'signs',
				log: from,
				onlog: (e) => log.push(e)
			});
		const r = made([]);
		r.go();
		reach(r, 14_000);
		expect([r.seconds, r.untilSign]).toEqual([10, 26]);
		// Red flags are looked up for a minute: it waits where it waited.
		r.pause();
		ms = 74_000;
		expect([r.seconds, r.untilSign, r.position.event?.stepId, r.position.side]).toEqual([10, 26, 'k', 'left']);
		r.go();
		reach(r, 76_000);
		expect(r.untilSign).toBe(24);
		r.still();
		// The page is gone, and comes back: it waits there still, with what was waited.
		ms = 96_000;
		const again = made([...log]);
		expect([again.seconds, again.untilSign, again.position.side, again.playing]).toEqual([10, 24, 'left', false]);
		again.go();
		ms = 99_000;
		again.signed();
		expect([again.untilSign, again.position.event?.stepId]).toEqual([null, 'k']);
		const sign = log.find((e) => e.mark === 'sign');
		expect(sign).toMatchObject({ stepId: 'k', side: 'left', waited: 9, words: '9 s past the plan' });
		expect(again.haltedSeconds).toBe(80);
		ms = 100_000;
		again.pause();
		expect(again.done()[0]).toMatchObject({ stepId: 'k', seconds: 19 });
		expect(again.workedSeconds).toBe(20);
	});
});

test('at no start of a step of a ready sequence is an instruction of an earlier step said', () => {
	for (const ready of TEMPLATES) {
		const plan = expand(ready, CONTEXT);
		const r = new Runner({
			events: plan,
			cues: cuesOf(plan, new Map(stepsOf(ready).map((s) => [s.step.id, s])), CONTEXT.working, ready),
			clock: () => ms,
			now: () => ms
		});
		let steps = 0;
		for (; !r.position.done; steps++) {
			const { stepId } = r.position.event!;
			for (const kind of ['next', 'breath'] as const)
				for (const cue of r.said(kind)) expect(cue.stepId, `${ready.title}: ${cue.words}`).toBe(stepId);
			r.skip();
		}
		expect(steps).toBeGreaterThan(3);
	}
});
