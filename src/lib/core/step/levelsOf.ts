import { alignmentOf } from '../atlas/graph';
import { isZone, placeOf, type PlaceRef } from '../atlas/places';
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

/** How deep it gets at a place of this level: a hold may rise, a stroke may swell. */
export const reachedLevel = ({ risesTo = 0, swellsTo = 0 }: Step, level: Level): Level =>
	Math.max(level, risesTo, swellsTo) as Level;

/** The highest level of a step, to which a hold may rise: the one it is drawn and named by. */
export const peakLevel = (step: Step): Level => reachedLevel(step, Math.max(0, ...levelsOf(step)) as Level);

/** Aims whose strokes move fluid on purpose. */
export const movesFluid = (step: Pick<Step, 'aim'>): boolean => aimRow(step.aim).movesFluid;

/** Whether each place of a way touches the next. */
const isWay = (places: readonly PlaceRef[]): boolean =>
	places
		.slice(1)
		.every((ref, i) => placeOf(ref) === placeOf(places[i]!) || alignmentOf(placeOf(places[i]!), placeOf(ref)) !== null);
const carriesByStep = new WeakMap<Step, boolean>();
/**
 * Whether a step carries fluid along its way without sliding: the skin is stretched or circled and let go from place to place,
 * in an aim that drains. The classical way of draining, dry.
 */
export function carriesAlong(step: Step): boolean {
	if (step.places.length < 2 || !motionRow(step.motion).carries || !movesFluid(step)) return false;
	const known = carriesByStep.get(step);
	if (known !== undefined) return known;
	// Circles on node groups alone open or close them.
	const carries = step.places.some((ref) => isZone(placeOf(ref))) && isWay(step.places);
	carriesByStep.set(step, carries);
	return carries;
}

/** Whether a step slides over the skin and so needs a film. */
export function needsFilm(step: Step): boolean {
	if (isStationary(step.motion) || step.places.length === 0 || step.by === 'client') return false;
	if (motionRow(step.motion).lands) return false;
	if (!aimRow(step.aim).wantsSlip || contactRow(step.contact).inside) return false;
	return !(step.tool && toolRow(step.tool.id).slipless);
}

/** Where a stroke leaves its fluid: with a reversal, back at the start. */
export const endPlace = (step: Step): PlaceRef => (step.reverse ? step.places[0]! : step.places.at(-1)!);
