import {
	COST_KINDS,
	COST_WORDS,
	passedLimits,
	STEP_LIMITS,
	stepCost,
	type Cost,
	type CostKind
} from '../step/stepCost';
import type { Step } from '../step/step.schema';

/** Most of a whole sequence (working values): two thousand steps of ordinary doses stay below, and reckoning with them costs at most fifty ordinary sequences. */
export const SEQUENCE_LIMITS: Cost = { stretches: 30_000, visits: 70_000, repetitions: 80_000, seconds: 48 * 3600 };

/** What is asked of a sequence here: its steps. */
interface Phases {
	readonly phases: readonly {
		readonly passes?: number | undefined;
		readonly blocks: readonly { readonly passes?: number | undefined; readonly steps: readonly Step[] }[];
	}[];
}

/** A limit that is passed: by a step, or by all of them together. */
export interface OverLimit {
	/** Where it stands in the sequence; empty for the whole. */
	readonly path: readonly (string | number)[];
	readonly stepId: string | null;
	readonly kind: CostKind;
	readonly asked: number;
	readonly limit: number;
}

const NOTHING: Cost = { stretches: 0, visits: 0, repetitions: 0, seconds: 0 };
const sum = (a: Cost, b: Cost): Cost => ({
	stretches: a.stretches + b.stretches,
	visits: a.visits + b.visits,
	repetitions: a.repetitions + b.repetitions,
	seconds: a.seconds + b.seconds
});

const times = (cost: Cost, n: number): Cost => ({
	stretches: n * cost.stretches,
	visits: n * cost.visits,
	repetitions: n * cost.repetitions,
	seconds: n * cost.seconds
});

/** Every step with how often it is done and where it stands. */
function* placedSteps(sequence: Phases): Generator<[Step, number, (string | number)[]]> {
	for (const [p, phase] of sequence.phases.entries())
		for (const [b, block] of phase.blocks.entries())
			for (const [s, step] of block.steps.entries())
				yield [step, (phase.passes ?? 1) * (block.passes ?? 1), ['phases', p, 'blocks', b, 'steps', s]];
}

/** What it takes to reckon with a sequence, from the numbers alone: a few microseconds for a hundred steps. */
export function sequenceCost(sequence: Phases): Cost {
	let cost = NOTHING;
	for (const [step, n] of placedSteps(sequence)) cost = sum(cost, times(stepCost(step), n));
	return cost;
}

/** Every limit that a sequence passes: step by step, and as a whole. */
export function overLimits(sequence: Phases): OverLimit[] {
	const over: OverLimit[] = [];
	let total = NOTHING;
	const note = (cost: Cost, limits: Cost, path: OverLimit['path'], stepId: string | null) => {
		for (const kind of passedLimits(cost, limits))
			over.push({ path, stepId, kind, asked: Math.round(cost[kind]), limit: limits[kind] });
	};
	for (const [step, n, path] of placedSteps(sequence)) {
		const cost = stepCost(step);
		note(cost, STEP_LIMITS, [...path, 'dose'], step.id);
		total = sum(total, times(cost, n));
	}
	note(total, SEQUENCE_LIMITS, ['phases'], null);
	return over;
}

/** A passed limit as a sentence. */
export const limitWords = ({
	stepId,
	kind,
	asked,
	limit
}: Pick<OverLimit, 'stepId' | 'kind' | 'asked' | 'limit'>): string =>
	`at most ${limit.toLocaleString('en')} ${COST_WORDS[kind]} are allowed in ${stepId === null ? 'a sequence' : 'one step'}: ${asked.toLocaleString('en')}`;

/** Whether one sequence is in no cost above another: taking away from what is too much is always possible. */
export function isNoDearer(after: Phases, before: Phases): boolean {
	const [now, was] = [sequenceCost(after), sequenceCost(before)];
	return COST_KINDS.every((kind) => now[kind] <= was[kind]);
}

/** A step that costs next to nothing, in place of one that would cost too much. */
const cutShort = (step: Step): Step => ({
	...step,
	dose: { kind: 'reps', min: 1, target: 1, max: 1 },
	paceSeconds: Math.min(1, step.paceSeconds),
	lanes: 1,
	reverse: false,
	stations: undefined,
	parts: undefined,
	laneWays: undefined,
	poseSeconds: undefined,
	doseAt: 'over-all',
	until: undefined
});

/** Sequences never change: what was found to be within the limits stays so. */
const known = new WeakMap<Phases, Phases>();

/**
 * A sequence that can be reckoned with, whatever it asks: steps over the limits, and all from where the whole would pass
 * them, are cut to one repetition. The same object where nothing is over. What is cut is named by `overLimits`.
 */
export function computable<S extends Phases>(sequence: S): S {
	const found = known.get(sequence) as S | undefined;
	if (found) return found;
	const made = overLimits(sequence).length ? cut(sequence) : sequence;
	known.set(sequence, made);
	known.set(made, made);
	return made;
}

function cut<S extends Phases>(sequence: S): S {
	let total = NOTHING;
	const within = (step: Step, n: number): Step => {
		const cost = stepCost(step);
		const together = sum(total, times(cost, n));
		const fits = !passedLimits(cost, STEP_LIMITS).length && !passedLimits(together, SEQUENCE_LIMITS).length;
		if (fits) total = together;
		return fits ? step : cutShort(step);
	};
	return {
		...sequence,
		phases: sequence.phases.map((phase) => ({
			...phase,
			blocks: phase.blocks.map((block) => ({
				...block,
				steps: block.steps.map((step) => within(step, (phase.passes ?? 1) * (block.passes ?? 1)))
			}))
		}))
	};
}
