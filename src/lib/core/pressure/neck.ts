import { ownSideOf, placeOf, SIDES, type PlaceRef, type Side } from '../atlas/places';
import { atOnce } from '../step/parts';
import { isStationary } from '../vocabulary/vocabulary';
import type { Step } from '../step/step.schema';
import { levelsOf, reachedLevel } from '../step/levelsOf';

/** Over the carotid sinus: the front and the side of the neck. */
const NECK: readonly string[] = ['throat', 'sternocleidomastoid', 'n:deep-cervical'];

/** The sides of the neck on which a path presses at this level or deeper, while the hand works on a side. */
function firmSides(step: Step, firmLevel: number, worked: Side | 'both'): ReadonlySet<Side> {
	const levels = levelsOf(step);
	const stays = isStationary(step.motion);
	const sides = new Set<Side>();
	step.places.forEach((ref, i) => {
		if (!isNeck(ref) || reachedLevel(step, levels[i] ?? levels[0]!) < firmLevel) return;
		const own = ownSideOf(ref);
		// A stroke from one side to the other is on one of them at a time; what stays is on all its places at once.
		if (own && (stays || worked !== 'both')) sides.add(own);
		else if (worked === 'both') for (const side of SIDES) sides.add(side);
		else sides.add(worked);
	});
	return sides;
}
const isNeck = (ref: PlaceRef): boolean => NECK.includes(placeOf(ref));

/**
 * Whether a step presses both sides of the neck at once at this level or deeper: with both hands, with one hand that lies
 * across, with the hand on its second path, or with the other hand that holds against it. All that presses at one moment
 * counts as one press.
 * @param inTurn the step stands in a block that does one side and then the other
 */
export function firmOnBothSides(step: Step, firmLevel: number, inTurn = false): boolean {
	const both = step.side === 'midline' || (step.side === 'both' && !inTurn);
	const works = both ? (['both'] as const) : step.side === 'left' || step.side === 'right' ? [step.side] : SIDES;
	return works.some((worked) => {
		const firm = new Set(atOnce(step).flatMap((path) => [...firmSides(path, firmLevel, worked)]));
		const holds = step.support?.place;
		// A hand that holds against firm work presses as firmly; one that names no side holds where is worked.
		const held = holds && isNeck(holds) && firm.size ? ownSideOf(holds) : null;
		if (held) firm.add(held);
		return firm.size === 2;
	});
}
