import { ownSideOf, SIDES, type PlaceRef, type Side } from '../atlas/places';
import { zoneOf } from '../atlas/regionOf';
import { sided, type SidedZone } from '../client/sidedZone';
import type { Level } from '../step/levels';
import { levelsOf, peakLevel, reachedLevel } from '../step/levelsOf';
import { strokesOf } from '../step/parts';
import type { Step } from '../step/step.schema';

/** A hand, a tool or tape on a zone: what of a step meets a client’s limits. */
export interface Touch {
	/** The element of the path it comes from. */
	readonly ref: PlaceRef;
	readonly place: SidedZone;
	readonly side: Side;
	readonly level: Level;
	readonly stroke: Step;
	/** A stroke itself, the pumps of the drain link behind it, or the hand that holds against it. */
	readonly by: 'work' | 'link' | 'support';
}

/** The sides that a step works sooner or later. */
export const workedSides = ({ side }: Pick<Step, 'side'>): readonly Side[] =>
	side === 'left' || side === 'right' ? [side] : SIDES;

/** Pumps of a drain link are light. */
const LINK_LEVEL: Level = 1;

function onSides(ref: PlaceRef, step: Step): readonly Side[] {
	const own = ownSideOf(ref);
	return own ? [own] : workedSides(step);
}

/** Whether a step lays anything on the skin. */
export const isTouching = (step: Pick<Step, 'contact' | 'target'>): boolean =>
	step.contact !== 'none' && step.target !== 'hands' && step.target !== 'tool';

function find(step: Step): Touch[] {
	if (!isTouching(step)) return [];
	const found: Touch[] = [];
	const add = (ref: PlaceRef, level: Level, stroke: Step, by: Touch['by']) => {
		for (const side of onSides(ref, step))
			found.push({ ref, place: sided(zoneOf(ref), side), side, level, stroke, by });
	};
	for (const stroke of strokesOf(step)) {
		const levels = levelsOf(stroke);
		stroke.places.forEach((ref, i) => {
			add(ref, reachedLevel(stroke, levels[i] ?? levels[0]!), stroke, 'work');
		});
	}
	if (step.end.kind === 'link') for (const ref of step.end.places) add(ref, LINK_LEVEL, step, 'link');
	if (step.support?.place) add(step.support.place, peakLevel(step), step, 'support');
	return found;
}

const known = new WeakMap<Step, readonly Touch[]>();
/** Every zone that a step touches, side by side. Steps never change, so it is kept. */
export function touchesOf(step: Step): readonly Touch[] {
	const before = known.get(step);
	if (before) return before;
	const found = find(step);
	known.set(step, found);
	return found;
}

/** Goes over the whole face without naming places: spreading oil, a warm cloth. */
export const isAllOver = (step: Step): boolean => isTouching(step) && step.places.length === 0;
