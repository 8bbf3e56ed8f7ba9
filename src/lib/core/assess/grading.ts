import { SIDES, type Side } from '../atlas/places';
import type { ZoneId } from '../atlas/zones';
import { valueAt, withValue } from './assessment';
import type { Assessment } from './assessment.schema';
import type { ObservationId } from './registry';

type Grades = Pick<Assessment, 'entries'>;

/** One grade on one or both sides of a zone; null takes it away. */
export const withGrade = <T extends Grades>(
	assessment: T,
	id: ObservationId,
	zone: ZoneId,
	sides: readonly Side[],
	grade: number | null
): T => sides.reduce((a, side) => withValue(a, id, { place: zone, side }, grade), assessment);

/** Spots of some zones that have no grade yet. */
const open = (assessment: Grades, id: ObservationId, zones: readonly ZoneId[]) =>
	zones
		.flatMap((place) => SIDES.map((side) => ({ place, side })))
		.filter((spot) => valueAt(assessment, id, spot) === null);

/** Whatever of some zones is not graded yet is graded 0. */
export const withRestNone = <T extends Grades>(assessment: T, id: ObservationId, zones: readonly ZoneId[]): T =>
	open(assessment, id, zones).reduce((a, spot) => withValue(a, id, spot, 0), assessment);

/**
 * Whatever of some zones is not graded yet is graded as it was another time; where nothing was felt then, nothing is said.
 * @param was the other time
 */
export const asAnotherTime = <T extends Grades>(
	assessment: T,
	was: Grades | null,
	id: ObservationId,
	zones: readonly ZoneId[]
): T =>
	open(assessment, id, zones).reduce((a, spot) => {
		const grade = valueAt(was, id, spot);
		return grade === null ? a : withValue(a, id, spot, grade);
	}, assessment);
