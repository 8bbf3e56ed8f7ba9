import type { PlaceRef } from '../atlas/places';
import { doseAtOf } from '../step/doseAt';
import { spotsOf } from '../step/spots';
import type { Level } from '../step/levels';
import { levelsOf } from '../step/levelsOf';
import type { Step } from '../step/step.schema';
import { motionRow } from '../vocabulary/vocabulary';
import type { Working } from '../working/working.schema';

/** Which end of a count is taken; expected time is `target`. */
export type CountChoice = 'min' | 'target' | 'max';

/** What repeats, and how long one takes. */
interface Beat {
	readonly reps: number;
	readonly paceSeconds: number;
}

/**
 * Counted seconds of one dose, split into what repeats; what the breath costs is a part of it (working values: a cue
 * breath in and one out). Each press of a count waits for the next breath; hands that go off on the in-breath are away as
 * long as they were on; one breath in before a side is one breath.
 */
export function beatOf(step: Step, working: Working, count: CountChoice): Beat {
	const amount = step.dose[count];
	const half = working.cueBreathHalfSeconds;
	if (step.dose.kind === 'breaths') return { reps: amount, paceSeconds: working.doseBreathSeconds };
	// The way back belongs to the repetition.
	const paceSeconds = step.paceSeconds + (step.returnSeconds ?? 0);
	const presses = motionRow(step.motion).holds && step.motion !== 'none';
	const waits = step.breath === 'out-while-pressing' || step.breath === 'out-while-held';
	if (step.dose.kind === 'reps' && presses && waits)
		return { reps: amount, paceSeconds: half + Math.max(paceSeconds, half) };
	const reps = step.dose.kind === 'reps' ? amount : Math.max(1, Math.round(amount / paceSeconds));
	const seconds = step.dose.kind === 'reps' ? amount * paceSeconds : amount;
	const away =
		step.breath === 'off-in-on-out' ? Math.ceil(seconds / half - 1e-9) * half : step.breath === 'in-before' ? half : 0;
	return { reps, paceSeconds: away ? (seconds + away) / reps : seconds / reps };
}

/** Seconds of one station's hold; with a breath to each station at least that breath, in and out. */
export function holdSeconds(step: Step, working: Working): number {
	if (!step.stations) return 0;
	const { kind, amount } = step.stations.hold;
	const hold = kind === 'breaths' ? amount * working.doseBreathSeconds : amount;
	return step.breath === 'one-a-station' ? Math.max(hold, 2 * working.cueBreathHalfSeconds) : hold;
}

/** One of the ways to which a dose is given. */
export interface Way {
	readonly lane: number;
	readonly direction: 'forward' | 'back';
	readonly places: readonly PlaceRef[];
	readonly levels: readonly Level[];
	/** Number of the spot within its places, from 0, where spots are told. */
	readonly spot?: number;
}
const DIRECTIONS = { once: ['forward'], back: ['forward', 'back'] } as const;
const waysByStep = new WeakMap<Step, readonly Way[]>();

/** What a dose is given to, one after the other: each lane in each direction, or each place that is stayed on. */
export function waysOf(step: Step): readonly Way[] {
	const known = waysByStep.get(step);
	if (known) return known;
	const levels = levelsOf(step);
	const lanes = Array.from({ length: step.lanes }, (_, i) => i + 1);
	const each = doseAtOf(step) === 'each-place';
	const told = each ? spotsOf(step) : [];
	const spots: readonly Pick<Way, 'places' | 'levels' | 'spot'>[] = told.length
		? told.map(({ place, at }, spot) => ({ places: [place], levels: [levels[at]!], spot }))
		: each
			? step.places.map((place, i) => ({ places: [place], levels: [levels[i]!] }))
			: [{ places: step.places, levels }];
	const ways = lanes.flatMap((lane) =>
		spots.flatMap((spot) =>
			DIRECTIONS[step.reverse ? 'back' : 'once'].map((direction): Way => ({
				lane,
				direction,
				...laneOf(step, lane, spot)
			}))
		)
	);
	waysByStep.set(step, ways);
	return ways;
}

/** A lane with a path of its own goes there, as deep as the step at its deepest. */
function laneOf(step: Step, lane: number, spot: Omit<Way, 'lane' | 'direction'>): Omit<Way, 'lane' | 'direction'> {
	const own = lane > 1 ? step.laneWays?.[lane - 2] : undefined;
	return own ? { places: own, levels: own.map(() => Math.max(...spot.levels) as Level) } : spot;
}

/** Whether repetitions must be told apart, because something happens within each. */
export const isTold = (step: Step): boolean => step.stations !== undefined || step.parts !== undefined;

/** Hands that do nothing rest. */
export const kindOf = (step: Step): 'rest' | 'work' =>
	step.motion === 'none' && step.contact === 'none' ? 'rest' : 'work';
