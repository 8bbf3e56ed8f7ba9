import { ownSideOf, placeOf, whereOf, type PlaceRef } from '../../atlas/places';
import type { WorkedSide } from '../../sequence/workedSide';
import type { Performer } from './moment';

/** A place of a path in the middle of a sentence, with its own side where it names one: “left temple”. */
export const refWords = (ref: PlaceRef): string => {
	const side = ownSideOf(ref);
	return `${side ? `${side} ` : ''}${whereOf(placeOf(ref))}`;
};

/** Places by name, once where two of one name follow one another. */
export const refNames = (places: readonly PlaceRef[]): string[] =>
	places.map(refWords).filter((name, i, all) => name !== all[i - 1]);

/** Whose sides are named. */
export const whose = (performer: Performer): string => (performer === 'self' ? 'your' : 'client’s');

/** Side of a stretch as it is called out. */
export const sideCall = (side: WorkedSide, performer: Performer = 'client'): string =>
	side === 'both' ? 'both sides' : side === 'midline' ? 'over the middle' : `${whose(performer)} ${side}`;

export const plural = (n: number, one: string): string => `${n} ${n === 1 ? one : `${one}s`}`;
/** A time as people say it: “40 seconds”, “5 minutes”, “1 minute 30”. */
export function spokenTime(seconds: number): string {
	const whole = seconds < 10 ? Number(seconds.toFixed(1)) : Math.round(seconds);
	if (whole < 60) return plural(whole, 'second');
	const [minutes, rest] = [Math.floor(whole / 60), whole % 60];
	return rest ? `${plural(minutes, 'minute')} ${rest}` : plural(minutes, 'minute');
}
const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];
/** “second”, “12th”. */
export const ordinal = (n: number): string => ORDINALS[n - 1] ?? `${n}th`;
