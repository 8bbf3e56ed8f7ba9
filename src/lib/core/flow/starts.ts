import { SIDES, type Side } from '../atlas/places';
import { ZONE_IDS, type ZoneId } from '../atlas/zones';
import { countOf, valueAt } from '../assess/assessment';
import type { Assessment } from '../assess/assessment.schema';
import { faceIndex, faceNetwork } from './network';

interface StartInfo {
	readonly label: string;
	/** Puffiness grade by zone, the same on both sides; absent zones are at 0. */
	readonly grades: Readonly<Partial<Record<ZoneId, number>>>;
}

/** Faces to begin with, where nothing was felt today: made up, for looking at sequences. */
export const STARTS = {
	morning: {
		label: 'A puffy morning face',
		grades: { 'lower-eyelid': 3, malar: 2, zygoma: 2, buccal: 2, nasolabial: 2, jawline: 2, masseter: 2, marionette: 2 }
	},
	eyes: {
		label: 'Heavy under the eyes',
		grades: { 'lower-eyelid': 3, 'upper-eyelid': 2, 'inner-canthus': 2, 'outer-canthus': 1, malar: 2, zygoma: 1 }
	},
	jaw: {
		label: 'Heavy along the jaw',
		grades: { jawline: 3, masseter: 2, marionette: 2, buccal: 2, chin: 2, submental: 3, 'under-jaw': 2 }
	},
	even: { label: 'Nothing swollen', grades: {} }
} as const satisfies Record<string, StartInfo>;
export type StartId = keyof typeof STARTS;
export const START_IDS = Object.keys(STARTS) as StartId[];

/** Puffiness grade of every zone of the face network, 0..4: the start of a run. */
export type StartGrades = readonly number[];

function gradesBy(of: (zone: ZoneId, side: Side) => number): StartGrades {
	const grades = new Array<number>(faceNetwork().zoneCount).fill(0);
	for (const zone of ZONE_IDS) for (const side of SIDES) grades[faceIndex(zone, side)] = of(zone, side);
	return grades;
}

/** The grades of a start that is chosen. */
export const gradesOfStart = (id: StartId): StartGrades =>
	gradesBy((zone) => (STARTS[id] as StartInfo).grades[zone] ?? 0);

/** The puffiness that was felt; what was not felt counts as 0. */
export const gradesOfAssessment = (assessment: Assessment): StartGrades =>
	gradesBy((place, side) => valueAt(assessment, 'puffiness', { place, side }) ?? 0);

/** Whether an assessment holds a puffiness grade at all. */
export const hasPuffiness = (assessment: Assessment | null): assessment is Assessment =>
	countOf(assessment, ['puffiness']) > 0;
