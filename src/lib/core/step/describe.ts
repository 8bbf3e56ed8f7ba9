import { labelOf, placeOf, whereOf } from '../atlas/places';
import { CONTACTS, TOOLS, UNTIL_SIGNS } from '../vocabulary/vocabulary';
import type { Step } from './step.schema';

/** First and last place of a step in words: the short name under which it is spoken of. */
export function stepTitle(step: Pick<Step, 'places' | 'aim' | 'target'>): string {
	const first = step.places[0];
	const last = step.places.at(-1);
	if (!first || !last) return step.target ? `Clean the ${step.target}` : 'Whole face';
	return wayText(step.places.length === 1 ? [first] : [first, last]);
}

/** The places of a path by name, once where two of one name follow one another: the nodes of the neck and its side. */
export const wayNames = (places: Step['places']): string[] =>
	places
		.map((ref, i) => (i ? whereOf(placeOf(ref)) : labelOf(placeOf(ref))))
		.filter((name, i, all) => name.toLowerCase() !== all[i - 1]?.toLowerCase());
export const wayText = (places: Step['places']): string => wayNames(places).join(' to ');

/** m:ss of a time in seconds, rounded to the second. */
export function clock(seconds: number): string {
	const s = Math.max(0, Math.round(seconds));
	return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
}

/** What touches the skin: the tool where there is one, else the part of the hand. */
export const contactText = ({ contact, tool }: Pick<Step, 'contact' | 'tool'>): string =>
	contact === 'tool' && tool ? TOOLS[tool.id] : CONTACTS[contact];

/** The dose in words: "7 ×", "20 s", "3 breaths". */
export function doseText(dose: Step['dose']): string {
	if (dose.kind === 'reps') return `${dose.target} ×`;
	if (dose.kind === 'seconds') return `${dose.target} s`;
	return `${dose.target} breath${dose.target === 1 ? '' : 's'}`;
}

/** The dose with its range, where it has one: "7 × (5 to 11)". */
export function doseRangeText(dose: Step['dose']): string {
	const { min, max, target } = dose;
	return min === target && max === target ? doseText(dose) : `${doseText(dose)} (${min} to ${max})`;
}

/** Signs on which a move ends, in words: "softer or warm". */
export const signsText = ({ signs, own }: Pick<NonNullable<Step['until']>, 'signs' | 'own'>): string =>
	[...signs.map((sign) => UNTIL_SIGNS[sign]), ...(own === undefined ? [] : [own])].join(' or ');

/** The side in short words; `undefined` inside a block that is done side by side. */
export function sideText(side: Step['side']): string {
	if (side === undefined) return 'in block';
	if (side === 'both' || side === 'midline') return side;
	if (side === 'left' || side === 'right') return `${side} only`;
	if ('each' in side) return side.first === 'left' ? 'L then R' : 'R then L';
	return 'in turn';
}
