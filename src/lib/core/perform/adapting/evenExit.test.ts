import fc from 'fast-check';
import { expect, test } from 'vitest';
import { judge } from '../../rules/judge';
import { TEMPLATES } from '../../template/templates';
import { CONTEXT } from '../../testing';
import { plannedCounts } from '../account';
import { doneCounts, positionAt } from '../position';
import type { Sequence } from '../../sequence/sequence.schema';
import { oneLess, oneMore, otherSideNow, unevenNow } from './counts';
import { originOf, type Adapted, type Moment } from './moment';
import { endSoon, fitRest } from './rest';

const momentOf = (sequence: Sequence, seconds: number): Moment => {
	const judgement = judge(sequence, CONTEXT);
	return { sequence, judgement, seconds, position: positionAt(judgement.events, seconds), given: CONTEXT };
};
const ADAPTATIONS: Record<string, (moment: Moment) => Adapted> = {
	nothing: (m) => ({ sequence: m.sequence, judgement: m.judgement, said: '' }),
	'one more': oneMore,
	'one less': oneLess,
	'other side': otherSideNow,
	fit: (m) => fitRest(m, 60 + (m.judgement.timing.expectedSeconds - m.seconds) / 2).adapted
};

/** Seconds at which an adaptation is possible in a ready sequence. */
const possible = new Map<string, readonly number[]>();
function moments(ready: Sequence, how: string): readonly number[] {
	const key = `${ready.id} ${how}`;
	const known = possible.get(key);
	if (known) return known;
	const { expectedSeconds } = judge(ready, CONTEXT).timing;
	const all = Array.from({ length: Math.floor(expectedSeconds / 4) }, (_, i) => 4 * i + 1.3);
	const found = how === 'fit' ? all : all.filter((at) => !('refused' in ADAPTATIONS[how]!(momentOf(ready, at))));
	possible.set(key, found);
	return found;
}

/** What each step of the plan got on each side: parts made while working count to the step that they come from. */
function sides(counts: readonly { stepId: string; leftReps: number; rightReps: number }[]) {
	const sums = new Map<string, [left: number, right: number]>();
	for (const { stepId, leftReps, rightReps } of counts) {
		const [left, right] = sums.get(originOf(stepId)) ?? [0, 0];
		sums.set(originOf(stepId), [left + leftReps, right + rightReps]);
	}
	return sums;
}

test('the shortest way out leaves no side behind without asking: all ready sequences, any moment, after any adaptation', () => {
	const exits = new Map<string, number>();
	fc.assert(
		fc.property(
			fc.constantFrom(...TEMPLATES),
			fc.nat(),
			fc.constantFrom(...Object.keys(ADAPTATIONS)),
			fc.double({ min: 0, max: 40, noNaN: true }),
			(ready, nth, how, later) => {
				const where = moments(ready, how);
				if (!where.length) return;
				const at = where[nth % where.length]!;
				const adapted = ADAPTATIONS[how]!(momentOf(ready, at));
				if ('refused' in adapted) return;
				const then = momentOf(adapted.sequence, Math.min(at + later, adapted.judgement.timing.expectedSeconds - 1e-3));
				const out = endSoon(then);
				if ('refused' in out) return;
				exits.set(how, (exits.get(how) ?? 0) + 1);
				const end = out.judgement.events.at(-1)!.endSeconds;
				const planned = sides(plannedCounts(ready, CONTEXT));
				const done = sides(doneCounts(out.judgement.events, [{ from: 0, to: end }]));
				// What was asked for on one side alone is asked about as long as its step is at hand, and is no more than that.
				const uneven = unevenNow({
					...momentOf(ready, at),
					...adapted,
					position: positionAt(adapted.judgement.events, at)
				});
				for (const [id, [left, right]] of done) {
					const [wasLeft, wasRight] = planned.get(id) ?? [0, 0];
					if (wasLeft !== wasRight) continue;
					const asked = uneven?.origin === id ? uneven.missing * (uneven.side === 'right' ? 1 : -1) : 0;
					const timed = out.judgement.context.byId.get(id)?.step.dose.kind === 'seconds';
					if (!asked || !timed) expect(left - right, `${ready.title}: ${how} at ${at}, ${id}`).toBe(asked);
				}
			}
		),
		{ numRuns: 220 }
	);
	for (const how of Object.keys(ADAPTATIONS)) expect(exits.get(how) ?? 0, how).toBeGreaterThan(8);
});
