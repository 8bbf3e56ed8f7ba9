import { aimRow, isStationary, motionRow } from '../vocabulary/vocabulary';
import { spotsOf } from './spots';
import type { Step } from './step.schema';

export type DoseAt = NonNullable<Step['doseAt']>;

/** Whether there is anything to say: a move that stays on more than one place or spot. */
export const hasDoseAt = (step: Pick<Step, 'motion' | 'places' | 'spots'>): boolean =>
	isStationary(step.motion) && (step.places.length > 1 || spotsOf(step).length > 0);

/** What goes without saying, by what the step is for and how it moves (working value): hands that rest or tape that soaks count once. */
export const usualDoseAt = (step: Pick<Step, 'aim' | 'motion' | 'parts'>): DoseAt =>
	// A repetition of several strokes is one, wherever its first one presses.
	aimRow(step.aim).overAll || motionRow(step.motion).overAll || step.parts ? 'over-all' : 'each-place';

type Dosed = Pick<Step, 'aim' | 'motion' | 'places' | 'doseAt' | 'parts' | 'spots'>;

/** Whether a dose is given at each of its places, or over all of them together. */
export const doseAtOf = (step: Dosed): DoseAt => (hasDoseAt(step) ? (step.doseAt ?? usualDoseAt(step)) : 'over-all');

/** How often the dose of a side is given: once for each place that is stayed on, else once. */
export const dosesPerSide = (step: Dosed): number =>
	doseAtOf(step) === 'each-place' ? spotsOf(step).length || step.places.length : 1;
