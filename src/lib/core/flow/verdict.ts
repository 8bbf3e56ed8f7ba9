import { quantileSorted, sampleRankCorrelation } from 'simple-statistics';
import { OUTCOME_IDS, type OutcomeId } from './outcomeIds';
import type { PairedFigures } from './paired';
import type { ComparisonResult, Spread, OutcomeVerdict } from './comparison.schema';
import { FLOW_PARAMETER_NAMES } from './parameterTable';

/** A median difference below this share of the fluid at the start is no practical difference. */
export const PRACTICAL_SHARE = 0.01;
/** What an answer hangs on is shown from this rank correlation on; below 0.06 it is noise in a thousand draws. */
const TELLING_RHO = 0.15;
const MOST_TELLING = 5;

function spreadOf(values: Float64Array): Spread {
	const sorted = [...values].sort((a, b) => a - b);
	const at = (p: number) => quantileSorted(sorted, p);
	return { median: at(0.5), p5: at(0.05), p95: at(0.95) };
}

/** Per cent in steps of five: from seed to seed shares near 80 % move by about three points. */
export const toFivePercent = (share: number): number => Math.round(share * 20) * 5;

function hangsOn(figures: PairedFigures, difference: Float64Array): OutcomeVerdict['hangsOn'] {
	if (difference.length < 20 || difference.every((x) => x === difference[0])) return [];
	const values = [...difference];
	return FLOW_PARAMETER_NAMES.map((parameter) => ({
		parameter,
		rho: sampleRankCorrelation([...figures.parameters[parameter]], values)
	}))
		.filter((h) => Math.abs(h.rho) >= TELLING_RHO)
		.sort((a, b) => Math.abs(b.rho) - Math.abs(a.rho))
		.slice(0, MOST_TELLING);
}

/**
 * The first of two programmes of a run against the second.
 * @param first, second their numbers in the run
 */
export function verdictOf(figures: PairedFigures, outcome: OutcomeId, first: number, second: number): OutcomeVerdict {
	const [a, b] = [figures.fallMl[outcome][first]!, figures.fallMl[outcome][second]!];
	const ml = a.map((x, i) => x - b[i]!);
	const ofStart = ml.map((x, i) => x / figures.startMl[i]!);
	const share = ml.reduce((n, x) => n + (x > 0 ? 1 : 0), 0) / figures.draws;
	const spread = spreadOf(ofStart);
	return {
		outcome,
		share,
		shownPercent: toFivePercent(share),
		ml: spreadOf(ml),
		ofStart: spread,
		practical: Math.abs(spread.median) >= PRACTICAL_SHARE,
		hangsOn: hangsOn(figures, ofStart)
	};
}

/** How much less of a outcome one programme leaves than was there at the start, ml. */
export const fallOf = (figures: PairedFigures, outcome: OutcomeId, index: number): Spread =>
	spreadOf(figures.fallMl[outcome][index]!);

/** All figures of a run that are worth keeping: of each programme its fall, of each later one the first against it. */
export function resultOf(figures: PairedFigures): ComparisonResult {
	const count = figures.fallMl.all.length;
	const others = Array.from({ length: count - 1 }, (_, i) => i + 1);
	return {
		draws: figures.draws,
		falls: byOutcome((m) => Array.from({ length: count }, (_, i) => fallOf(figures, m, i))),
		verdicts: byOutcome((m) => others.map((i) => verdictOf(figures, m, 0, i))),
		startMl: spreadOf(figures.startMl)
	};
}

const byOutcome = <T>(of: (outcome: OutcomeId) => T): Record<OutcomeId, T> =>
	Object.fromEntries(OUTCOME_IDS.map((m) => [m, of(m)])) as Record<OutcomeId, T>;
