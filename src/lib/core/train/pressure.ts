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

/** What a scale showed at a moment. */
export interface ForceSample {
	readonly atMs: number;
	/** After taring; a little below 0 is noise. */
	readonly grams: number;
}

export interface PressureResult {
	readonly samples: number;
	readonly meanKPa: number;
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
	const kPas = samples
		.filter((s) => s.atMs - first >= SETTLE_MS)
		.map((s) => pressureKPa(Math.max(0, s.grams), areaCm2));
	if (!kPas.length) return null;
	const [low, high] = levelRangeKPa(level, working);
	const [under, over] = [kPas.filter((k) => k < low).length, kPas.filter((k) => k > high).length];
	return {
		samples: kPas.length,
		meanKPa: mean(kPas),
		sdKPa: sampleSd(kPas),
		inBand: 1 - (under + over) / kPas.length,
		leans: under > over ? 'light' : over > under ? 'heavy' : 'even'
	};
}
