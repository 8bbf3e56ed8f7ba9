import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { judge } from '../../rules/judge';
import { stepsOf } from '../../sequence/walk';
import type { Sequence } from '../../sequence/sequence.schema';
import { StoredSequenceSchema } from '../../sequence/sequence.schema';
import { TEMPLATES } from '../../template/templates';
import { anySequence, CONTEXT, pump, sequenceOf, step } from '../../testing';
import { plannedCounts } from '../account';
import { positionAt } from '../position';
import { evenUp, oneLess, oneMore, otherSideNow, unevenNow } from './counts';
import { fadedAhead, reopen } from './faded';
import { originOf, samePast, type Adapted, type Moment } from './moment';
import { endSoon, fitRest } from './rest';

const at = (sequence: Sequence, seconds: number): Moment => {
	const judgement = judge(sequence, CONTEXT);
	return { sequence, judgement, seconds, position: positionAt(judgement.events, seconds), given: CONTEXT };
};
/** The change, or a failed test with the reason. */
const made = (adapted: Adapted) => {
	if ('refused' in adapted) throw new Error(adapted.refused);
	return adapted;
};
const refusal = (adapted: Adapted) => ('refused' in adapted ? adapted.refused : null);
const counts = (sequence: Sequence) =>
	plannedCounts(sequence, CONTEXT).map((c) => [c.stepId, c.leftReps, c.rightReps] as const);

const each = { each: true as const, first: 'left' as const };
const reps = (target: number, min = target, max = target) => ({ kind: 'reps' as const, min, target, max });
/** 4 strokes of 3 s on the left, 2 s for the change, 4 on the right; then both brows; then the close. */
const plan = sequenceOf([
	step('a', ['chin', 'jawline'], { side: each, dose: reps(4, 2, 6), paceSeconds: 3 }),
	step('b', ['malar', 'zygoma'], { dose: reps(5, 3, 8), paceSeconds: 2, optional: true }),
	pump('c', 'terminus', { aim: 'close', dose: reps(5) })
]);

describe('one more', () => {
	test('on the first side: 5 on the left, 4 on the right, and the right is offered one', () => {
		// Second 7: the third stroke of the left.
		const more = made(oneMore(at(plan, 7)));
		expect(more.said).toBe('One more, client’s left.');
		expect(counts(more.sequence).slice(0, 2)).toEqual([
			['a', 5, 0],
			['a~2', 0, 4]
		]);
		// Later by one stroke of 3 s, and by nothing else.
		expect(more.judgement.events.at(-1)!.endSeconds).toBeCloseTo(at(plan, 7).judgement.events.at(-1)!.endSeconds + 3);
		const now = at(more.sequence, 7);
		expect(unevenNow(now)).toEqual({ origin: 'a', side: 'right', missing: 1 });
		const even = made(evenUp(now, unevenNow(now)!));
		expect(counts(even.sequence).slice(0, 2)).toEqual([
			['a', 5, 0],
			['a~2', 0, 5]
		]);
		expect(unevenNow(at(even.sequence, 7))).toBeNull();
	});
	test('on the second side, when the first is over: it is added after, and evened by going back', () => {
		// The right begins at 14 s.
		const more = made(oneMore(at(plan, 18)));
		expect(counts(more.sequence).slice(0, 2)).toEqual([
			['a', 4, 0],
			['a~2', 0, 5]
		]);
		const now = at(more.sequence, 18);
		expect(unevenNow(now)).toMatchObject({ side: 'left', missing: 1 });
		const even = made(evenUp(now, unevenNow(now)!));
		expect(counts(even.sequence).slice(0, 3)).toEqual([
			['a', 4, 0],
			['a~2', 0, 5],
			['a~3', 1, 0]
		]);
	});
	test('of both sides at once, on both; above its range it is refused with the number', () => {
		const b = at(plan, 30);
		expect(b.position.event?.stepId).toBe('b');
		const more = made(oneMore(b));
		expect(counts(more.sequence)[1]).toEqual(['b', 6, 6]);
		expect(refusal(oneMore(at(sequenceOf([step('a', ['malar'], { dose: reps(8, 3, 8) })]), 1)))).toBe(
			'8 is the most here.'
		);
	});
	test('what the rules stop is not added, and the finding is said', () => {
		const long = sequenceOf([
			step('m', ['masseter'], { aim: 'release', motion: 'knead', pressure: 3, paceSeconds: 60, dose: reps(1) })
		]);
		let now = at(long, 1);
		let refused: string | null = null;
		for (let n = 0; n < 20 && !refused; n++) {
			const more = oneMore(now);
			refused = refusal(more);
			if (!refused) now = at(made(more).sequence, 1);
		}
		expect(refused).toMatch(/^Not more of it: /);
	});
});

describe('one less, and the other side first', () => {
	test('one less on each side; not one that has begun', () => {
		expect(counts(made(oneLess(at(plan, 1))).sequence)[0]).toEqual(['a', 3, 3]);
		expect(refusal(oneLess(at(plan, 10)))).toBe('The last one has begun.');
	});
	test('over to the right after the second stroke; the two that are left come back at the end', () => {
		const other = made(otherSideNow(at(plan, 4)));
		expect(other.said).toBe('client’s right now; then back for 2.');
		expect(counts(other.sequence).slice(0, 3)).toEqual([
			['a', 2, 0],
			['a~2', 0, 4],
			['a~3', 2, 0]
		]);
		expect(unevenNow(at(other.sequence, 4))).toBeNull();
		expect(refusal(otherSideNow(at(plan, 18)))).toMatch(/other side has been done/);
		expect(refusal(otherSideNow(at(plan, 30)))).toMatch(/does not do one side/);
	});
});

describe('the rest', () => {
	test('fits the time that is left; what has begun and the close stay as they are', () => {
		const now = at(plan, 4);
		const fit = fitRest(now, 30);
		const { sequence } = made(fit.adapted);
		expect(fit.leftSeconds).toBeLessThanOrEqual(30);
		const steps = stepsOf(sequence).map((s) => s.step);
		expect(steps[0]).toEqual(stepsOf(plan)[0]!.step);
		expect(steps.at(-1)).toMatchObject({ id: 'c', dose: { target: 5 } });
		expect(fit.changes.length).toBeGreaterThan(0);
		expect(refusal(fitRest(now, 5).adapted)).toMatch(/^At least 0:\d\d is needed/);
	});
	test('the shortest way out is the step at hand and the closing drain', () => {
		const out = made(endSoon(at(plan, 4)));
		expect(counts(out.sequence)).toEqual([
			['a', 4, 4],
			['c', 5, 5]
		]);
		expect(refusal(endSoon(at(plan, 40)))).toBe('This is the shortest way already.');
	});
});

describe('openings that faded', () => {
	const drains = sequenceOf([
		pump('open', 'submandibular', { dose: reps(7) }),
		pump('out', 'terminus', { dose: reps(7) }),
		step('first', ['temple', 'zygoma'], { aim: 'release', dose: reps(2), paceSeconds: 2 }),
		step('late', ['chin', 'jawline', 'n:submandibular'], { dose: reps(3), paceSeconds: 2 })
	]);
	const played = (haltSeconds: number, skipped = false) => [
		...(skipped ? [] : [{ from: 0, to: 7, startMs: 0 }]),
		{ from: 7, to: 15, startMs: 7000 },
		{ from: 15, to: 16, startMs: 15_000 + 1000 * haltSeconds }
	];
	const nowMs = (haltSeconds: number) => 16_000 + 1000 * haltSeconds;
	const now = at(drains, 16);
	test('nothing is said of what is still open, nor of what the plan never had open', () => {
		expect(fadedAhead(now, played(0), nowMs(0))).toEqual([]);
	});
	test('a halt of twenty minutes is named with its minutes, and it is opened again before it is needed', () => {
		const faded = fadedAhead(now, played(1200), nowMs(1200));
		expect(faded.map((f) => f.node)).toEqual(['submandibular']);
		expect(faded[0]!.words).toContain('were opened 20 minutes ago, and step 4');
		const again = made(reopen(now, faded[0]!));
		const ids = stepsOf(again.sequence).map((s) => s.step.id);
		expect(ids.indexOf('open-submandibular')).toBe(ids.indexOf('late') - 1);
	});
	test('an opening that was skipped is missed', () => {
		const faded = fadedAhead(now, played(0, true), nowMs(0));
		expect(faded.map((f) => [f.node, f.words.includes('are not open')])).toEqual([['submandibular', true]]);
	});
});

const ways: readonly ((m: Moment) => Adapted)[] = [
	oneMore,
	oneLess,
	otherSideNow,
	endSoon,
	(m) => fitRest(m, 120).adapted,
	(m) => {
		const uneven = unevenNow(m);
		return uneven ? evenUp(m, uneven) : { refused: '' };
	}
];
test('whatever is changed at whatever moment: what was done stays where it was, no new stop, a valid sequence', () => {
	let done = 0;
	fc.assert(
		fc.property(
			fc.oneof(anySequence, fc.constantFrom(...TEMPLATES)),
			fc.double({ min: 0, max: 0.999, noNaN: true }),
			fc.array(fc.nat(ways.length - 1), { minLength: 1, maxLength: 4 }),
			(sequence, share, order) => {
				let now = at(sequence, 0);
				const end = now.judgement.events.at(-1)?.endSeconds ?? 0;
				if (!end) return;
				const seconds = share * end;
				now = at(sequence, seconds);
				for (const way of order) {
					const adapted = ways[way]!(now);
					if ('refused' in adapted) continue;
					done++;
					expect(StoredSequenceSchema.safeParse(adapted.sequence).error).toBeUndefined();
					expect(samePast(now.judgement.events, adapted.judgement.events, now.position.index, seconds)).toBe(true);
					const next = at(adapted.sequence, seconds);
					expect(next.position.rep).toBe(now.position.rep);
					expect(originOf(next.position.event!.stepId)).toBe(originOf(now.position.event!.stepId));
					if (way < 1 || way > 4) {
						const stops = (m: Moment) => m.judgement.findings.filter((f) => f.severity === 'stop').length;
						expect(stops(next)).toBeLessThanOrEqual(stops(now));
					}
					now = next;
				}
			}
		),
		{ numRuns: 150 }
	);
	// The property says nothing where everything is refused.
	expect(done).toBeGreaterThan(50);
});
