// @vitest-environment happy-dom
import fc from 'fast-check';
import { beforeEach, expect, test } from 'vitest';
import { CONTEXT, sequenceOf, step, pump } from '../core/testing';
import type { RunEvent } from '../core/records/runEntry';
import { snapshotOf } from '../core/records/snapshot';
import type { Sequence } from '../core/sequence/sequence.schema';
import { TEMPLATES } from '../core/template/templates';
import { Performing } from './performing.svelte';

let ms = 0;
beforeEach(() => (ms = 1000));
/** What lies on the disk: the log, and the sequence that goes with it, written in one order. */
const disk = (sequence: Sequence) => ({
	log: [] as RunEvent[],
	sequence,
	plans: new Map([[snapshotOf(sequence).id, sequence]])
});
/** What was said, and whether it is followed by where one is. */
const told: string[] = [];
const perform = (store: ReturnType<typeof disk>) =>
	new Performing({
		sequence: store.sequence,
		given: CONTEXT,
		log: [...store.log],
		clock: () => ms,
		now: () => ms,
		waits: () => 'never',
		onlog: (event) => store.log.push(event),
		onsaid: (words, corrected) => told.push(`${words}${corrected ? ' And where one is.' : ''}`),
		plans: store.plans,
		onchange: (next) => {
			store.sequence = next;
			store.plans.set(snapshotOf(next).id, next);
		}
	});
const reps = (target: number) => ({ kind: 'reps' as const, min: 1, target, max: 9 });
const plan = sequenceOf([
	step('a', ['chin', 'jawline'], { side: { each: true, first: 'left' }, dose: reps(4), paceSeconds: 3 }),
	step('b', ['malar', 'zygoma'], { dose: reps(5), paceSeconds: 2 }),
	pump('c', 'terminus', { aim: 'close', dose: reps(5) })
]);
const run = (p: Performing, seconds: number) => {
	for (const end = ms + 1000 * seconds; ms < end; ms += 200) p.runner.tick();
	p.runner.tick();
};

test('one more while working: it is said, logged, offered on the other side, and done there', () => {
	const store = disk(plan);
	const p = perform(store);
	p.runner.go();
	run(p, 7);
	p.more();
	expect(p.said).toBe('One more, client’s left.');
	expect(told.at(-1)).toBe('One more, client’s left. And where one is.');
	p.note('tender');
	expect(told.at(-1)).toBe(p.said);
	expect(p.uneven).toMatchObject({ side: 'right', missing: 1 });
	p.even();
	expect(p.uneven).toBeNull();
	expect(store.log.filter((e) => e.kind === 'mark').map((e) => e.mark)).toEqual(['more', 'tender', 'evened']);
	run(p, 100);
	expect(p.runner.position.done).toBe(true);
	const { done } = { done: p.runner.done() };
	expect(done.slice(0, 2).map((d) => [d.leftReps, d.rightReps])).toEqual([
		[5, 0],
		[0, 5]
	]);
});

test('left uneven on purpose it is asked no more; a drain is left by a second word only; notes change nothing of the plan', () => {
	const store = disk(plan);
	const p = perform(store);
	p.runner.go();
	run(p, 7);
	p.more();
	p.leaveUneven();
	expect(p.uneven).toBeNull();
	const before = store.sequence;
	p.note('tender');
	p.note('note', 'asks for warmer hands');
	expect(store.sequence).toBe(before);
	expect(store.log.at(-1)).toMatchObject({ kind: 'mark', mark: 'note', words: 'asks for warmer hands', side: 'left' });
	const skip = () => {
		ms += 1000;
		p.runner.tick();
		p.skip();
	};
	skip();
	skip();
	skip();
	expect(p.runner.position.event?.stepId).toBe('c');
	skip();
	expect(p.said).toMatch(/drain is still open/);
	expect(p.runner.position.done).toBe(false);
	skip();
	expect(p.runner.position.done).toBe(true);
});

test('a plan that is fitted is asked first, and done by one word', () => {
	const store = disk({ ...plan, budgetSeconds: 60 });
	const p = perform(store);
	p.runner.go();
	run(p, 4);
	p.runner.pause();
	p.askFit(30);
	expect(store.sequence.phases).toEqual(plan.phases);
	p.takeFit();
	expect(p.fit).toBeNull();
	expect(p.runner.total - p.runner.seconds).toBeLessThanOrEqual(30);
});

const ACTIONS = {
	toggle: (p: Performing) => (p.runner.playing ? p.runner.pause() : p.runner.go()),
	back: (p: Performing) => p.runner.back(),
	skip: (p: Performing) => p.skip(),
	more: (p: Performing) => p.more(),
	less: (p: Performing) => p.less(),
	other: (p: Performing) => p.otherSide(),
	even: (p: Performing) => p.even(),
	tender: (p: Performing) => p.note('tender'),
	fit: (p: Performing) => (p.askFit(200), p.takeFit()),
	still: (p: Performing) => p.runner.still(),
	exit: (p: Performing) => p.exit(),
	undo: (p: Performing) => p.undo()
} as const;

test('killed two hundred times at any moment, it goes on at the count that was last noted, and nothing done is lost', () => {
	fc.assert(
		fc.property(
			fc.constantFrom(plan, TEMPLATES[0]!, TEMPLATES[2]!),
			fc.array(fc.tuple(fc.constantFrom(...(Object.keys(ACTIONS) as (keyof typeof ACTIONS)[])), fc.nat(12)), {
				minLength: 1,
				maxLength: 12
			}),
			(sequence, script) => {
				ms = 1000;
				const store = disk(sequence);
				const p = perform(store);
				p.runner.go();
				for (const [action, seconds] of script) {
					run(p, seconds);
					ACTIONS[action](p);
				}
				p.runner.still();
				const [was, done] = [p.runner.position, p.runner.done()];
				// The process is gone; what is on the disk is all there is. An hour goes by.
				ms += 3_600_000;
				const again = perform(store);
				expect(again.runner.seconds).toBeCloseTo(p.runner.seconds, 6);
				expect([again.runner.position.index, again.runner.position.rep]).toEqual([was.index, was.rep]);
				expect(again.runner.playing).toBe(false);
				expect(again.runner.done()).toEqual(done);
			}
		),
		{ numRuns: 200 }
	);
});

test('a key that is held down skips once, pauses once, and what it did can be taken back', () => {
	const store = disk(plan);
	const p = perform(store);
	p.runner.go();
	run(p, 5);
	for (let n = 0; n < 15; n++) {
		ms += 33;
		p.skip();
	}
	expect(p.runner.position.event?.stepId).toBe('b');
	expect(p.undoWords).toBe('the jump');
	p.undo();
	expect(p.runner.position.event?.stepId).toBe('a');
	let toggled = 0;
	for (let n = 0; n < 14; n++) {
		ms += 12;
		p.toggle(() => toggled++);
	}
	expect(toggled).toBe(1);
});

test('whatever was done on the stage is taken back step by step, also after a crash, and nothing that was done is lost', () => {
	fc.assert(
		fc.property(
			fc.constantFrom(plan, TEMPLATES[0]!, TEMPLATES[2]!),
			fc.array(
				fc.tuple(
					fc.constantFrom('skip', 'more', 'less', 'other', 'even', 'fit', 'exit'),
					fc.integer({ min: 1, max: 9 })
				),
				{ minLength: 1, maxLength: 6 }
			),
			fc.boolean(),
			(sequence, script, crashes) => {
				ms = 1000;
				const store = disk(sequence);
				let p = perform(store);
				p.runner.go();
				const points: number[] = [];
				for (const [action, seconds] of script) {
					run(p, seconds);
					if (p.runner.position.done) break;
					const before = p.runner.undoPoint;
					ACTIONS[action as keyof typeof ACTIONS](p);
					if (p.runner.undoPoint !== before) points.push(0);
				}
				p.runner.still();
				const worked = p.runner.workedSeconds;
				if (crashes) p = perform(store);
				for (let n = 0; n < points.length; n++) {
					ms += 1000;
					p.undo();
				}
				expect(p.runner.undoPoint).toBeNull();
				expect(p.sequence).toEqual(sequence);
				expect(store.sequence).toEqual(sequence);
				// Half a stroke is begun again; nothing else of what was done goes.
				expect(p.runner.workedSeconds).toBeGreaterThanOrEqual(worked - 8 * points.length - 8);
			}
		),
		{ numRuns: 120 }
	);
});
