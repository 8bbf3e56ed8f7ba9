import { placeOf } from '../atlas/places';
import type { Step } from '../step/step.schema';
import { levelsOf } from '../step/levelsOf';

/** Over the carotid sinus: the front and the side of the neck. */
const NECK: readonly string[] = ['throat', 'sternocleidomastoid', 'n:deep-cervical'];

/** Whether a step presses both sides of the neck at once at this level or deeper. */
export function firmOnBothSides(step: Step, firmLevel: number): boolean {
	if (step.side !== 'both' && step.side !== 'midline') return false;
	const levels = levelsOf(step);
	return step.places.some((ref, i) => NECK.includes(placeOf(ref)) && (levels[i] ?? levels[0]!) >= firmLevel);
}
