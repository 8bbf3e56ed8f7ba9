import { LEVEL_NAMES, LEVELS, type Level } from '../step/levels';
import { CONTACTS, MOTIONS, type Contact, type Motion } from '../vocabulary/vocabulary';
import type { PlaceRef } from '../atlas/places';
import { regionOf } from '../atlas/regionOf';
import type { Region } from '../atlas/regions';
import { plain } from './reader';

/** An id as it is written in a clause: hyphens as spaces. */
export const spoken = (id: string): string => id.replaceAll('-', ' ');

/** A vocabulary by every way in which it may be written: its ids and, where told, its labels. */
export function wordsOf<K extends string>(table: Record<K, string>, labels = false): ReadonlyMap<string, K> {
	const keys = Object.keys(table) as K[];
	return new Map([
		...(labels ? keys.map((k) => [plain(table[k]), k] as const) : []),
		...keys.map((k) => [plain(k), k] as const)
	]);
}

/** Contacts are written as they are labelled; `none` only so, for a motion has a `none` too. */
export const CONTACT_WORDS: ReadonlyMap<string, Contact> = new Map(
	[...wordsOf<Contact>(CONTACTS, true)].filter(([word]) => word !== 'none' && word !== 'tool')
);
/** “Split fingers” says where only by its way: which of the three is meant follows from where it begins. */
export const SPLIT_WORDS: ReadonlySet<string> = new Set(['split-fingers', 'split-finger', 'fingers-split', 'scissors']);
const SPLIT_AT: Partial<Record<Region, Contact>> = {
	jaw: 'split-jaw',
	mouth: 'split-jaw',
	neck: 'split-collarbone',
	trunk: 'split-collarbone'
};
export const splitContact = (places: readonly PlaceRef[]): Contact =>
	(places.length ? SPLIT_AT[regionOf(places[0]!)] : undefined) ?? 'split-ear';
export const contactWord = (contact: Contact): string => CONTACTS[contact].toLowerCase();

/** Motions are written as they are labelled, but for a label that would be two clauses. */
export const MOTION_WORDS: ReadonlyMap<string, Motion> = new Map(
	[...wordsOf<Motion>(MOTIONS, true)].filter(([word]) => word !== 'none' && !word.includes(','))
);
export const motionWord = (motion: Motion): string =>
	MOTION_WORDS.has(plain(MOTIONS[motion])) ? MOTIONS[motion].toLowerCase() : spoken(motion);

export const LEVEL_WORDS: ReadonlyMap<string, Level> = new Map(LEVELS.map((level) => [LEVEL_NAMES[level], level]));
