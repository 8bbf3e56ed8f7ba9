import { ownSideOf, placeOf, SIDES, type Side } from '../atlas/places';
import { isStationary } from '../vocabulary/vocabulary';
import type { Step } from '../step/step.schema';
import { levelsOf } from '../step/levelsOf';

/** Over the carotid sinus: the front and the side of the neck. */
const NECK: readonly string[] = ['throat', 'sternocleidomastoid', 'n:deep-cervical'];

/** The sides on which the hand at work presses the neck at this level or deeper, at one moment. */
function firmSides(step: Step, firmLevel: number): ReadonlySet<Side> {
	const levels = levelsOf(step);
	const spans = step.side === 'both' || step.side === 'midline';
	const stays = isStationary(step.motion);
	const sides = new Set<Side>();
	step.places.forEach((ref, i) => {
		if (!NECK.includes(placeOf(ref)) || Math.max(levels[i] ?? levels[0]!, step.risesTo ?? 0) < firmLevel) return;
		const own = ownSideOf(ref);
		// A stroke from one side to the other is on one of them at a time; what stays is on all its places at once.
		if (own && (stays || !spans)) sides.add(own);
		else if (spans) for (const side of SIDES) sides.add(side);
		else if (step.side === 'left' || step.side === 'right') sides.add(step.side);
		else sides.add('left');
	});
	return sides;
}

/**
 * Whether a step presses both sides of the neck at once at this level or deeper: with both hands, with one hand that lies
 * across, or with the other hand that holds against it.
 */
export function firmOnBothSides(step: Step, firmLevel: number): boolean {
	const firm = firmSides(step, firmLevel);
	const holds = step.support?.place;
	if (!holds || !NECK.includes(placeOf(holds)) || !firm.size) return firm.size === 2;
	// A hand that holds against firm work presses as firmly; one that names no side holds where is worked.
	const own = ownSideOf(holds);
	return firm.size === 2 || (own !== null && !(firm.has(own) && isOneSided(step)));
}

const isOneSided = (step: Step): boolean => step.side === 'left' || step.side === 'right';
