import type { Side } from '../atlas/places';
import { SIDES } from '../atlas/places';
import { typicalError, type TypicalError } from '../statistics/typicalError';
import type { Working } from '../working/working.schema';
import type { Assessment } from './assessment.schema';
import { isAt, type Spot } from './assessment';
import { isMeasured, MEASURED_IDS, measuredRow, observation, type ObservationId } from './registry';

type Entries = Pick<Assessment, 'entries'>;

/** The readings of an observation at a spot, by the number of the take: the first, then retakes. */
export function readingsAt(assessment: Entries | null, id: ObservationId, spot: Spot): ReadonlyMap<number, number> {
	const readings = new Map<number, number>();
	for (const e of assessment?.entries ?? [])
		if (isAt(e, id, spot) && typeof e.value === 'number') readings.set(e.retake ?? 1, e.value);
	return readings;
}

/** An assessment with one reading of several set, or taken away by null. @param take 1 for the first, 2 and more for retakes */
export function withReading<T extends Entries>(
	assessment: T,
	id: ObservationId,
	spot: Spot,
	take: number,
	value: number | null
): T {
	const rest = assessment.entries.filter((e) => !(isAt(e, id, spot) && (e.retake ?? 1) === take));
	if (value === null) return { ...assessment, entries: rest };
	const entry = {
		observation: id,
		...(spot.place ? { place: spot.place } : {}),
		...(spot.side ? { side: spot.side } : {}),
		value,
		...(take > 1 ? { retake: take } : {})
	};
	return { ...assessment, entries: [...rest, entry] };
}

/** Sums of one take each, of what is taken together: only takes that have all parts. */
function sumsAt(assessment: Entries, parts: readonly ObservationId[], spot: Spot): number[] {
	const all = parts.map((part) => readingsAt(assessment, part, spot));
	const takes = [...(all[0]?.keys() ?? [])].filter((take) => all.every((readings) => readings.has(take)));
	return takes.map((take) => all.reduce((sum, readings) => sum + readings.get(take)!, 0));
}

/** Readings of one moment that were taken more than once, each spot a set. */
function repeatedAt(assessment: Entries, id: ObservationId): number[][] {
	const { sides, sumOf } = measuredRow(id);
	const spots: readonly { side?: Side }[] = sides ? SIDES.map((side) => ({ side })) : [{}];
	return spots
		.map((spot) =>
			sumOf ? sumsAt(assessment, sumOf as ObservationId[], spot) : [...readingsAt(assessment, id, spot).values()]
		)
		.filter((set) => set.length > 1);
}

/** An assessment’s distances alone, where one of them was taken more than once; nothing otherwise. */
export function repeatedOnly({ entries }: Entries): Entries[] {
	if (!entries.some((e) => e.retake)) return [];
	return [{ entries: entries.filter((e) => isMeasured(observation(e.observation))) }];
}

/** What is known beforehand counts as so many repeats. Working value. */
const PRIOR_DF = 6;
/** A practitioner’s own typical errors, by what is measured; absent where nothing was measured twice. */
export type OwnTapeErrors = Partial<Record<ObservationId, TypicalError>>;

/**
 * Typical errors from retakes: readings of one moment, the tape lifted and laid again. Of a sum its own repeats count,
 * never the errors of its parts.
 * @param assessments of all clients that she measured
 */
export function ownTapeErrors(assessments: readonly Entries[], working: Working): OwnTapeErrors {
	const made: OwnTapeErrors = {};
	for (const id of MEASURED_IDS) {
		const repeated = assessments.flatMap((assessment) => repeatedAt(assessment, id));
		if (repeated.length) made[id] = typicalError(repeated, { te: working[measuredRow(id).error], df: PRIOR_DF });
	}
	return made;
}

/**
 * How a practitioner’s typical error became surer: after each moment at which something was measured twice.
 * @param assessments in the order in which they were taken
 */
export function errorFunnel(assessments: readonly Entries[], id: ObservationId, working: Working): TypicalError[] {
	const prior = { te: working[measuredRow(id).error], df: PRIOR_DF };
	const sets: number[][] = [];
	return assessments.flatMap((assessment) => {
		const more = repeatedAt(assessment, id);
		if (!more.length) return [];
		sets.push(...more);
		return [typicalError(sets, prior)];
	});
}
