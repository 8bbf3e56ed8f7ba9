import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anySequence, CONTEXT, sequenceOf, step } from '../testing';
import { expand } from '../sequence/expand';
import { doneCounts, eventIndexAt, nextStepSeconds, positionAt, previousStepSeconds } from './position';

const each = { each: true as const, first: 'left' as const };
const events = expand(
	sequenceOf([step('a', ['chin', 'jawline'], { side: each }), step('b', ['malar', 'zygoma'])]),
	CONTEXT
);

test('repetitions that have further strokes, or stop on their way, are counted one after the other', () => {
	const parts = [{ motion: 'sweep' as const, seconds: 1 }];
	const events = expand(
		sequenceOf([step('a', ['chin', 'jawline'], { parts, side: { each: true, first: 'left' } })]),
		CONTEXT
	);
	// 5 × (2 s + 1 s) on the left, 2 s to change, then the right.
	expect([0, 2.5, 3.5, 13, 17.5].map((s) => positionAt(events, s)).map((p) => [p.rep, p.reps])).toEqual([
		[1, 5],
		[1, 5],
		[2, 5],
		[5, 5],
		[1, 5]
	]);
});

describe('position, by hand: a is 5 × 2 s left, 2 s change, 5 × 2 s right; b is 5 × 2 s on both', () => {
	test.each([
		[0, 'a', 'left', 1],
		[1.9, 'a', 'left', 1],
		[2, 'a', 'left', 2],
		[10.5, 'a', 'right', 0],
		[12, 'a', 'right', 1],
		[22, 'b', 'both', 1],
		[31.9, 'b', 'both', 5]
	])('%d s: step %s, %s, repetition %d', (seconds, stepId, side, rep) => {
		const p = positionAt(events, seconds);
		expect([p.event!.stepId, p.event!.side, p.rep]).toEqual([stepId, side, rep]);
	});
	test('the end is the end, and what is left is known', () => {
		expect(positionAt(events, 32)).toMatchObject({ done: true, event: null });
		expect(positionAt(events, 5)).toMatchObject({ stepLeftSeconds: 17, eventLeftSeconds: 5, repShare: 0.5 });
	});
	test('skip goes to the next step, back to this one, or to the one before right after its start', () => {
		expect(nextStepSeconds(events, 5)).toBe(22);
		expect(nextStepSeconds(events, 30)).toBe(32);
		expect(previousStepSeconds(events, 28)).toBe(22);
		expect(previousStepSeconds(events, 23)).toBe(0);
		expect(previousStepSeconds([], 3)).toBe(0);
	});
});

describe('what was done', () => {
	test('half a stroke is not a stroke; skipped time is not done', () => {
		const done = doneCounts(events, [
			{ from: 0, to: 5 },
			{ from: 22, to: 32 }
		]);
		expect(done).toEqual([
			{ stepId: 'a', leftReps: 2, rightReps: 0, seconds: 5, skipped: false },
			{ stepId: 'b', leftReps: 5, rightReps: 5, seconds: 10, skipped: false }
		]);
		expect(doneCounts(events, [{ from: 0, to: 22 }])[1]!.skipped).toBe(true);
	});
	test('played whole, every planned repetition is counted', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				const all = expand(sequence, CONTEXT);
				const end = all.at(-1)?.endSeconds ?? 0;
				for (const d of doneCounts(all, [{ from: 0, to: end }])) {
					const planned = all.filter((e) => e.stepId === d.stepId && e.kind === 'work' && e.side !== 'right');
					const onLeft = planned.map((e) => (e.side.startsWith('in-turn') ? e.reps / 2 : e.reps));
					expect(d.leftReps).toBe(onLeft.reduce((s, n) => s + n, 0));
				}
			}),
			{ numRuns: 60 }
		);
	});
	test('the event at a moment is the one that a slow search finds', () => {
		fc.assert(
			fc.property(anySequence, fc.double({ min: 0, max: 4000, noNaN: true }), (sequence, t) => {
				const all = expand(sequence, CONTEXT);
				const slow = all.findIndex((e) => e.endSeconds > t);
				expect(eventIndexAt(all, t)).toBe(slow < 0 ? all.length : slow);
			}),
			{ numRuns: 60 }
		);
	});
});
