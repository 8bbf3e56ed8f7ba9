import { labelOf, type PlaceId, type Side } from '../atlas/places';
import { LEFT_OUT } from './mapping';
import type { LeftOut } from './compile';
import type { OutcomeId } from './outcomeIds';
import { faceNetwork } from './network';
import { FLOW_PARAMETERS } from './parameterTable';
import type { MarkGroup } from './markGroups';
import type { OutcomeVerdict } from './comparison.schema';
import { intervalOf, oftenWords, turned, type Contest } from './share';
import { PRACTICAL_SHARE } from './verdict';
import type { Effect, Stays, StepEffect, StepWorth, OpeningEffect } from './worth';

/** Said wherever a figure of the model stands. */
export const MODEL_SAYS = 'A teaching model: it measures nobody.';

/** Millilitres in words: one decimal, two below a tenth. */
export function mlText(ml: number): string {
	const size = Math.abs(ml);
	return `${size.toFixed(size < 0.1 ? 2 : 1)} ml`;
}

/** A compartment in words: "left jawline", "left nodes under the jaw". */
export function placeWords(index: number): string {
	const { side, label } = placeOfIndex(index);
	return `${side} ${label}`;
}
function placeOfIndex(index: number): { readonly side: Side; readonly label: string } {
	const [, place, side] = /^(.*):(left|right)$/.exec(faceNetwork().ids[index]!) as unknown as [string, PlaceId, Side];
	return { side, label: labelOf(place).toLowerCase() };
}

/** Labels that say themselves where: “under the jaw on the right”, not “in the right under the jaw”. */
const SAYS_WHERE = /^(under|below|above|behind|between) /;
/** One place, or one and its twin: “in the left jawline”, “in the jawline on both sides”. */
function placed([first, twin]: readonly number[], preposition: 'in' | 'into'): string {
	const { side, label } = placeOfIndex(first!);
	const says = SAYS_WHERE.test(label);
	if (twin !== undefined) return `${says ? '' : `${preposition} the `}${label} on both sides`;
	return says ? `${label} on the ${side}` : `${preposition} the ${side} ${label}`;
}

/** What happened to fluid that did not get through, in one place or alike on both sides. */
export function markWords({ kind, ml, places }: MarkGroup): string {
	const much = places.length > 1 ? `${mlText(ml)} a side` : mlText(ml);
	return kind === 'dammed'
		? `${much} would not go ${placed(places, 'into')}`
		: `${much} is set down ${placed(places, 'in')} and never carried on`;
}

export function leftOutWords({ reason, places }: LeftOut): string {
	const named = places.map((id) => {
		const at = faceNetwork().indexOf.get(id);
		return at === undefined ? labelOf(id as PlaceId).toLowerCase() : placeWords(at);
	});
	return `Not in the model: ${LEFT_OUT[reason]}${named.length ? ` (${named.join(', ')})` : ''}.`;
}

/** A share of the fluid at the start below which nothing is said to matter. */
export const MATTERS_SHARE = PRACTICAL_SHARE;
const MATTERS_TEXT = `${100 * MATTERS_SHARE} %`;
const matters = (effect: Pick<Effect, 'ofStart'> | null): boolean =>
	effect !== null && Math.abs(effect.ofStart.median) >= MATTERS_SHARE;

const facesWords = (draws: number): string => `of ${draws.toLocaleString('en')} modelled faces`;

/** How much of an effect, and in how many faces it is so. */
function sizeWords({ ml, ...contest }: Effect, draws: number, gone: 'less' | 'more'): string {
	const [low, high] = [ml.p5, ml.p95].map(Math.abs).sort((a, b) => a - b) as [number, number];
	const crosses = ml.p5 * ml.p95 < 0;
	const spread = crosses ? '' : ` (${mlText(low).replace(/ ml$/, '')} to ${mlText(high)} in nine of ten)`;
	const often = oftenWords(ml.median < 0 ? turned(contest) : contest);
	return `${mlText(ml.median)} ${gone} is gone ten minutes after the end ${often} ${facesWords(draws)}${spread}`;
}

function withoutWords(what: string, effect: Effect, stays: Stays | null, draws: number): string {
	const lies =
		stays && stays.ofStart >= MATTERS_SHARE
			? `${mlText(stays.ml)}${stays.places.length > 1 ? ' a side' : ''} more stays ${placed(stays.places, 'in')} at the end`
			: '';
	if (!matters(effect))
		return lies
			? `Without ${what} ${lies}; ten minutes later what is left of all fluid differs by less than ${MATTERS_TEXT}.`
			: `Without ${what} what is left of all fluid ten minutes after the end differs by less than ${MATTERS_TEXT}.`;
	const size = sizeWords(effect, draws, effect.ml.median > 0 ? 'less' : 'more');
	return `Without ${what} ${size}${lies ? `; ${lies}` : ''}.`;
}

/** What a step is worth over many faces, in sentences: the step, its link, its place in the order. */
export function worthWords(worth: StepWorth): string[] {
	const { draws } = worth;
	const order = (['earlier', 'later'] as const).flatMap((where) => {
		const effect = worth[where];
		if (!effect || !matters(effect)) return [];
		return [`One place ${where}, ${sizeWords(effect, draws, effect.ml.median > 0 ? 'less' : 'more')}.`];
	});
	const movable = worth.earlier !== null || worth.later !== null;
	return [
		withoutWords('this step', worth.without, worth.staysWithout, draws),
		...(worth.withoutLink ? [withoutWords('this link', worth.withoutLink, null, draws)] : []),
		...(order.length
			? order
			: movable
				? [`A place earlier or later changes what is left of all fluid by less than ${MATTERS_TEXT}.`]
				: [])
	];
}

/** What the steps of an opening do together, in one line. */
export const openingWords = (effect: OpeningEffect, numbers: readonly number[], draws: number): string =>
	`Opening as a whole (steps ${numbers[0]} to ${numbers.at(-1)}): ${effectWords(effect, draws)}`;

/** A step of the layer in one line: what goes with it, and how sure. */
export const stepEffectWords = (effect: StepEffect, draws: number): string => effectWords(effect, draws);

function effectWords(effect: Effect, draws: number): string {
	if (!matters(effect)) return `less than ${MATTERS_TEXT} of all fluid goes with it`;
	const { ml } = effect;
	const sign = ml.median > 0 ? '' : 'less: ';
	const often = oftenWords(ml.median < 0 ? turned(effect) : effect);
	return `${sign}${mlText(ml.median)} ${often} ${facesWords(draws)}`;
}

const WHERE: Record<OutcomeId, string> = {
	all: 'in all',
	face: 'in the face',
	eyes: 'under the eyes',
	zones: 'in the chosen zones'
};

/** From so many faces with a difference on something is said of who leads. */
const FEWEST_FACES = 10;
/** Faces without a difference are mentioned from this share on. */
const FEW_TIES = 0.01;

/**
 * The sentence that the draws allow about two sequences. Exchanging the two exchanges their names and nothing else.
 * @param first, second their titles
 */
export function verdictWords(verdict: OutcomeVerdict, first: string, second: string, draws: number): string {
	const { lessIn, moreIn, outcome, practical, ml } = verdict;
	const where = WHERE[outcome];
	const faces = facesWords(draws);
	const apart = lessIn + moreIn;
	if (!apart) return `The same ${where}: “${first}” and “${second}” leave as much in every one ${faces}.`;
	// Whoever leaves less more often is named first.
	const other = leads(verdict) < 0;
	const [less, more] = other ? [second, first] : [first, second];
	const often = oftenWords(other ? turned(verdict) : verdict);
	const ties = draws - apart;
	// A few ties go unmentioned, but never where “all” would count them in.
	const mentioned = ties >= FEW_TIES * draws || (ties > 0 && (!lessIn || !moreIn));
	const told = mentioned ? `of the ${apart.toLocaleString('en')} ${faces} in which they differ` : faces;
	if (apart < FEWEST_FACES) return `Too few faces to say who leads ${where}: the two differ in ${apart} ${faces}.`;
	const interval = intervalOf(verdict)!;
	if (lessIn === moreIn || (interval.low <= 50 && interval.high >= 50))
		return `No difference ${where} that has a direction: each leaves less than the other in about half ${told}.`;
	if (!practical)
		return `No practical difference ${where}: “${less}” leaves a little less than “${more}” ${often} ${told}.`;
	return `“${less}” leaves less ${where} than “${more}” ${often} ${told}; in the middle ${mlText(ml.median)} less.`;
}

/** Which of two leads: above 0 the first, below 0 the second. */
export const leads = ({ lessIn, moreIn }: Contest): number => Math.sign(lessIn - moreIn);

/** What an answer hangs on, in words. @param winner title of the one that leads */
export const hangsOnWords = ({ hangsOn }: Pick<OutcomeVerdict, 'hangsOn'>, winner: string): string[] =>
	hangsOn.map(
		({ parameter, rho }) =>
			`${FLOW_PARAMETERS[parameter].meaning}: the larger it is, the ${rho > 0 ? 'larger' : 'smaller'} the lead of “${winner}”`
	);

/** How far so many faces tell a share; empty where they tell nothing. */
export function intervalWords(contest: Contest): string {
	const interval = intervalOf(contest);
	return interval ? `${interval.low} to ${interval.high} %` : '';
}

/** Said below every comparison. */
export const SHARE_SAYS =
	'A share of modelled faces is no probability that something is true. It says how often this model, with these ranges, comes out that way.';
