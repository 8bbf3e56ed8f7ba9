import { medianSorted, quantileSorted } from 'simple-statistics';
import { OUTCOME_IDS, type OutcomeId } from './outcomeIds';
import type { PairedFigures } from './paired';
import type { ComparisonResult, MeanSpread, OutcomeVerdict, Spread } from './comparison.schema';
import { FLOW_PARAMETER_NAMES, type FlowParameterName } from './parameterTable';
import { rankCorrelation, ranksOf } from './ranks';
import type { Contest } from './share';
import { WHERE_PARTS, type WherePart } from './where';

/** A median difference below this share of what a measure holds at the start, or below so much, is no practical difference. Working values. */
export const PRACTICAL_SHARE = 0.01;
export const PRACTICAL_ML = 0.05;
/** Below this share of all fluid at the start two sequences do the same to a face: the rest is noise of numbers. */
export const NOISE_SHARE = 1e-5;
/** What an answer hangs on is shown from this rank correlation on, and never within the noise of so many faces. */
const TELLING_RHO = 0.15;
const NOISE_RHO = 3.5;
const tellingRho = (faces: number): number => Math.max(TELLING_RHO, NOISE_RHO / Math.sqrt(faces));
const MOST_TELLING = 5;
/** So many faces with a difference are needed before anything is said to hang on something. */
const FEWEST_TELLING = 20;

/** Middle and spread of a list. Of the same values with the other sign it is the same to the last bit, turned round. */
export function spreadOf(values: ArrayLike<number>): Spread {
	const sorted = Float64Array.from(values).sort();
	const mirrored = sorted.map((x) => 0 - x).reverse();
	const low = (list: Float64Array) => quantileSorted(list as unknown as number[], 0.05);
	return { median: medianSorted(sorted as unknown as number[]), p5: low(sorted), p95: 0 - low(mirrored) };
}
const negated = ({ median, p5, p95 }: Spread): Spread => ({ median: 0 - median, p5: 0 - p95, p95: 0 - p5 });

type ParameterRanks = Readonly<Record<FlowParameterName, Float64Array>>;
const ranked = new WeakMap<PairedFigures, ParameterRanks>();
/** Ranks of the parameters of a run: worked out once. */
function parameterRanks(figures: PairedFigures): ParameterRanks {
	const known = ranked.get(figures);
	if (known) return known;
	const made = Object.fromEntries(
		FLOW_PARAMETER_NAMES.map((n) => [n, ranksOf(figures.parameters[n])])
	) as unknown as ParameterRanks;
	ranked.set(figures, made);
	return made;
}

/** Of the lead of whoever wins: exchanging the two changes nothing. What bears on neither of them is chance. */
function hangsOn(
	figures: PairedFigures,
	lead: Float64Array,
	{ lessIn, moreIn }: Contest,
	touched: readonly FlowParameterName[]
): OutcomeVerdict['hangsOn'] {
	if (lessIn + moreIn < FEWEST_TELLING || lead.every((x) => x === lead[0])) return [];
	const ranks = parameterRanks(figures);
	const own = ranksOf(lead);
	return FLOW_PARAMETER_NAMES.filter((name) => touched.includes(name))
		.map((parameter) => ({ parameter, rho: rankCorrelation(ranks[parameter], own) }))
		.filter((h) => Math.abs(h.rho) >= tellingRho(lead.length))
		.sort((a, b) => Math.abs(b.rho) - Math.abs(a.rho))
		.slice(0, MOST_TELLING);
}

/** In how many faces the first leaves less than the second by more than noise, and the other way round. */
export function contestOf(figures: PairedFigures, outcome: OutcomeId, first: number, second: number): Contest {
	const [a, b] = [figures.fallMl[outcome][first]!, figures.fallMl[outcome][second]!];
	return contestIn(
		a.map((ml, i) => ml - b[i]!),
		figures.startMl
	);
}

/** Counts differences that are above noise, by their sign: those above 0 are faces in which less is left. */
export function contestIn(differenceMl: Float64Array, startMl: Float64Array): Contest {
	let [lessIn, moreIn] = [0, 0];
	for (let i = 0; i < differenceMl.length; i++) {
		const ml = differenceMl[i]!;
		if (Math.abs(ml) <= NOISE_SHARE * startMl[i]!) continue;
		if (ml > 0) lessIn++;
		else moreIn++;
	}
	return { lessIn, moreIn };
}

/**
 * The first of two programmes of a run against the second.
 * @param first, second their numbers in the run
 */
export function verdictOf(figures: PairedFigures, outcome: OutcomeId, first: number, second: number): OutcomeVerdict {
	const contest = contestOf(figures, outcome, first, second);
	const [a, b] = [figures.fallMl[outcome][first]!, figures.fallMl[outcome][second]!];
	const held = figures.outcomeStartMl[outcome];
	// All is worked out for the lead of the winner and turned back, so that nothing hangs on who was named first.
	const turned = contest.moreIn > contest.lessIn;
	const lead = turned ? b.map((x, i) => x - a[i]!) : a.map((x, i) => x - b[i]!);
	// Zones that nobody chose hold nothing.
	const ofHeld = lead.map((x, i) => (held[i]! > 0 ? x / held[i]! : 0));
	const facing = (spread: Spread) => (turned ? negated(spread) : spread);
	const [ml, share] = [spreadOf(lead), spreadOf(ofHeld)];
	return {
		outcome,
		...contest,
		ml: facing(ml),
		ofHeld: facing(share),
		practical: Math.abs(share.median) >= PRACTICAL_SHARE && Math.abs(ml.median) >= PRACTICAL_ML,
		hangsOn: hangsOn(figures, ofHeld, contest, [...figures.touched[first]!, ...figures.touched[second]!])
	};
}

/** How much less of an outcome one programme leaves than was there at the start, ml. */
export const fallOf = (figures: PairedFigures, outcome: OutcomeId, index: number): Spread =>
	spreadOf(figures.fallMl[outcome][index]!);

const meanSpreadOf = (values: Float64Array): MeanSpread => ({
	...spreadOf(values),
	mean: values.reduce((a, x) => a + x, 0) / values.length
});

const recordOf = <K extends string, T>(names: readonly K[], of: (name: K) => T): Record<K, T> =>
	Object.fromEntries(names.map((n) => [n, of(n)])) as Record<K, T>;
const byOutcome = <T>(of: (outcome: OutcomeId) => T): Record<OutcomeId, T> => recordOf(OUTCOME_IDS, of);

/** All figures of a run that are worth keeping: what each does, where it leaves fluid, and each against each. */
export function resultOf(figures: PairedFigures): ComparisonResult {
	const all = figures.fallMl.all.map((_, i) => i);
	return {
		draws: figures.draws,
		startMl: spreadOf(figures.startMl),
		holdsMl: byOutcome((m) => spreadOf(figures.outcomeStartMl[m])),
		falls: byOutcome((m) => all.map((i) => fallOf(figures, m, i))),
		verdicts: byOutcome((m) => all.slice(1).map((i) => verdictOf(figures, m, 0, i))),
		matrix: byOutcome((m) => all.map((i) => all.map((j) => contestOf(figures, m, i, j).lessIn))),
		where: all.map((i) => recordOf<WherePart, MeanSpread>(WHERE_PARTS, (w) => meanSpreadOf(figures.whereMl[w][i]!)))
	};
}

/** Figures are the same where they differ by no more than rounding: cores add up in other orders, ml. */
const SAME_ML = 1e-11;

/** Whether an answer repeats an earlier one, in all figures that both hold. */
export function sameFigures(earlier: ComparisonResult, now: ComparisonResult): boolean {
	const figures = ({ startMl, falls, verdicts }: ComparisonResult) =>
		[startMl, ...OUTCOME_IDS.flatMap((m) => [...falls[m], ...verdicts[m].map(({ ml }) => ml)])].flatMap(
			({ median, p5, p95 }) => [median, p5, p95]
		);
	const [then, again] = [figures(earlier), figures(now)];
	return (
		earlier.draws === now.draws &&
		then.length === again.length &&
		then.every((x, i) => Math.abs(x - again[i]!) <= SAME_ML)
	);
}
