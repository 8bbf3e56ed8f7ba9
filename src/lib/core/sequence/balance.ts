import { isZone, ownSideOf, placeOf, SIDES, type PlaceRef, type Side } from '../atlas/places';
import type { ZoneId } from '../atlas/zones';
import type { Working } from '../working/working.schema';
import type { TimedEvent } from './expand';

export interface Load {
	readonly reps: number;
	readonly seconds: number;
	/** Seconds weighted by the middle kPa of the level, kPa·s. */
	readonly weightedSeconds: number;
}
export type SidedLoad = Record<Side, Load>;
export interface Balance {
	readonly overall: SidedLoad;
	readonly zones: ReadonlyMap<ZoneId, SidedLoad>;
}

const nothing = (): Load => ({ reps: 0, seconds: 0, weightedSeconds: 0 });
const plus = (a: Load, b: Load): Load => ({
	reps: a.reps + b.reps,
	seconds: a.seconds + b.seconds,
	weightedSeconds: a.weightedSeconds + b.weightedSeconds
});
const times = (a: Load, k: number): Load => ({
	reps: a.reps * k,
	seconds: a.seconds * k,
	weightedSeconds: a.weightedSeconds * k
});

/** How much of an event counts for a side: both sides fully, the midline half to each. */
export function shareOfSide(event: TimedEvent, side: Side, ref?: PlaceRef): number {
	const own = ref ? ownSideOf(ref) : null;
	if (own) return own === side ? 1 : 0;
	if (event.side === 'both') return 1;
	if (event.side === 'midline') return 0.5;
	return event.side === side ? 1 : 0;
}

/**
 * What each side received, over all and per zone. Work, stations and drain links count; transitions and rests do not.
 * The time of a stroke is shared out evenly over the places it passes; its repetitions count for each of them.
 */
export function balanceOf(events: readonly TimedEvent[], working: Working): Balance {
	const overall: SidedLoad = { left: nothing(), right: nothing() };
	const zones = new Map<ZoneId, SidedLoad>();
	for (const event of events) {
		if (event.kind === 'transition' || event.kind === 'rest') continue;
		const seconds = event.endSeconds - event.startSeconds;
		const reps = event.kind === 'station' ? 0 : event.reps;
		const parts = Math.max(1, event.places.length);
		event.places.forEach((ref, i) => {
			const level = event.levels[i] ?? event.levels[0] ?? 0;
			const load = {
				reps,
				seconds: seconds / parts,
				weightedSeconds: (seconds / parts) * working.pressureMiddleKPa[level]!
			};
			const place = placeOf(ref);
			for (const side of SIDES) {
				const share = shareOfSide(event, side, ref);
				if (!share) continue;
				overall[side] = plus(overall[side], times({ ...load, reps: reps / parts }, share));
				if (!isZone(place)) continue;
				const zone = zones.get(place) ?? { left: nothing(), right: nothing() };
				zones.set(place, { ...zone, [side]: plus(zone[side], times(load, share)) });
			}
		});
	}
	return { overall, zones };
}
