import type { PlaceRef } from '../atlas/places';
import type { Level } from '../step/levels';
import type { Block, Phase, Sequence, Step } from './sequence.schema';

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

const levelsByStep = new WeakMap<Step, readonly Level[]>();

/** The pressure level at each place of a step; one entry for a step without places. Steps never change, so it is kept. */
export function levelsOf(step: Step): readonly Level[] {
	if (step.levels) return step.levels;
	const known = levelsByStep.get(step);
	if (known) return known;
	const levels = Array.from({ length: Math.max(1, step.places.length) }, () => step.pressure ?? 0);
	levelsByStep.set(step, levels);
	return levels;
}

/** The highest level of a step: the one it is drawn and named by. */
export const peakLevel = (step: Step): Level => Math.max(0, ...levelsOf(step)) as Level;

/** Aims whose strokes move fluid on purpose. */
export const movesFluid = (step: Step): boolean => step.aim === 'drain' || step.aim === 'close';

/** Where a stroke leaves its fluid: with a reversal, back at the start. */
export const endPlace = (step: Step): PlaceRef => (step.reverse ? step.places[0]! : step.places.at(-1)!);
