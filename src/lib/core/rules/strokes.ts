import { ownSideOf, placeOf, type PlaceRef } from '../atlas/places';
import { alignmentOf, type Alignment } from '../atlas/graph';
import { safeLevel } from '../pressure/caps';
import type { Step } from '../step/step.schema';
import { setStep } from '../sequence/edits';
import { carriesAlong, movesFluid, peakLevel } from '../step/levelsOf';
import { isStationary, motionRow, staysOnNode } from '../vocabulary/vocabulary';
import type { JudgeContext } from './rule';
import type { Edit } from '../sequence/edit.schema';

/** A step that slides along a path. */
export const isStroke = (step: Step): boolean => step.places.length > 1 && !isStationary(step.motion);
/** Meant to open or to close what lies there, by its aim. */
export const opensByAim = ({ aim }: Step): boolean => aim === 'open' || aim === 'close';
/** Opens the node groups on which it is done: a pump, or circles and presses that are meant to. */
export const opensNodes = (step: Step): boolean =>
	motionRow(step.motion).opens || (staysOnNode(step.motion) && opensByAim(step));
/** Moves fluid along a way on purpose: by sliding, or by stretching the skin and letting go. */
export const isFluidStroke = (step: Step): boolean => (movesFluid(step) && isStroke(step)) || carriesAlong(step);

export interface Pair {
	readonly from: PlaceRef;
	readonly to: PlaceRef;
	/** `gap`: the two do not touch. */
	readonly alignment: Alignment | 'gap';
}

/** Every pair of neighbours that a stroke passes, in order; the way back of a reversal included. */
export function pairsOf(step: Step): Pair[] {
	const pairs = (refs: readonly PlaceRef[]): Pair[] =>
		refs.slice(1).map((to, i) => {
			const from = refs[i]!;
			const crosses = ownSideOf(from) !== null && ownSideOf(to) !== null && ownSideOf(from) !== ownSideOf(to);
			const same = placeOf(from) === placeOf(to);
			const alignment = crosses ? 'watershed' : same ? 'neutral' : (alignmentOf(placeOf(from), placeOf(to)) ?? 'gap');
			return { from, to, alignment };
		});
	return [...pairs(step.places), ...(step.reverse ? pairs([...step.places].reverse()) : [])];
}

/** Gives a step another path: one level that is safe on all of it, no way back, stations only where they still lie on it. */
export function withPath(context: JudgeContext, step: Step, places: PlaceRef[], label: string): Edit {
	const stations = step.stations?.places.filter((p) => places.includes(p));
	return setStep(
		context.sequence,
		step.id,
		{
			places,
			levels: undefined,
			pressure: Math.min(safeLevel(step, places, peakLevel(step), context.school), 1) as 0 | 1,
			reverse: false,
			side: step.side === 'midline' ? 'both' : step.side,
			stations: stations?.length ? { ...step.stations!, places: stations } : undefined
		},
		label
	);
}
