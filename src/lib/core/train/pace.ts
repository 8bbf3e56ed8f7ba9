import { mean } from 'simple-statistics';
import { sampleSd } from '../statistics/summary';

/** How a hand kept a pace. */
export interface PaceResult {
	readonly taps: number;
	/** Mean of tap minus beat, ms: below 0 early. */
	readonly offsetMs: number;
	/** Spread of tap minus beat (standard deviation), ms: how steady the hand is. */
	readonly jitterMs: number;
	/** How far off the beat it usually is, ms: offset and spread together (root mean square). */
	readonly offMs: number;
	/** Pace of the hand itself, ms from tap to tap. */
	readonly ownPaceMs: number;
	/** Beats without a tap, between the first and the last one tapped. */
	readonly missed: number;
}

/**
 * Holds taps against the beats of a metronome; each tap belongs to the beat that is nearest.
 * @param tapsMs moments of the taps, ascending, ms
 * @param firstMs moment of beat 0, ms
 * @param paceMs from beat to beat, ms, > 0
 * @returns null for fewer than two taps
 * @throws {RangeError} for a pace that is not above 0
 */
export function paceOf(tapsMs: readonly number[], firstMs: number, paceMs: number): PaceResult | null {
	if (!(paceMs > 0)) throw new RangeError(`paceMs out of range > 0: ${paceMs}`);
	if (tapsMs.length < 2) return null;
	const beats = tapsMs.map((t) => Math.round((t - firstMs) / paceMs));
	const offsets = tapsMs.map((t, i) => t - (firstMs + beats[i]! * paceMs));
	const span = beats.at(-1)! - beats[0]! + 1;
	return {
		taps: tapsMs.length,
		offsetMs: mean(offsets),
		offMs: Math.sqrt(mean(offsets.map((ms) => ms * ms))),
		jitterMs: sampleSd(offsets),
		ownPaceMs: (tapsMs.at(-1)! - tapsMs[0]!) / (tapsMs.length - 1),
		missed: span - new Set(beats).size
	};
}

/** Paces to practise, seconds a stroke (working values): what the moves of the library usually take. */
export const PACES: readonly { readonly label: string; readonly seconds: number }[] = [
	{ label: 'Pump, 1 s', seconds: 1 },
	{ label: 'Stroke of a finger, 2.5 s', seconds: 2.5 },
	{ label: 'Sweep, 4 s', seconds: 4 },
	{ label: 'Tap, 0.25 s', seconds: 0.25 }
];
