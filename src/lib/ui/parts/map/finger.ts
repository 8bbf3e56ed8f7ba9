import type { PlaceRef, Side } from '$lib/core/atlas/places';
import type { Position } from '$lib/core/perform/position';

/** Where the hand is on the drawn stroke at a moment. */
export interface Finger {
	/** The side on which it works; both at once where both hands do. */
	readonly side: Side | 'both';
	/** Along the way, 0..1 from its start. */
	readonly along: number;
	/** Lane it is in, from 1. */
	readonly lane: number;
	/** Part of the present repetition that is over, 0..1: a press breathes with it. */
	readonly beat: number;
	readonly kind: 'work' | 'link' | 'station';
	/** Which stroke of the repetition: 0 is the first. */
	readonly part: number;
	/** The one of several places on which it stays; null along a way. */
	readonly place: PlaceRef | null;
}

/** Part of a repetition in which the stroke runs; in the rest the hand goes back through the air. */
const STROKE_SHARE = 0.78;

/** The hand at a position of the sequence; null in a change of tool or side, in a rest and behind the end. */
export function fingerAt({ event, side, repShare }: Position): Finger | null {
	if (!event || event.kind === 'transition' || event.kind === 'rest') return null;
	const run = Math.min(1, repShare / STROKE_SHARE);
	const eased = run * run * (3 - 2 * run);
	return {
		side: side === 'left' || side === 'right' ? side : 'both',
		along: event.direction === 'back' ? 1 - eased : eased,
		lane: event.lane,
		beat: repShare,
		kind: event.kind,
		part: event.part,
		place: event.kind === 'work' && event.places.length === 1 ? event.places[0]! : null
	};
}
