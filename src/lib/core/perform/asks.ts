import { conditionalSteps, withMet } from '../sequence/chosen';
import { expand, type ExpandContext, type TimedEvent } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import type { PlacedStep } from '../sequence/walk';

/**
 * The sequence with the condition of a step met in the middle of it.
 * @param index the event at hand, of `events`
 * @returns null where what was done by then would change by it, as where the step also stands in a pass that is over
 */
export function metNow(
	sequence: Sequence,
	stepId: string,
	events: readonly TimedEvent[],
	index: number,
	context: ExpandContext
): Sequence | null {
	const next = withMet(sequence, new Set([stepId]));
	const after = expand(next, context);
	const same = (event: TimedEvent, i: number) =>
		after[i]?.stepId === event.stepId &&
		after[i].startSeconds === event.startSeconds &&
		after[i].endSeconds === event.endSeconds;
	return events.slice(0, index + 1).every(same) ? next : null;
}

/** What is asked while a step is at hand: the steps that hang on a condition and stand between it and the one that comes next. */
export function askedNow(
	sequence: Sequence,
	events: readonly TimedEvent[],
	index: number,
	numberOf: (stepId: string) => number,
	context: ExpandContext
): readonly PlacedStep[] {
	const conditional = conditionalSteps(sequence);
	const here = events[index];
	if (!conditional.length || !here) return [];
	const number = numberOf(here.stepId);
	const then = events.slice(index).find((e) => e.stepId !== here.stepId);
	const until = then ? numberOf(then.stepId) : Infinity;
	return conditional.filter(
		(s) => s.number > number && s.number < until && metNow(sequence, s.step.id, events, index, context)
	);
}
