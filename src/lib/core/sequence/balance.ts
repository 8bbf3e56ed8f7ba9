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

interface Sum {
	reps: number;
	seconds: number;
	weightedSeconds: number;
}
const nothing = (): Record<Side, Sum> => ({
	left: { reps: 0, seconds: 0, weightedSeconds: 0 },
	right: { reps: 0, seconds: 0, weightedSeconds: 0 }
});

/** How much of an event counts for a side: both sides fully; of the midline, and of what is done in turn, half to each. */
export function shareOfSide(event: TimedEvent, side: Side, ref?: PlaceRef): number {
	const own = ref ? ownSideOf(ref) : null;
	if (own) return own === side ? 1 : 0;
	if (event.side === 'both') return 1;
	if (event.side === 'left' || event.side === 'right') return event.side === side ? 1 : 0;
	return 0.5;
}

/**
 * What each side received, over all and per zone. Work, stations and drain links count; transitions and rests do not.
 * The time of a stroke is shared out evenly over the places it passes; its repetitions count for each of them.
 */
export function balanceOf(events: readonly TimedEvent[], working: Working): Balance {
	const overall = nothing();
	const zones = new Map<ZoneId, Record<Side, Sum>>();
	for (const event of events) {
		if (event.kind === 'transition' || event.kind === 'rest') continue;
		const parts = Math.max(1, event.places.length);
		const seconds = (event.endSeconds - event.startSeconds) / parts;
		// A repetition of several strokes counts once.
		const reps = event.kind === 'station' || event.part ? 0 : event.reps;
		for (let i = 0; i < event.places.length; i++) {
			const ref = event.places[i]!;
			const place = placeOf(ref);
			const zone = isZone(place) ? place : null;
			const weight = working.pressureMiddleKPa[event.levels[i] ?? event.levels[0] ?? 0]!;
			for (const side of SIDES) {
				const share = shareOfSide(event, side, ref);
				if (!share) continue;
				add(overall[side], (reps / parts) * share, seconds * share, weight);
				if (!zone) continue;
				if (!zones.has(zone)) zones.set(zone, nothing());
				add(zones.get(zone)![side], reps * share, seconds * share, weight);
			}
		}
	}
	return { overall, zones };
}

/** Each zone and side that was worked: its seconds, and their share of the longest worked one, 0..1. */
export function secondsByZone({ zones }: Balance) {
	const worked = [...zones].flatMap(([zone, load]) =>
		SIDES.filter((side) => load[side].seconds > 0).map((side) => ({ zone, side, seconds: load[side].seconds }))
	);
	const most = worked.reduce((max, { seconds }) => Math.max(max, seconds), 1);
	return worked.map((w) => ({ ...w, share: w.seconds / most }));
}

function add(sum: Sum, reps: number, seconds: number, kPa: number): void {
	sum.reps += reps;
	sum.seconds += seconds;
	sum.weightedSeconds += seconds * kPa;
}
