import { ownSideOf, placeOf, shortOf, type PlaceRef } from '../../atlas/places';
import type { Step } from '../../step/step.schema';
import { stepName } from '../placeAtHand';
import { momentAt, type Plan } from './moment';
import { TELLERS } from './tellers';
import { capital, lowered } from '../../capital';

const short = (ref: PlaceRef): string => {
	const side = ownSideOf(ref);
	return `${side ? `${side} ` : ''}${shortOf(placeOf(ref))}`;
};
/** From where to where, in few letters, and in the fewest: a dash for the word. */
const shortWays = (places: readonly PlaceRef[]): readonly string[] => {
	const [first, last] = [short(places[0]!), short(places.at(-1)!)];
	if (first === last) return [capital(first)];
	return [' to ', '–'].map((join) => capital(`${first}${join}${lowered(last)}`));
};

/** The place of a moment as it stands large: in full, and in few letters for where that has no room. A point has one name. */
export function placeTexts(plan: Plan, index: number): readonly string[] {
	const moment = momentAt(plan, index);
	const told = TELLERS.place(moment);
	const full = typeof told === 'string' ? told : told.say;
	const { event, step, at } = moment;
	// What is washed or prepared stands large in its own words.
	if (!full) return [stepName(step)];
	if (step.point || !event.places.length) return [full];
	return [full, ...(at === null ? shortWays(event.places) : [short(event.places[0]!)])];
}

/** What comes next, the same way. @param words as the cue has it; @param next the step that comes, where it is one */
export const nextTexts = (words: string, next: Pick<Step, 'places' | 'point'> | null): readonly string[] =>
	next && next.places.length && !next.point ? [words, ...shortWays(next.places)] : [words];
