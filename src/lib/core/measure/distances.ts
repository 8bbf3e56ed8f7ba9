import type { Working } from '../working/working.schema';

/** The tape-measure distances of this version, mm on each side, with their ends in words. */
export const DISTANCES = {
	'tragus-mouth-corner': { label: 'Tragus to mouth corner', from: 'tragus', to: 'mouth corner' },
	'jaw-angle-nose-wing': { label: 'Jaw angle to nose wing', from: 'jaw angle', to: 'nose wing' },
	'jaw-angle-outer-canthus': {
		label: 'Jaw angle to outer eye corner',
		from: 'jaw angle',
		to: 'outer eye corner'
	}
} as const;
export type DistanceId = keyof typeof DISTANCES;
export const DISTANCE_IDS = Object.keys(DISTANCES) as [DistanceId, ...DistanceId[]];

/** Range of a plausible reading, mm (working values). Outside it the entry is refused with the likely slip named. */
export const DISTANCE_MIN_MM = 40;
export const DISTANCE_MAX_MM = 220;
export const MM_PER_INCH = 25.4;

/**
 * Smallest change between two readings worth believing: 1.96 × √2 × TE (Weir, J Strength Cond Res 2005;19:231).
 * @param typicalError typical error of one reading, in the reading's unit, > 0
 * @throws {RangeError} if it is not above 0
 * @example mdc95(1.1) // => 3.049
 */
export function mdc95(typicalError: number): number {
	if (!(typicalError > 0)) throw new RangeError(`typicalError out of range > 0: ${typicalError}`);
	return 1.96 * Math.SQRT2 * typicalError;
}

export type Verdict = 'changed' | 'within-error' | 'not-comparable';
export const VERDICT_WORDS: Record<Verdict, string> = {
	changed: 'changed',
	'within-error': 'within measuring error',
	'not-comparable': 'not comparable'
};

export interface Change {
	readonly before: number | null;
	readonly after: number | null;
	/** after − before; null where one of them is missing. */
	readonly delta: number | null;
	/** The band within which error alone may lie, ±. */
	readonly error: number;
	readonly verdict: Verdict;
}

function change(before: number | null, after: number | null, error: number, comparable: boolean): Change {
	const delta = before === null || after === null ? null : after - before;
	const verdict: Verdict =
		delta === null || !comparable ? 'not-comparable' : Math.abs(delta) > error + 1e-9 ? 'changed' : 'within-error';
	return { before, after, delta, error, verdict };
}

/** Change of a tape distance, mm. `comparable` is false for another hour of the day, pose or light. */
export function distanceChange(
	before: number | null,
	after: number | null,
	working: Working,
	comparable = true
): Change {
	return change(before, after, mdc95(working.distanceErrorMm), comparable);
}

/** Change of the sum of the three distances of one side, mm; the errors of single distances add as squares. */
export function sumChange(
	before: readonly (number | null)[],
	after: readonly (number | null)[],
	working: Working,
	comparable = true
): Change {
	const sum = (list: readonly (number | null)[]) =>
		list.some((x) => x === null) ? null : list.reduce<number>((s, x) => s + x!, 0);
	const error = mdc95(working.distanceErrorMm * Math.sqrt(Math.max(1, before.length)));
	return change(sum(before), sum(after), error, comparable);
}

/** Change of a grade: ordinal, so its error is a step either way rather than an interval. */
export function gradeChange(before: number | null, after: number | null, working: Working, comparable = true): Change {
	return change(before, after, working.gradeErrorSteps, comparable);
}

/** Whether two moments are at the same hour of the day, within the working limit. Minutes of the day, 0..1439. */
export function sameHour(minutesA: number, minutesB: number, working: Working): boolean {
	const apart = Math.abs(minutesA - minutesB);
	return Math.min(apart, 1440 - apart) <= working.comparableHourMinutes;
}
