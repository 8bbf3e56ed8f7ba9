import { labelOf, placeOf, type PlaceRef } from '../../atlas/places';
import { LEVEL_NAMES, type Level } from '../../step/levels';
import type { Finding } from '../rule';

export interface Sentence {
	/** What is so, naming the step; set in bold. */
	readonly head: string;
	/** Why it matters, or what would help. */
	readonly body: string;
}

/** What is said about a rule's findings, and on the button of its fix. */
export interface RuleWords {
	readonly say: (finding: Finding) => Sentence;
	readonly fix?: string;
}
export type Words = Readonly<Record<string, RuleWords>>;

type Place = PlaceRef | string | number | undefined;

export const label = (place: Place): string => labelOf(placeOf(String(place ?? '') as PlaceRef));
/** Names such as "Under the jaw" say where they are themselves; the others take "the". */
const SAYS_WHERE = /^(Under|Between|Below|Behind|Above) /;
export const the = (place: Place): string => {
	const name = label(place);
	return SAYS_WHERE.test(name) ? name.toLowerCase() : `the ${name.toLowerCase()}`;
};
export const at = (place: Place): string => {
	const words = the(place);
	return words.startsWith('the ') ? `at ${words}` : words;
};
export const on = (place: Place): string => at(place).replace(/^at /, 'on ');
export const level = (n: string | number | undefined): string => `${LEVEL_NAMES[Number(n) as Level]} (${n})`;
