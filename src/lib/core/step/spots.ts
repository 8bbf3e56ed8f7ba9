import { SPOTS, type SpotId } from '../atlas/spots';
import { placeOf, type PlaceRef } from '../atlas/places';
import { isStationary } from '../vocabulary/vocabulary';
import type { Step } from './step.schema';

/** One of the spots at which a step stops within its places. */
export interface Spot {
	/** Its place, as the step names it. */
	readonly place: PlaceRef;
	/** Number of that place in `places`, from 0. */
	readonly at: number;
	/** Null where spots are only counted along the places, and where a place has none by name. */
	readonly named: SpotId | null;
}
type Spotted = Pick<Step, 'spots' | 'places' | 'motion'>;
const NONE: readonly Spot[] = [];

/** The spots of a step that stays on each of them, in order: named ones place by place, or so many spread evenly along its places. Empty: none are told. */
export function spotsOf({ spots, places, motion }: Spotted): readonly Spot[] {
	if (!spots || !places.length || !isStationary(motion)) return NONE;
	if ('count' in spots)
		return Array.from({ length: spots.count }, (_, i) => {
			const at = Math.floor((i * places.length) / spots.count);
			return { place: places[at]!, at, named: null };
		});
	return places.flatMap((place, at): Spot[] => {
		const here = namedIn({ spots }, place);
		return here.length ? here.map((named) => ({ place, at, named })) : [{ place, at, named: null }];
	});
}

/** The spots by name that lie in a place of a step. */
export const namedIn = ({ spots }: Pick<Step, 'spots'>, place: PlaceRef): readonly SpotId[] =>
	spots && 'named' in spots ? spots.named.filter((id) => SPOTS[id].place === placeOf(place)) : [];
