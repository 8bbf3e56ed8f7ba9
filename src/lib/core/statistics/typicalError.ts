import { sumNthPowerDeviations } from 'simple-statistics';
import { chiSquareQuantile, normalQuantile, tQuantile, tTwoSided } from './distributions';

type Interval = readonly [low: number, high: number];

/** How far repeats of the same state lie apart, and from when on a change is none of that. In the unit of the readings. */
export interface TypicalError {
	/** Of one reading, what is known mixed with the own repeats. */
	readonly te: number;
	readonly df: number;
	/** Of the own repeats alone; null where there are none. */
	readonly own: number | null;
	readonly ownDf: number;
	readonly interval: Interval;
	/** The smallest change of two single readings that is shown as more than error, at 95 %. */
	readonly mdc95: number;
	readonly mdcInterval: Interval;
	/** The same, as few repeats allow it: by t. Decisions go by this one. */
	readonly mdcDecision: number;
}

/** 95 % interval of a typical error that rests on so many degrees of freedom. */
export const errorInterval = (te: number, df: number): Interval => [
	te * Math.sqrt(df / chiSquareQuantile(0.975, df)),
	te * Math.sqrt(df / chiSquareQuantile(0.025, df))
];

/**
 * Typical error from repeats.
 * @param sets readings of one and the same state each, two or more of them; taken anew, not read twice
 * @param prior a working value and how many degrees of freedom it is worth; null: the own repeats alone
 * @throws {RangeError} where there is neither
 * @source Hopkins, “Measures of reliability in sports medicine and science”, 2000
 */
export function typicalError(
	sets: readonly (readonly number[])[],
	prior: { readonly te: number; readonly df: number } | null
): TypicalError {
	const ownDf = sets.reduce((n, set) => n + Math.max(0, set.length - 1), 0);
	const squares = sets.reduce((sum, set) => sum + (set.length ? sumNthPowerDeviations([...set], 2) : 0), 0);
	const df = ownDf + (prior?.df ?? 0);
	if (df <= 0) throw new RangeError('no repeats and no working value');
	const te = Math.sqrt((squares + (prior ? prior.df * prior.te ** 2 : 0)) / df);
	const interval = errorInterval(te, df);
	const k = Math.SQRT2 * normalQuantile(0.975);
	return {
		te,
		df,
		own: ownDf ? Math.sqrt(squares / ownDf) : null,
		ownDf,
		interval,
		mdc95: k * te,
		mdcInterval: [k * interval[0], k * interval[1]],
		mdcDecision: Math.SQRT2 * tQuantile(0.975, df) * te
	};
}

export interface ChangeTest {
	readonly se: number;
	readonly t: number;
	/** Two-sided, before any adjustment. */
	readonly p: number;
	/** 95 % interval of the change. */
	readonly interval: Interval;
}

/** A change held against the typical error. @param before, after how many readings each mean is of, ≥ 1 */
export function changeTest(
	delta: number,
	{ te, df }: Pick<TypicalError, 'te' | 'df'>,
	before = 1,
	after = 1
): ChangeTest {
	const se = te * Math.sqrt(1 / before + 1 / after);
	const half = tQuantile(0.975, df) * se;
	return { se, t: delta / se, p: tTwoSided(delta / se, df), interval: [delta - half, delta + half] };
}

/**
 * Adjusts p values of several questions asked at once, so that the chance of any false yes stays below α (Holm).
 * @returns in the order given, each at least as large as it was
 */
export function holm(ps: readonly number[]): readonly number[] {
	const order = ps.map((p, i) => ({ p, i })).sort((a, b) => a.p - b.p);
	const adjusted = new Array<number>(ps.length).fill(1);
	let most = 0;
	for (const [rank, { p, i }] of order.entries()) {
		most = Math.max(most, Math.min(1, (ps.length - rank) * p));
		adjusted[i] = most;
	}
	return adjusted;
}
