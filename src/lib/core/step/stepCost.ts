import { isStationary } from '../vocabulary/vocabulary';
import type { Step } from './step.schema';

/** What it takes to reckon with a step: figures that grow with the work of the machine, not of the hands. */
export interface Cost {
	/** Stretches of time that it is expanded to. */
	readonly stretches: number;
	/** Places looked at over all stretches. */
	readonly visits: number;
	/** Repetitions over all sides, lanes and directions, with the pumps of its drain links. */
	readonly repetitions: number;
	readonly seconds: number;
}
export type CostKind = keyof Cost;

/** Most of one step (working values): far above any real dose, and reckoned with in well under a tenth of a second. */
export const STEP_LIMITS: Cost = { stretches: 4_000, visits: 20_000, repetitions: 20_000, seconds: 12 * 3600 };

/** Seconds of a breath here: the length that is set in Settings may differ, the order of magnitude does not. */
const BREATH_SECONDS = 10;

/**
 * The cost of a step at the upper end of its count, from its numbers alone.
 * @param step one that has the shape of a step
 */
export function stepCost(step: Step): Cost {
	const { dose, stations, end, side } = step;
	const places = Math.max(1, step.places.length);
	const inTurn = typeof side === 'object' && 'alternate' in side;
	const oneAfterTheOther = side === undefined || (typeof side === 'object' && 'each' in side);
	const sides = inTurn || oneAfterTheOther ? 2 : 1;
	const ways = step.lanes * (step.reverse ? 2 : 1);
	const given = dose.kind === 'reps' || !isStationary(step.motion) ? dose.max : dose.max * places;
	const reps = dose.kind === 'seconds' ? Math.max(1, Math.round(given / step.paceSeconds)) : given;
	const repSeconds = dose.kind === 'reps' ? step.paceSeconds : dose.kind === 'breaths' ? BREATH_SECONDS : given / reps;
	const hold = stations ? stations.hold.amount * (stations.hold.kind === 'breaths' ? BREATH_SECONDS : 1) : 0;
	const stops = stations?.places.length ?? 0;
	const done = sides * ways * reps;
	const worked = stops ? done * (1 + stops) : inTurn ? ways : sides * ways;
	const link = end.kind === 'link' ? end : null;
	return {
		// And a change before each side.
		stretches: worked + sides * (link ? 2 : 1),
		visits: (worked + sides) * places + (link ? sides * link.places.length : 0),
		repetitions: done + (link ? sides * link.pumps : 0),
		seconds: Math.max(done * (repSeconds + stops * hold), sides * (step.until?.capSeconds ?? 0))
	};
}

export const COST_KINDS = Object.keys(STEP_LIMITS) as CostKind[];

/** The kinds of cost in which a limit is passed. */
export const passedLimits = (cost: Cost, limits: Cost): CostKind[] =>
	COST_KINDS.filter((kind) => cost[kind] > limits[kind]);

/** Costs in plain words, with what makes them grow. */
export const COST_WORDS: Record<CostKind, string> = {
	stretches: 'separate stretches (repetitions × stations × lanes × sides)',
	visits: 'places to look at (stretches × places)',
	repetitions: 'repetitions (count × lanes × directions × sides)',
	seconds: 'seconds'
};
