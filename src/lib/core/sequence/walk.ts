import type { Step } from '../step/step.schema';
import type { Block, Phase, Sequence } from './sequence.schema';

/** A step with where it stands. `number` counts from 1 over the whole sequence, as shown on the shore. */
export interface PlacedStep {
	readonly step: Step;
	readonly block: Block;
	readonly phase: Phase;
	readonly number: number;
	/** Indexes of phase, block and step. */
	readonly at: readonly [number, number, number];
}

/** All steps in playing order. */
export function stepsOf(sequence: Sequence): PlacedStep[] {
	const out: PlacedStep[] = [];
	sequence.phases.forEach((phase, p) =>
		phase.blocks.forEach((block, b) =>
			block.steps.forEach((step, s) => out.push({ step, block, phase, number: out.length + 1, at: [p, b, s] }))
		)
	);
	return out;
}

export const findStep = (sequence: Sequence, stepId: string): PlacedStep | undefined =>
	stepsOf(sequence).find((s) => s.step.id === stepId);

/** The steps of one phase, in order. */
export const stepsInPhase = (phase: Phase): Step[] => phase.blocks.flatMap((b) => b.steps);

/** The sequence with each step changed, or left out where the change is null. */
export const mapSteps = (sequence: Sequence, change: (step: Step) => Step | null): Sequence => ({
	...sequence,
	phases: sequence.phases.map((phase) => ({
		...phase,
		blocks: phase.blocks.map((block) => ({ ...block, steps: block.steps.flatMap((s) => change(s) ?? []) }))
	}))
});
