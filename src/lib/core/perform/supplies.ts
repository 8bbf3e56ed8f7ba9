import { placeOf, whereOf } from '../atlas/places';
import { listWords } from '../listWords';
import { mediumOf } from '../glide/film';
import { amountText, MEDIA, mediumById } from '../medium/media';
import type { Medium } from '../medium/medium.schema';
import type { Sequence } from '../sequence/sequence.schema';
import { contactText, stepTitle } from '../step/describe';
import type { Step } from '../step/step.schema';
import { AIMS } from '../vocabulary/vocabulary';
import type { Working } from '../working/working.schema';

/** What lies ready for a sequence: its media, and how much a drop and a pump hold. */
export interface Supplies {
	readonly media: readonly Medium[];
	/** What the whole sequence glides on, where it says so. */
	readonly medium: Sequence['medium'];
	readonly working: Working;
}
export const suppliesOf = ({ media, medium }: Pick<Sequence, 'media' | 'medium'>, working: Working): Supplies => ({
	media,
	medium,
	working
});

const isShipped = (id: string): boolean => MEDIA.some((m) => m.id === id);

/** An amount as it is measured out: drops and pumps of what comes from a bottle, millilitres of what does not. */
function amountOf({ id, ml }: NonNullable<Step['medium']>, { working }: Supplies): string {
	return isShipped(id) ? amountText(ml, working) : `${Number(ml.toFixed(2))} ml`;
}
const titleOf = (id: string, { media }: Supplies): string => mediumById(id, media).title.toLowerCase();

/** “20 drops of light oil”. */
export const mediumWords = (medium: NonNullable<Step['medium']>, supplies: Supplies): string =>
	`${amountOf(medium, supplies)} of ${titleOf(medium.id, supplies)}`;

/** What is taken more of, and how much: “Light oil: 8 drops”. */
export function topUpWords(medium: NonNullable<Step['medium']>, supplies: Supplies): string {
	const title = mediumById(medium.id, supplies.media).title;
	return `${title}: ${amountOf(medium, supplies)}`;
}

/** Where a step without places is done: on all of it. */
const whereText = ({ places }: Pick<Step, 'places'>): string =>
	places.length ? listWords(places.map((ref) => whereOf(placeOf(ref)))) : 'face and neck';

/** What the hands touch with, where it is more than the hand itself. */
const withText = (step: Step): string => (step.contact === 'none' ? '' : `, with ${contactText(step).toLowerCase()}`);

/**
 * What is done in a step that washes or prepares: what, how much, with what and where. Empty for every other.
 * @example actWords(step, supplies) // => 'Spread 20 drops of light oil over face and neck'
 */
export function actWords(step: Step, supplies: Supplies): string {
	if (step.aim === 'cleanse') {
		if (step.target === 'hands') return 'Wash your hands, or put on fresh gloves';
		if (step.target === 'tool') return 'Clean and dry the tool';
		const by = step.medium ? `, with ${mediumWords(step.medium, supplies)}` : withText(step);
		return `Cleanse ${whereText(step)}${by}`;
	}
	if (step.aim !== 'prepare') return '';
	const medium = mediumOf(step, supplies, supplies.working);
	return medium
		? `Spread ${mediumWords(medium, supplies)} over ${whereText(step)}`
		: `${contactText(step)} on ${whereText(step)}`;
}

/** What is done where a condition is met: an amount of something, or the move by its aim and place. */
export function askedWords(step: Step, supplies: Supplies): string {
	if (step.medium) return `${amountOf(step.medium, supplies)} ${titleOf(step.medium.id, supplies)}`;
	return actWords(step, supplies) || `${AIMS[step.aim].toLowerCase()} ${stepTitle(step).toLowerCase()}`;
}
