// @vitest-environment happy-dom
import fc from 'fast-check';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { CONTEXT, sequenceOf, step } from '../core/testing';
import { metNow } from '../core/perform/asks';
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
		waits: () => (waits ? 'always' : 'never'),
		onlog: (e) => log.push(e)
	});
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
	const r = new Runner({ ...before, clock: () => ms, now: () => ms });
	r.go();
	ms = 5000;
	r.tick();
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
	test('where it waits for a signal, it stands at the beginning of each step, however late it is looked', () => {
		const log: RunEvent[] = [];
		const r = runner(log, true);
		r.go();
		ms = 21_000;
		r.tick();
		expect([r.playing, r.seconds]).toEqual([true, 21]);
		ms = 100_000;
		r.tick();
		expect([r.playing, r.seconds, r.position.event!.stepId]).toEqual([false, 22, 'b']);
		ms = 110_000;
		r.go();
		ms = 112_000;
		r.tick();
		expect(r.seconds).toBe(24);
		ms = 200_000;
		r.tick();
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
				waits: () => 'signs',
				onsign,
				log: from,
				onlog: (e) => log.push(e)
			});
		const r = made([]);
		r.go();
		ms = 25_000;
		r.tick();
		expect([r.seconds, r.untilSign, r.position.side, onsign.mock.calls.length]).toEqual([10, 15, 'left', 1]);
		r.signed();
		// 2 s to change over, then the right side; nobody gives a signal there, and nobody looks for a minute.
		ms = 27_000;
		r.tick();
		expect([r.seconds, r.untilSign]).toEqual([12, null]);
		ms = 37_500;
		r.tick();
		expect(r.untilSign).toBeCloseTo(29.5, 6);
		const crashed = made([...log]);
		expect([crashed.seconds, crashed.workedSeconds]).toEqual([22, 37]);
		// 30 s past the 37th second it went on by itself: at the 67th, as it is found at the 70th.
		ms = 70_000;
		r.tick();
		expect([r.seconds, r.untilSign, r.position.event!.stepId]).toEqual([25, null, 'b']);
		expect(log.filter((e) => e.mark === 'sign').map((e) => e.words)).toEqual([
			'15 s past the plan',
			'30 s past the plan'
		]);
		expect(r.done()[0]).toMatchObject({ seconds: 20, skipped: false });
		r.still();
		expect(made([...log]).workedSeconds).toBeCloseTo(r.workedSeconds, 6);
	});
	test('a closed lid: nobody looked for minutes, so it stands at the count that was last seen, and that was a halt', () => {
		const log: RunEvent[] = [];
		const onslept = vi.fn();
		const r = new Runner({ events, cues, clock: () => ms, now: () => ms, onslept, onlog: (e) => log.push(e) });
		r.go();
		ms = 7_000;
		r.tick();
		ms = 607_000;
		r.tick();
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
		ms = 9_000;
		first.tick();
		first.still();
		const second = new Runner({
			events,
			cues,
			clock: () => ms,
			now: () => ms,
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
		type Press = readonly [press: 'go' | 'pause' | 'skip' | 'back' | 'still' | 'tick', waitMs: number];
		const press = fc.tuple(
			fc.constantFrom('go', 'pause', 'skip', 'back', 'still', 'tick'),
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
					r[what]();
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
});
