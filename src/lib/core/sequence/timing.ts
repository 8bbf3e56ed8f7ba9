import { expand, secondsOf, type ExpandContext, type Seconds, type TimedEvent } from './expand';
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

type Writable<T> = { -readonly [K in keyof T]: T[K] };

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
	const steps = new Map<string, Place>();
	const phases = new Map<string, Writable<Span>>();
	let [lastStep, lastPhase] = ['', ''];
	let step = placeAt('', 0, low, high);
	let phase = phaseSpan('', low, high);
	for (const { stepId, phaseId, startSeconds, endSeconds } of expected) {
		// Events of a step mostly follow each other: the maps are asked only where that changes.
		if (stepId !== lastStep) {
			step = steps.get(stepId) ?? placeAt(stepId, startSeconds, low, high);
			steps.set(stepId, step);
			lastStep = stepId;
		}
		if (phaseId !== lastPhase) {
			phase = phases.get(phaseId) ?? phaseSpan(phaseId, low, high);
			phases.set(phaseId, phase);
			lastPhase = phaseId;
		}
		step.expectedSeconds += endSeconds - startSeconds;
		step.endSeconds = endSeconds;
		phase.expectedSeconds += endSeconds - startSeconds;
	}
	standStill(sequence, steps, low, high);
	return {
		minSeconds: low.total,
		expectedSeconds: expected.at(-1)?.endSeconds ?? 0,
		maxSeconds: high.total,
		steps,
		phases
	};
}

type Place = Writable<Span> & { startSeconds: number; endSeconds: number };

/** Written out field by field, here and below: a spread a step costs more than all the sums. */
const placeAt = (id: string, seconds: number, low: Seconds, high: Seconds): Place => ({
	minSeconds: low.steps.get(id) ?? 0,
	expectedSeconds: 0,
	maxSeconds: high.steps.get(id) ?? 0,
	startSeconds: seconds,
	endSeconds: seconds
});
const phaseSpan = (id: string, low: Seconds, high: Seconds): Writable<Span> => ({
	minSeconds: low.phases.get(id) ?? 0,
	expectedSeconds: 0,
	maxSeconds: high.phases.get(id) ?? 0
});

/** Steps that take no time now, for a later sitting or until their condition is met: they stand where the one before ends. */
function standStill(sequence: Sequence, steps: Map<string, Place>, low: Seconds, high: Seconds): void {
	let at = 0;
	for (const phase of sequence.phases)
		for (const block of phase.blocks)
			for (const { id } of block.steps) {
				const known = steps.get(id);
				if (known) at = known.endSeconds;
				else steps.set(id, placeAt(id, at, low, high));
			}
}
