import type { PlaceRef } from '../atlas/places';
import type { Level } from './levels';
import { aimRow, contactRow, isStationary, motionRow, toolRow } from '../vocabulary/vocabulary';
import type { Step } from './step.schema';

const levelsByStep = new WeakMap<Step, readonly Level[]>();

/** The pressure level at each place of a step; one entry for a step without places. Steps never change, so it is kept. */
export function levelsOf(step: Step): readonly Level[] {
	if (step.levels) return step.levels;
	const known = levelsByStep.get(step);
	if (known) return known;
	const levels = Array.from({ length: Math.max(1, step.places.length) }, () => step.pressure ?? 0);
	levelsByStep.set(step, levels);
	return levels;
}

/** The highest level of a step, to which a hold may rise: the one it is drawn and named by. */
export const peakLevel = (step: Step): Level => Math.max(0, ...levelsOf(step), step.risesTo ?? 0) as Level;

/** Aims whose strokes move fluid on purpose. */
export const movesFluid = (step: Pick<Step, 'aim'>): boolean => aimRow(step.aim).movesFluid;

/** Whether a step slides over the skin and so needs a film. */
export function needsFilm(step: Step): boolean {
	if (isStationary(step.motion) || step.places.length === 0 || step.by === 'client') return false;
	if (motionRow(step.motion).lands) return false;
	if (!aimRow(step.aim).wantsSlip || contactRow(step.contact).inside) return false;
	return !(step.tool && toolRow(step.tool.id).slipless);
}

/** Where a stroke leaves its fluid: with a reversal, back at the start. */
export const endPlace = (step: Step): PlaceRef => (step.reverse ? step.places[0]! : step.places.at(-1)!);
