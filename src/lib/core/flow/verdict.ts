import { quantileSorted, sampleRankCorrelation } from 'simple-statistics';
import { MEASURE_IDS, type MeasureId } from './measures';
import type { PairedFigures } from './paired';
import { FLOW_PARAMETER_NAMES, type FlowParameterName } from './parameterTable';

/** A median difference below this share of the fluid at the start is no practical difference. */
export const PRACTICAL_SHARE = 0.01;
/** Rank correlations below this are noise in a thousand draws; what an answer hangs on is shown from here on. */
export const NOISE_RHO = 0.06;
const TELLING_RHO = 0.15;
const MOST_TELLING = 5;

/** Middle and spread of a difference over the draws. */
export interface Spread {
	readonly median: number;
	readonly p5: number;
	readonly p95: number;
}
export interface HangsOn {
	readonly parameter: FlowParameterName;
	/** Rank correlation of the difference with the parameter, -1..1: with which sign, and how closely, it goes along. */
	readonly rho: number;
}

/** What the draws say of two sequences by one measure: the first against the second. */
export interface Verdict {
	readonly measure: MeasureId;
	/** Share of the draws in which the first leaves less, 0..1, as counted. */
	readonly share: number;
	/** Of that, the share that is shown: rounded to 5 %. */
	readonly shownPercent: number;
	/** How much less the first leaves: ml, and as a share of all fluid at the start. */
	readonly ml: Spread;
	readonly ofStart: Spread;
	readonly practical: boolean;
	readonly hangsOn: readonly HangsOn[];
}

function spreadOf(values: Float64Array): Spread {
	const sorted = [...values].sort((a, b) => a - b);
	const at = (p: number) => quantileSorted(sorted, p);
	return { median: at(0.5), p5: at(0.05), p95: at(0.95) };
}

/** Per cent in steps of five: from seed to seed shares near 80 % move by about three points. */
export const toFivePercent = (share: number): number => Math.round(share * 20) * 5;

function hangsOn(figures: PairedFigures, difference: Float64Array): HangsOn[] {
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
export function verdictOf(figures: PairedFigures, measure: MeasureId, first: number, second: number): Verdict {
	const [a, b] = [figures.fallMl[measure][first]!, figures.fallMl[measure][second]!];
	const ml = a.map((x, i) => x - b[i]!);
	const ofStart = ml.map((x, i) => x / figures.startMl[i]!);
	const share = ml.reduce((n, x) => n + (x > 0 ? 1 : 0), 0) / figures.draws;
	const spread = spreadOf(ofStart);
	return {
		measure,
		share,
		shownPercent: toFivePercent(share),
		ml: spreadOf(ml),
		ofStart: spread,
		practical: Math.abs(spread.median) >= PRACTICAL_SHARE,
		hangsOn: hangsOn(figures, ofStart)
	};
}

/** How much less of a measure one programme leaves than was there at the start, ml. */
export const fallOf = (figures: PairedFigures, measure: MeasureId, index: number): Spread =>
	spreadOf(figures.fallMl[measure][index]!);

/** All figures of a run that are worth keeping: of each programme its fall, of each later one its verdict against the first. */
export interface ComparisonResult {
	readonly draws: number;
	readonly falls: Readonly<Record<MeasureId, readonly Spread[]>>;
	/** Of each measure, the first sequence against each other one. */
	readonly verdicts: Readonly<Record<MeasureId, readonly Verdict[]>>;
	/** Differences of the draws as shares of the start, in twentieths of their order: for a chart. */
	readonly startMl: Spread;
}

export function resultOf(figures: PairedFigures): ComparisonResult {
	const count = figures.fallMl.all.length;
	const others = Array.from({ length: count - 1 }, (_, i) => i + 1);
	return {
		draws: figures.draws,
		falls: byMeasure((m) => Array.from({ length: count }, (_, i) => fallOf(figures, m, i))),
		verdicts: byMeasure((m) => others.map((i) => verdictOf(figures, m, 0, i))),
		startMl: spreadOf(figures.startMl)
	};
}

const byMeasure = <T>(of: (measure: MeasureId) => T): Record<MeasureId, T> =>
	Object.fromEntries(MEASURE_IDS.map((m) => [m, of(m)])) as Record<MeasureId, T>;
