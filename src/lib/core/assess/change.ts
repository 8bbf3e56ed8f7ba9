import { SIDES, type Side } from '../atlas/places';
import { ZONE_IDS, type ZoneId } from '../atlas/zones';
import type { Working } from '../working/working.schema';
import type { Assessment } from './assessment.schema';
import { valueAt } from './assessment';
import type { OwnTapeErrors } from './repeats';
import { GRADE_IDS, isGrade, isMeasured, MEASURED_IDS, observation, type ObservationId } from './registry';

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

/** `one-pair`: grades beyond what may be error; a single pair of them is never judged alone, several sessions are. */
export type ChangeVerdict = 'changed' | 'one-pair' | 'within-error' | 'not-comparable';
export const CHANGE_WORDS: Record<ChangeVerdict, string> = {
	changed: 'changed',
	'one-pair': 'one pair of grades, not judged alone',
	'within-error': 'within measuring error',
	'not-comparable': 'not comparable'
};

/** Change of one observation at one spot. */
export interface Change {
	readonly observation: ObservationId;
	readonly place?: ZoneId;
	readonly side?: Side;
	readonly before: number | null;
	readonly after: number | null;
	/** after − before; null where one of them is missing. */
	readonly delta: number | null;
	/** The band within which error alone may lie, ±, in the unit of the observation. */
	readonly error: number;
	readonly verdict: ChangeVerdict;
}

/**
 * The band of error of an observation, ±: of grades the steps that may be error, since they are ordinal; of what is
 * measured the smallest change worth believing, by own repeats where there are some. 0 where a change is not judged.
 */
export function errorOf(id: ObservationId, working: Working, own: OwnTapeErrors = {}): number {
	const row = observation(id);
	if (isGrade(row)) return working[row.error];
	return isMeasured(row) ? (own[id]?.mdcDecision ?? mdc95(working[row.error])) : 0;
}

/** Change of an observation at a spot. `comparable` is false for another hour of the day, pose or light. */
export function changeAt(
	id: ObservationId,
	spot: { readonly place?: ZoneId; readonly side?: Side },
	before: Assessment | null,
	after: Assessment | null,
	working: Working,
	comparable = true,
	own: OwnTapeErrors = {}
): Change {
	const [a, b] = [valueAt(before, id, spot), valueAt(after, id, spot)];
	const delta = a === null || b === null ? null : b - a;
	const error = errorOf(id, working, own);
	const beyond: ChangeVerdict = isGrade(observation(id)) ? 'one-pair' : 'changed';
	const verdict: ChangeVerdict =
		delta === null || !comparable ? 'not-comparable' : Math.abs(delta) > error + 1e-9 ? beyond : 'within-error';
	return { observation: id, ...spot, before: a, after: b, delta, error, verdict };
}

/** Change of an observation at every spot where it was taken at least once; zones in the order of the atlas. */
export function changesOf(
	id: ObservationId,
	before: Assessment,
	after: Assessment | null,
	working: Working,
	comparable = true,
	own: OwnTapeErrors = {}
): Change[] {
	const row = observation(id);
	const places: readonly (ZoneId | undefined)[] = row.place === 'zone' ? ZONE_IDS : [undefined];
	const sides: readonly (Side | undefined)[] = row.sides ? SIDES : [undefined];
	return places
		.flatMap((place) => sides.map((side) => ({ ...(place ? { place } : {}), ...(side ? { side } : {}) })))
		.map((spot) => changeAt(id, spot, before, after, working, comparable, own))
		.filter((c) => c.before !== null || c.after !== null);
}

/** Changes of all that is graded or measured, in the order of the registry. */
export const allChanges = (
	before: Assessment,
	after: Assessment | null,
	working: Working,
	comparable = true,
	own: OwnTapeErrors = {}
): Change[] => [...GRADE_IDS, ...MEASURED_IDS].flatMap((id) => changesOf(id, before, after, working, comparable, own));

/** How far two hours of the day lie apart, minutes 0..720, whatever days they are of. */
export function minutesOfDayApart(minutesA: number, minutesB: number): number {
	const apart = Math.abs(minutesA - minutesB) % 1440;
	return Math.min(apart, 1440 - apart);
}

/** Whether two moments are at the same hour of the day, within the working limit. Minutes of the day, 0..1439. */
export function sameHour(minutesA: number, minutesB: number, working: Working): boolean {
	return minutesOfDayApart(minutesA, minutesB) <= working.comparableHourMinutes;
}
