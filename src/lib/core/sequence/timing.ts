import { expand, secondsOf, type ExpandContext, type TimedEvent } from './expand';
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

/**
 * Time of a sequence with every count at its minimum, its target and its maximum, in seconds.
 * @param expected the events of `expand(sequence, context)`, where the caller already has them
 */
export function timingOf(
	sequence: Sequence,
	context: ExpandContext,
	expected: readonly TimedEvent[] = expand(sequence, context)
): Timing {
	const low = secondsOf(sequence, context, 'min');
	const high = secondsOf(sequence, context, 'max');
	const steps = new Map<string, { expectedSeconds: number; startSeconds: number; endSeconds: number }>();
	const phases = new Map<string, number>();
	for (const { stepId, phaseId, startSeconds, endSeconds } of expected) {
		const seconds = endSeconds - startSeconds;
		const known = steps.get(stepId);
		if (known) {
			known.expectedSeconds += seconds;
			known.endSeconds = endSeconds;
		} else steps.set(stepId, { expectedSeconds: seconds, startSeconds, endSeconds });
		phases.set(phaseId, (phases.get(phaseId) ?? 0) + seconds);
	}
	const ends = (id: string, of: 'steps' | 'phases') => ({
		minSeconds: low[of].get(id) ?? 0,
		maxSeconds: high[of].get(id) ?? 0
	});
	return {
		minSeconds: low.total,
		expectedSeconds: expected.at(-1)?.endSeconds ?? 0,
		maxSeconds: high.total,
		steps: new Map([...steps].map(([id, span]) => [id, { ...span, ...ends(id, 'steps') }])),
		phases: new Map([...phases].map(([id, expectedSeconds]) => [id, { expectedSeconds, ...ends(id, 'phases') }]))
	};
}
