import type { Observation, GradeObservation, MeasuredObservation, ChoiceObservation, Section } from './observation';
import { OBSERVATIONS } from './observations';

export type ObservationId = keyof typeof OBSERVATIONS;
export const OBSERVATION_IDS = Object.keys(OBSERVATIONS) as [ObservationId, ...ObservationId[]];

/** What is known of an observation. */
export const observation = (id: ObservationId): Observation => OBSERVATIONS[id];

const idsWhere = (wanted: (row: Observation) => boolean): readonly ObservationId[] =>
	OBSERVATION_IDS.filter((id) => wanted(observation(id)));

/** Grades by zone and side, as they are offered. */
export const GRADE_IDS = idsWhere((row) => row.kind === 'grade');
/** Numbers that are measured, those first that are taken on each side; `sumOf` ones are not entered. */
export const MEASURED_IDS = idsWhere((row) => isMeasured(row));
export const ENTERED_MEASURED_IDS = MEASURED_IDS.filter((id) => !(observation(id) as MeasuredObservation).sumOf);
export const inSection = (section: Section): readonly ObservationId[] =>
	idsWhere((row) => row.section === section && !(isMeasured(row) && row.sumOf));

export const isGrade = (row: Observation): row is GradeObservation => row.kind === 'grade';
export function isMeasured(row: Observation): row is MeasuredObservation {
	return row.kind === 'length' || row.kind === 'angle' || row.kind === 'ratio';
}
export const isChoice = (row: Observation): row is ChoiceObservation => row.kind === 'choice';

/** The grade and the measured observation that lists, maps and strips speak of first. */
export const HEADLINE_GRADE = GRADE_IDS.find((id) => observation(id).headline)!;
export const HEADLINE_MEASURED = MEASURED_IDS.find((id) => observation(id).headline)!;

/** @throws {Error} where the observation is not a grade: a board asked for the wrong thing */
export function gradeRow(id: ObservationId): GradeObservation {
	const row = observation(id);
	if (!isGrade(row)) throw new Error(`not a grade: ${id}`);
	return row;
}

/** @throws {Error} where the observation is not measured */
export function measuredRow(id: ObservationId): MeasuredObservation {
	const row = observation(id);
	if (!isMeasured(row)) throw new Error(`not measured: ${id}`);
	return row;
}
