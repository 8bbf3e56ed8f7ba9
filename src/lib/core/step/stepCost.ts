import { dosesPerSide } from './doseAt';
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
	const { dose, stations, end, side, parts = [] } = step;
	const places = Math.max(1, step.places.length);
	const inTurn = typeof side === 'object' && 'alternate' in side;
	const oneAfterTheOther = side === undefined || (typeof side === 'object' && 'each' in side);
	const sides = inTurn || oneAfterTheOther ? 2 : 1;
	const ways = step.lanes * (step.reverse ? 2 : 1) * dosesPerSide(step);
	const onceSeconds = step.paceSeconds + (step.returnSeconds ?? 0);
	const reps = dose.kind === 'seconds' ? Math.max(1, Math.round(dose.max / onceSeconds)) : dose.max;
	const repSeconds = dose.kind === 'reps' ? onceSeconds : dose.kind === 'breaths' ? BREATH_SECONDS : dose.max / reps;
	const waits = step.breath === 'free' || dose.kind === 'breaths' ? 0 : BREATH_SECONDS;
	const hold = stations ? stations.hold.amount * (stations.hold.kind === 'breaths' ? BREATH_SECONDS : 1) : 0;
	const stops = stations?.places.length ?? 0;
	const partSeconds = parts.reduce((sum, p) => sum + p.seconds, 0);
	const done = sides * ways * reps;
	const turns = inTurn ? Math.ceil(reps / (side.every ?? 1)) : 1;
	const told = stops + parts.length;
	const worked = told ? done * (1 + told) : inTurn && turns === reps ? ways : sides * ways * turns;
	const link = end.kind === 'link' ? end : null;
	const partPlaces = Math.max(places, ...parts.map((p) => p.places?.length ?? 0));
	const lanePlaces = Math.max(partPlaces, ...(step.laneWays ?? []).map((w) => w.length));
	return {
		// And a change and a pose for each side.
		stretches: worked + sides * ((link ? 2 : 1) + (step.poseSeconds ? 1 : 0)),
		visits: (worked + sides) * lanePlaces + (link ? sides * link.places.length : 0),
		repetitions: done * (1 + parts.length) + (link ? sides * link.pumps : 0),
		seconds: Math.max(
			done * (repSeconds + waits + stops * (hold + waits) + partSeconds) + sides * (step.poseSeconds ?? 0),
			sides * (step.until?.capSeconds ?? 0)
		)
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
