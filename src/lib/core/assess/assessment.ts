import { mean, median } from 'simple-statistics';
import { SIDES, type Side } from '../atlas/places';
import { ZONE_IDS, type ZoneId } from '../atlas/zones';
import type { Assessment, Entry } from './assessment.schema';
import { isGrade, isMeasured, observation, type ObservationId } from './registry';

/** Where an observation was taken: nothing for one of the whole face, a side, or a zone and a side. */
export interface Spot {
	readonly place?: ZoneId | undefined;
	readonly side?: Side | undefined;
}
type Entries = Pick<Assessment, 'entries'> | null;

export const emptyAssessment = (takenAt: string): Assessment => ({ takenAt, entries: [] });

/** Whether an entry is a reading of an observation at a spot. */
export const isAt = (entry: Entry, id: ObservationId, spot: Spot): boolean =>
	entry.observation === id && entry.place === spot.place && entry.side === spot.side;

/**
 * The value of an observation at a spot, or null where there is none: of several readings the mean, of several grades
 * the median; a composite is the sum of its parts, and null where one of them is missing.
 */
export function valueAt(assessment: Entries, id: ObservationId, spot: Spot = {}): number | null {
	const row = observation(id);
	if (isMeasured(row) && row.sumOf) {
		const parts = row.sumOf.map((part) => valueAt(assessment, part as ObservationId, spot));
		return parts.some((p) => p === null) ? null : parts.reduce<number>((sum, p) => sum + p!, 0);
	}
	const values = (assessment?.entries ?? []).flatMap((e) =>
		isAt(e, id, spot) && typeof e.value === 'number' ? [e.value] : []
	);
	if (!values.length) return null;
	return isMeasured(row) ? mean(values) : median(values);
}

/** Each zone and side with a grade of an observation, in the order of the atlas; what was not felt is absent. */
export const gradesByZone = (assessment: Entries, id: ObservationId) =>
	ZONE_IDS.flatMap((zone) =>
		SIDES.flatMap((side) => {
			const grade = valueAt(assessment, id, { place: zone, side });
			return grade === null ? [] : [{ zone, side, grade }];
		})
	);

/** Whether two assessments hold the same grades, whatever else they hold. */
export function sameGrades(a: Entries, b: Entries): boolean {
	const gradesOf = (one: Entries) => (one?.entries ?? []).filter((e) => isGrade(observation(e.observation)));
	const [of, other] = [gradesOf(a), gradesOf(b)];
	return of.length === other.length && of.every((e) => valueAt(b, e.observation, e) === e.value);
}

/** The words that were chosen or written for an observation, in their order. */
export const wordsAt = (assessment: Entries, id: ObservationId): readonly string[] =>
	(assessment?.entries ?? []).flatMap((e) => (e.observation === id && typeof e.value === 'string' ? [e.value] : []));

/** An assessment with one value set, or taken away by null; retakes of it go with the old one. */
export function withValue<T extends Pick<Assessment, 'entries'>>(
	assessment: T,
	id: ObservationId,
	spot: Spot,
	value: number | string | null
): T {
	const rest = assessment.entries.filter((e) => !isAt(e, id, spot));
	if (value === null) return { ...assessment, entries: rest };
	const entry: Entry = {
		observation: id,
		...(spot.place ? { place: spot.place } : {}),
		...(spot.side ? { side: spot.side } : {}),
		value
	};
	return { ...assessment, entries: [...rest, entry] };
}

/** Entries with one of the choices of an observation set in place of the others, or taken away. */
export const withChoice = (entries: readonly Entry[], id: ObservationId, value: string | null): Entry[] => [
	...entries.filter((e) => e.observation !== id),
	...(value ? [{ observation: id, value }] : [])
];

/** How many spots have a value of one of these observations. */
export const countOf = (assessment: Entries, ids: readonly ObservationId[]): number =>
	new Set(
		(assessment?.entries ?? [])
			.filter((e) => ids.includes(e.observation))
			.map((e) => `${e.observation} ${e.place ?? ''} ${e.side ?? ''}`)
	).size;

/** One step more at each tap, from not felt to the top and round again to none. */
export const nextGrade = (grade: number | null): 0 | 1 | 2 | 3 | 4 =>
	grade === null ? 1 : grade >= 4 ? 0 : ((Math.floor(grade) + 1) as 1 | 2 | 3 | 4);
