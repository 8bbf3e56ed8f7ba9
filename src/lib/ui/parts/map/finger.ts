import type { Side } from '$lib/core/atlas/places';
import { placeIndexOf } from '$lib/core/perform/placeAtHand';
import type { Position } from '$lib/core/perform/position';
import type { Step } from '$lib/core/step/step.schema';

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
	/** The one of several places on which it stays, by its number from 0; null along a way, or on all of them. */
	readonly place: number | null;
}

/** Part of a repetition in which the stroke runs; in the rest the hand goes back through the air. */
const STROKE_SHARE = 0.78;

/** The hand at a position of the sequence; null in a change of tool or side, in a rest and behind the end. */
export function fingerAt({ event, side, repShare }: Position, step: Step): Finger | null {
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
		place: placeIndexOf(event, step)
	};
}
