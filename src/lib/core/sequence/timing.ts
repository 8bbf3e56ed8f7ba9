import { expand, type ExpandContext, type TimedEvent } from './expand';
import type { Sequence } from './sequence.schema';

export interface Span {
	readonly minSeconds: number;
	readonly expectedSeconds: number;
	readonly maxSeconds: number;
}

export interface Timing extends Span {
	/** By step id; transitions are charged to the step that needs them. */
	readonly steps: ReadonlyMap<string, Span & { readonly startSeconds: number; readonly endSeconds: number }>;
	readonly phases: ReadonlyMap<string, Span>;
}

const sumBy = (events: readonly TimedEvent[], key: 'stepId' | 'phaseId') => {
	const sums = new Map<string, number>();
	for (const e of events) sums.set(e[key], (sums.get(e[key]) ?? 0) + e.endSeconds - e.startSeconds);
	return sums;
};
const total = (events: readonly TimedEvent[]) => events.at(-1)?.endSeconds ?? 0;

/**
 * Time of a sequence with every count at its minimum, its target and its maximum, in seconds.
 * @param expected the events of `expand(sequence, context)`, where the caller already has them
 */
export function timingOf(
	sequence: Sequence,
	context: ExpandContext,
	expected: readonly TimedEvent[] = expand(sequence, context)
): Timing {
	const low = expand(sequence, context, 'min');
	const high = expand(sequence, context, 'max');
	const spans = (key: 'stepId' | 'phaseId') => {
		const [min, mid, max] = [sumBy(low, key), sumBy(expected, key), sumBy(high, key)];
		return new Map(
			[...mid.keys()].map((id) => [
				id,
				{ minSeconds: min.get(id) ?? 0, expectedSeconds: mid.get(id) ?? 0, maxSeconds: max.get(id) ?? 0 }
			])
		);
	};
	const first = new Map<string, number>();
	const last = new Map<string, number>();
	for (const e of expected) {
		if (!first.has(e.stepId)) first.set(e.stepId, e.startSeconds);
		last.set(e.stepId, e.endSeconds);
	}
	const steps = new Map(
		[...spans('stepId')].map(([id, span]) => [
			id,
			{ ...span, startSeconds: first.get(id) ?? 0, endSeconds: last.get(id) ?? 0 }
		])
	);
	return {
		minSeconds: total(low),
		expectedSeconds: total(expected),
		maxSeconds: total(high),
		steps,
		phases: spans('phaseId')
	};
}
