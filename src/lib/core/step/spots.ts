import type { SpotId } from '../atlas/spots';
import { SPOTS } from '../atlas/spots';
import { placeOf, type PlaceRef } from '../atlas/places';
import { isStationary } from '../vocabulary/vocabulary';
import type { Step } from './step.schema';

/** One of the spots at which a step stops within its places. */
export interface Spot {
	/** Its place, as the step names it; a spot elsewhere is known by its own. */
	readonly place: PlaceRef;
	/** Number of that place in `places`, from 0. */
	readonly at: number;
	/** Null where spots are only counted along the places. */
	readonly named: SpotId | null;
}
type Spotted = Pick<Step, 'spots' | 'places' | 'motion'>;
const NONE: readonly Spot[] = [];

/** The spots of a step that stays on each of them, in order: named ones, or so many spread evenly along its places. Empty: none are told. */
export function spotsOf({ spots, places, motion }: Spotted): readonly Spot[] {
	if (!spots || !places.length || !isStationary(motion)) return NONE;
	if ('count' in spots)
		return Array.from({ length: spots.count }, (_, i) => {
			const at = Math.floor((i * places.length) / spots.count);
			return { place: places[at]!, at, named: null };
		});
	return spots.named.map((named) => {
		const at = Math.max(
			0,
			places.findIndex((ref) => placeOf(ref) === SPOTS[named].place)
		);
		return { place: places[at]!, at, named };
	});
}
