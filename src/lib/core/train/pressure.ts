import { mean } from 'simple-statistics';
import { sampleSd } from '../statistics/summary';
import { GRAMS_PER_KPA_CM2, levelRangeKPa, type Level } from '../step/levels';
import type { Working } from '../working/working.schema';

/**
 * The pressure under a contact, from what a scale shows.
 * @param grams >= 0
 * @param areaCm2 > 0
 * @returns kPa
 * @throws {RangeError} if one of them is out of range
 * @example pressureKPa(30.5916, 1) // => 3
 */
export function pressureKPa(grams: number, areaCm2: number): number {
	if (!(grams >= 0)) throw new RangeError(`grams out of range >= 0: ${grams}`);
	if (!(areaCm2 > 0)) throw new RangeError(`areaCm2 out of range > 0: ${areaCm2}`);
	return grams / (areaCm2 * GRAMS_PER_KPA_CM2);
}

/** One figure of a scale, read by eye: how it lies to a level. */
export interface Reading {
	readonly kPa: number;
	/** Less the middle of the level, kPa: below 0 it is too light. */
	readonly biasKPa: number;
	readonly within: boolean;
}
/** @param grams >= 0; @throws as `pressureKPa` */
export function readingOf(grams: number, areaCm2: number, level: Level, working: Working): Reading {
	const kPa = pressureKPa(grams, areaCm2);
	const [low, high] = levelRangeKPa(level, working);
	return { kPa, biasKPa: kPa - (low + high) / 2, within: kPa >= low && kPa <= high };
}

/** What a scale showed at a moment. */
export interface ForceSample {
	readonly atMs: number;
	/** After taring; a little below 0 is noise. */
	readonly grams: number;
}

export interface PressureResult {
	readonly samples: number;
	readonly meanKPa: number;
	/** Mean of the hand less the middle of the level, kPa: below 0 it presses too lightly. */
	readonly biasKPa: number;
	/** How far off the middle of the level it usually is, kPa: bias and spread together (root mean square). */
	readonly offKPa: number;
	/** Part of the time in which the hand was lifted off, 0..1: it is not within the level then. */
	readonly lifted: number;
	/** Spread while the hand was on, kPa: how steady it is. */
	readonly sdKPa: number;
	/** Part of the time within the band, 0..1. */
	readonly inBand: number;
	/** Of the rest: more of it above than below. */
	readonly leans: 'light' | 'heavy' | 'even';
}

/** The hand needs a moment to settle; what comes before is not counted. Working value. */
export const SETTLE_MS = 1000;

/**
 * How well a hand kept a level.
 * @param samples ascending in time, of one press
 * @returns null where nothing is left after settling
 */
export function pressureOf(
	samples: readonly ForceSample[],
	areaCm2: number,
	level: Level,
	working: Working
): PressureResult | null {
	const first = samples[0]?.atMs ?? 0;
	const settled = samples.filter((s) => s.atMs - first >= SETTLE_MS);
	const kPas = settled.filter((s) => s.grams > 0).map((s) => pressureKPa(s.grams, areaCm2));
	if (!kPas.length) return null;
	const [low, high] = levelRangeKPa(level, working);
	const middle = (low + high) / 2;
	const [under, over] = [kPas.filter((k) => k < low).length, kPas.filter((k) => k > high).length];
	return {
		samples: settled.length,
		meanKPa: mean(kPas),
		biasKPa: mean(kPas) - middle,
		offKPa: Math.sqrt(mean(kPas.map((k) => (k - middle) ** 2))),
		lifted: 1 - kPas.length / settled.length,
		sdKPa: sampleSd(kPas),
		inBand: (kPas.length - under - over) / settled.length,
		leans: under > over ? 'light' : over > under ? 'heavy' : 'even'
	};
}
