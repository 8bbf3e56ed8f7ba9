import type { Working } from '../working/working.schema';

/** Steps of a grade; whole ones only. "Not felt" is absent, not 0. */
export const GRADES = [0, 1, 2, 3, 4] as const;
export type Grade = (typeof GRADES)[number];

/** Where in a session something is asked: on the face map, at the tape, or in talk. */
export const SECTIONS = { face: 'On the face', tape: 'By tape', context: 'Of the day' } as const;
export type Section = keyof typeof SECTIONS;

/** Names of the working values that are one number: an observation names the one that holds its typical error. */
type ErrorKey = { [K in keyof Working]: Working[K] extends number ? K : never }[keyof Working];

interface Common {
	readonly label: string;
	readonly section: Section;
	/** Taken in every zone, or of the face as a whole. */
	readonly place: 'zone' | 'whole';
	/** Each side has a value of its own. */
	readonly sides: boolean;
	/** Which way is better; `none` where neither is. It is never said as praise, only used to sort. */
	readonly better: 'less' | 'more' | 'none';
	/** The one that lists and maps speak of first: one grade and one measured observation. */
	readonly headline?: true;
}

/** A grade from 0 to 4 in words. */
export interface GradeObservation extends Common {
	readonly kind: 'grade';
	/** The word of each grade, 0 to 4. */
	readonly words: readonly [string, string, string, string, string];
	/** Before the place in a sentence: "the tension of"; empty where the place alone says it. */
	readonly of: string;
	/** How a map shows it: fluid as water, all else as bars. */
	readonly picture: 'water' | 'bars';
	/** A difference up to so many steps may be error. */
	readonly error: ErrorKey;
}
/** A measured number: mm, degrees, or a ratio. */
export interface MeasuredObservation extends Common {
	readonly kind: 'length' | 'angle' | 'ratio';
	readonly unit: 'mm' | '°' | '';
	readonly min: number;
	readonly max: number;
	/** Typical error of one reading; a change is believed beyond 1.96 × √2 × of it. */
	readonly error: ErrorKey;
	/** Taken together from these, and never entered: all of them or nothing. */
	readonly sumOf?: readonly string[];
	/** Said in the sentence of what changed: what stands before "measures 3.0 mm less". */
	readonly said?: string;
	/** Taken by those only who want more than the usual ones. */
	readonly more?: boolean;
}
/** One of several words, or several of them. */
export interface ChoiceObservation extends Common {
	readonly kind: 'choice';
	readonly options: Readonly<Record<string, string>>;
	readonly many: boolean;
}
/** Words of the client or the practitioner. */
export interface TextObservation extends Common {
	readonly kind: 'text';
}
export type Observation = GradeObservation | MeasuredObservation | ChoiceObservation | TextObservation;

const grade = (
	label: string,
	words: GradeObservation['words'],
	of: string,
	more: Partial<GradeObservation> = {}
): GradeObservation => ({
	kind: 'grade',
	label,
	section: 'face',
	place: 'zone',
	sides: true,
	better: 'less',
	words,
	of,
	picture: 'bars',
	error: 'gradeErrorSteps',
	...more
});
const length = (
	label: string,
	min: number,
	max: number,
	more: Partial<MeasuredObservation> = {}
): MeasuredObservation => ({
	kind: 'length',
	unit: 'mm',
	label,
	section: 'tape',
	place: 'whole',
	sides: true,
	better: 'less',
	min,
	max,
	error: 'distanceErrorMm',
	...more
});
const choice = (label: string, options: ChoiceObservation['options'], many = false): ChoiceObservation => ({
	kind: 'choice',
	label,
	section: 'context',
	place: 'whole',
	sides: false,
	better: 'none',
	options,
	many
});
export const make = { grade, length, choice };
