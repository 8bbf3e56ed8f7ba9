import { capital } from '../capital';
import stringify from 'safe-stable-stringify';

/** What a record says, field by field in words: two versions of it are told apart by these. */
export type Facts = readonly (readonly [name: string, words: string])[];

/** Longest value that is shown, characters. */
const MAX_VALUE = 160;

/** `halfLifeSeconds` as “Half life seconds”. */
function nameOf(key: string): string {
	const words = key
		.replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`)
		.replaceAll('-', ' ');
	return capital(words);
}

function wordsOf(value: unknown): string {
	if (value === undefined || value === null || value === '') return '';
	if (Array.isArray(value) && value.every((v) => typeof v === 'string' || typeof v === 'number'))
		return value.join(', ');
	const text = typeof value === 'object' ? (stringify(value) ?? '') : String(value);
	return text.length > MAX_VALUE ? `${text.slice(0, MAX_VALUE - 1)}…` : text;
}

/** The fields of anything, as they are called in the data; its id aside. */
export const plainFacts = (value: object): Facts =>
	Object.entries(value).flatMap(([key, v]) => (key === 'id' ? [] : [[nameOf(key), wordsOf(v)] as const]));
