import { labelOf, type PlaceId, type Side } from '../atlas/places';
import { LEFT_OUT } from './mapping';
import type { LeftOut } from './compile';
import type { OutcomeId } from './outcomeIds';
import { faceNetwork } from './network';
import { FLOW_PARAMETERS } from './parameterTable';
import { WORTH_A_WORD_ML, type TideMark } from './tide';
import type { OutcomeVerdict } from './comparison.schema';
import type { Effect, StepWorth } from './worth';

/** Said wherever a figure of the model stands. */
export const MODEL_SAYS = 'A teaching model: it measures nobody.';

/** Millilitres in words: one decimal, two below a tenth. */
export function mlText(ml: number): string {
	const size = Math.abs(ml);
	return `${size.toFixed(size < 0.1 ? 2 : 1)} ml`;
}

/** A compartment in words: "left jawline", "left nodes under the jaw". */
export function placeWords(index: number): string {
	const [, place, side] = /^(.*):(left|right)$/.exec(faceNetwork().ids[index]!) as unknown as [string, PlaceId, Side];
	return `${side} ${labelOf(place).toLowerCase()}`;
}

/** Labels that say themselves where: “under the jaw on the right”, not “in the right under the jaw”. */
const SAYS_WHERE = /^(under|below|above|behind|between) /;
function placed(index: number, preposition: 'in' | 'into'): string {
	const words = placeWords(index);
	const [side, label] = [words.slice(0, words.indexOf(' ')), words.slice(words.indexOf(' ') + 1)];
	return SAYS_WHERE.test(label) ? `${label} on the ${side}` : `${preposition} the ${words}`;
}

/** What happened to fluid that did not get through. */
export function markWords({ kind, place, ml }: Pick<TideMark, 'kind' | 'place' | 'ml'>): string {
	return kind === 'dammed'
		? `${mlText(ml)} would not go ${placed(place, 'into')}`
		: `${mlText(ml)} is set down ${placed(place, 'in')} and never carried on`;
}

export function leftOutWords({ reason, places }: LeftOut): string {
	const named = places.map((id) => {
		const at = faceNetwork().indexOf.get(id);
		return at === undefined ? labelOf(id as PlaceId).toLowerCase() : placeWords(at);
	});
	return `Not in the model: ${LEFT_OUT[reason]}${named.length ? ` (${named.join(', ')})` : ''}.`;
}

function effectWords(what: string, { reliefMl, place, placeMl }: Effect): string {
	const stays =
		place !== null && placeMl >= WORTH_A_WORD_ML ? `${mlText(placeMl)} more stays ${placed(place, 'in')}` : '';
	if (Math.abs(reliefMl) < WORTH_A_WORD_ML)
		return stays
			? `Without ${what} ${stays}; ten minutes later hardly anything differs.`
			: `Without ${what} hardly anything differs.`;
	const gone = `ten minutes after the end ${mlText(reliefMl)} ${reliefMl > 0 ? 'less' : 'more'} is gone`;
	return `Without ${what} ${stays ? `${stays}, and ${gone}` : gone}.`;
}

/** What a step is worth, in sentences: the step, its link, its place in the order. */
export function worthWords(worth: StepWorth): string[] {
	const moved = (where: string, ml: number | null) =>
		ml !== null && Math.abs(ml) >= WORTH_A_WORD_ML
			? `One place ${where}, ${mlText(ml)} ${ml > 0 ? 'more' : 'less'} would be gone.`
			: null;
	const order = [moved('earlier', worth.earlierMl), moved('later', worth.laterMl)].filter((x) => x !== null);
	const movable = worth.earlierMl !== null || worth.laterMl !== null;
	return [
		effectWords('this step', worth.without),
		...(worth.withoutLink ? [effectWords('this link', worth.withoutLink)] : []),
		...(order.length ? order : movable ? ['A place earlier or later makes hardly any difference.'] : [])
	];
}

const WHERE: Record<OutcomeId, string> = {
	all: 'in all',
	face: 'in the face',
	eyes: 'under the eyes',
	zones: 'in the chosen zones'
};

/** How often, in words: a share of draws, rounded to 5 %. */
export const shareWords = (percent: number): string =>
	percent >= 100 ? 'in practically all' : percent <= 0 ? 'in practically none' : `in about ${percent} %`;

/**
 * The sentence that the draws allow about two sequences.
 * @param first, second their titles
 */
export function verdictWords(verdict: OutcomeVerdict, first: string, second: string, draws: number): string {
	const { shownPercent, outcome, practical, ml } = verdict;
	const where = WHERE[outcome];
	// Whoever leaves less more often is named first.
	const turned = ml.median < 0;
	const [less, more] = turned ? [second, first] : [first, second];
	const often = shareWords(turned ? 100 - shownPercent : shownPercent);
	const faces = `of ${draws.toLocaleString('en')} modelled faces`;
	if (!practical)
		return `No practical difference ${where}: “${less}” leaves a little less than “${more}” ${often} ${faces}.`;
	return `“${less}” leaves less ${where} than “${more}” ${often} ${faces}; in the middle ${mlText(ml.median)} less.`;
}

/** What an answer hangs on, in words. */
export const hangsOnWords = ({ hangsOn }: Pick<OutcomeVerdict, 'hangsOn'>): string[] =>
	hangsOn.map(
		({ parameter, rho }) =>
			`${FLOW_PARAMETERS[parameter].meaning}: the larger it is, the ${rho > 0 ? 'larger' : 'smaller'} the difference`
	);

/** Said below every comparison. */
export const SHARE_SAYS =
	'A share of modelled faces is no probability that something is true. It says how often this model, with these ranges, comes out that way.';
