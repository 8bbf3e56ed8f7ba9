import { mirror, type Point, type View } from '$lib/core/atlas/geometry';
import { ownSideOf, type PlaceRef, type Side } from '$lib/core/atlas/places';
import { anchorOf } from './strokeShape';

/** The mark of one of several places of a step. */
export interface PlaceMark {
	/** Its number from 0 among the places of the step. */
	readonly index: number;
	readonly at: Point;
}
/** How far along a place is while a step goes over several. */
export type PlaceState = 'done' | 'at-hand' | 'next' | 'to-come';

/** Two marks that are nearer than this are hard to tell apart, units; the one that is not worked yields by so much at most. */
const NEAR = 30;
const MOST_YIELD = 13;

/** Moves a point away from another one; outwards from the middle of the face where both are one. */
function yielded([x, y]: Point, [ax, ay]: Point): Point {
	const [dx, dy] = [x - ax, y - ay];
	const d = Math.hypot(dx, dy);
	if (d >= NEAR) return [x, y];
	const by = Math.min(MOST_YIELD, NEAR - d);
	return d > 0 ? [x + (dx / d) * by, y + (dy / d) * by] : [x, y + by];
}

/**
 * One mark for each place that is seen, never merged and never dropped: a step over places is no line.
 * @param atHand the place that is worked, from 0: it stands where it lies, and those beside it yield; null: none
 */
export function placeMarks(
	view: View,
	refs: readonly PlaceRef[],
	side: Side,
	atHand: number | null = null
): PlaceMark[] {
	let from: Point | undefined;
	const marks = refs.flatMap((ref, index): PlaceMark[] => {
		const anchor = anchorOf(view, ref, from);
		if (!anchor) return [];
		from = anchor;
		return [{ index, at: view === 'front' && (ownSideOf(ref) ?? side) === 'right' ? mirror(anchor) : anchor }];
	});
	const placed: PlaceMark[] = [];
	const first = marks.filter((m) => m.index === atHand);
	for (const mark of [...first, ...marks.filter((m) => m.index !== atHand)])
		placed.push({ ...mark, at: placed.reduce((at, other) => yielded(at, other.at), mark.at) });
	return placed.sort((a, b) => a.index - b.index);
}

/** The state of each place while one of them is at hand. */
export const placeState = (index: number, atHand: number): PlaceState =>
	index === atHand ? 'at-hand' : index < atHand ? 'done' : index === atHand + 1 ? 'next' : 'to-come';
