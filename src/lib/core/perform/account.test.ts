import { expect, test } from 'vitest';
import { judge } from '../rules/judge';
import { CONTEXT, pump, sequenceOf, step } from '../testing';
import { accountOf, plannedCounts, sessionAccount, unevenZones, usedIn, zonesOf } from './account';
import { oneMore } from './adapting/counts';
import { happenedOf } from './happened';
import { doneCounts, positionAt } from './position';

const each = { each: true as const, first: 'left' as const };
const reps = (target: number) => ({ kind: 'reps' as const, min: 1, target, max: 9 });
const plan = sequenceOf([
	step('a', ['chin', 'jawline'], { side: each, dose: reps(4), paceSeconds: 3 }),
	step('b', ['malar', 'zygoma'], { dose: reps(5), paceSeconds: 2 }),
	pump('c', 'terminus', { aim: 'close', dose: reps(5) })
]);
const now = () => {
	const judgement = judge(plan, CONTEXT);
	return { sequence: plan, judgement, seconds: 7, position: positionAt(judgement.events, 7), given: CONTEXT };
};

test('a session as planned is as planned, step by step and side by side', () => {
	const rows = accountOf(plan, plan, { done: plannedCounts(plan, CONTEXT), corrections: [] }, CONTEXT);
	expect(rows.map((r) => [r.number, r.became, r.done.left, r.done.right])).toEqual([
		[1, 'as planned', 4, 4],
		[2, 'as planned', 5, 5],
		[3, 'as planned', 5, 5]
	]);
	expect(unevenZones(zonesOf(rows, plan, plan))).toEqual([]);
});

test('one more on the left and the second step left out: said of the step, and of its zones', () => {
	const more = oneMore(now());
	if ('refused' in more) throw new Error(more.refused);
	const { events } = more.judgement;
	const skipped = events.filter((e) => e.stepId === 'b');
	const played = [
		{ from: 0, to: skipped[0]!.startSeconds },
		{ from: skipped.at(-1)!.endSeconds, to: events.at(-1)!.endSeconds }
	];
	const rows = accountOf(plan, more.sequence, { done: doneCounts(events, played), corrections: [] }, CONTEXT);
	expect(rows.map((r) => [r.stepId, r.became, r.done.left, r.done.right])).toEqual([
		['a', 'more', 5, 4],
		['b', 'left out', 0, 0],
		['c', 'as planned', 5, 5]
	]);
	const zones = zonesOf(rows, plan, more.sequence);
	expect(
		unevenZones(zones)
			.map((z) => z.zone)
			.sort()
	).toEqual(['chin', 'jawline']);
	expect(zones.find((z) => z.zone === 'malar')).toEqual({
		zone: 'malar',
		plan: { left: 5, right: 5 },
		done: { left: 0, right: 0 }
	});
});

test('what was used is that of steps of which something was done', () => {
	const stone = step('d', ['chin'], { contact: 'tool', tool: { id: 'roller' }, medium: { id: 'almond-oil', ml: 1 } });
	const oiled = sequenceOf([stone, step('e', ['malar'], { contact: 'tool', tool: { id: 'spoon' } })]);
	const done = plannedCounts(oiled, CONTEXT).map((d) => (d.stepId === 'e' ? { ...d, seconds: 0, skipped: true } : d));
	const used = usedIn(oiled, { done, corrections: [] });
	expect(used).toHaveLength(2);
	expect(used[0]).toMatch(/roller/i);
	expect(used[1]).toMatch(/almond/i);
});

test('a correction holds, and what was logged stays beside it', () => {
	const corrections = [
		{ stepId: 'a', leftReps: 4, rightReps: 6, reason: 'Miscounted', at: '2026-03-01T09:00:00.000Z' }
	];
	const [first] = accountOf(plan, plan, { done: plannedCounts(plan, CONTEXT), corrections }, CONTEXT);
	expect(first).toMatchObject({ became: 'more', logged: { left: 4, right: 4 }, done: { left: 4, right: 6 } });
});

test('of the log the session keeps what was noted, and halts with their length; a breath is no halt', () => {
	const log = [
		{ kind: 'go' as const, seconds: 0, atMs: 0 },
		{
			kind: 'mark' as const,
			mark: 'tender' as const,
			seconds: 3,
			atMs: 3000,
			side: 'left' as const,
			place: 'chin' as const
		},
		{ kind: 'pause' as const, seconds: 5, atMs: 5000 },
		{ kind: 'go' as const, seconds: 5, atMs: 8000 },
		{ kind: 'pause' as const, seconds: 9, atMs: 12_000 },
		{ kind: 'go' as const, seconds: 9, atMs: 72_000 }
	];
	expect(happenedOf(log)).toEqual([
		{ mark: 'tender', seconds: 3, side: 'left', place: 'chin' },
		{ mark: 'halt', seconds: 9, lastedSeconds: 60 }
	]);
});

test('one account: a step in seconds is corrected like a counted one, and every figure follows', () => {
	const kneaded = sequenceOf([
		step('k', ['masseter'], {
			aim: 'release',
			motion: 'knead',
			dose: { kind: 'seconds', min: 10, target: 30, max: 60 }
		}),
		step('b', ['malar', 'zygoma'], { dose: reps(5), paceSeconds: 2 })
	]);
	const done = plannedCounts(kneaded, CONTEXT).map((d) =>
		d.stepId === 'b' ? { ...d, leftReps: 0, rightReps: 0, seconds: 0, skipped: true } : d
	);
	const logged = { done, corrections: [], workedSeconds: 30, haltedSeconds: 0, happened: [] };
	expect(sessionAccount(logged, kneaded, kneaded, CONTEXT)).toMatchObject({
		stepsDone: 1,
		stepsPlanned: 2,
		early: true
	});
	const at = '2026-03-01T09:00:00.000Z';
	const corrections = [
		{ stepId: 'k', leftReps: 0, rightReps: 0, seconds: 75, reason: 'It took longer', at },
		{ stepId: 'b', leftReps: 5, rightReps: 4, seconds: 10, reason: 'The pedal slipped', at }
	];
	const account = sessionAccount({ ...logged, corrections }, kneaded, kneaded, CONTEXT);
	expect([account.stepsDone, account.workedSeconds, account.early]).toEqual([2, 85, false]);
	expect(account.rows.map((r) => r.became)).toEqual(['more', 'less']);
	expect(account.uneven.map((z) => z.zone).sort()).toEqual(['malar', 'zygoma']);
});
