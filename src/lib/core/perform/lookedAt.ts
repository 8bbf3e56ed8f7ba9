import { isZone, placeOf } from '../atlas/places';
import type { ZoneId } from '../atlas/zones';
import type { Sequence } from '../sequence/sequence.schema';
import { stepsOf } from '../sequence/walk';
import { aimRow } from '../vocabulary/vocabulary';

/** Most places that are asked for: more is not felt in forty seconds. Working value. */
const MOST_PLACES = 7;
/** Asked for where nothing is planned. */
const WITHOUT_PLAN: readonly ZoneId[] = ['lower-eyelid', 'malar', 'jawline', 'submental'];

/** The zones that are felt before and after a sequence: those that it works on with an aim that is looked at. */
export function placesLookedAt(sequence: Sequence | null): readonly ZoneId[] {
	if (!sequence) return WITHOUT_PLAN;
	const worked = stepsOf(sequence)
		.filter(({ step }) => aimRow(step.aim).lookedAt && step.places.length)
		.map(({ step }) => placeOf(step.places[0]!));
	return [...new Set(worked)]
		.filter((p): p is ZoneId => isZone(p) && p !== 'sternocleidomastoid' && p !== 'throat')
		.slice(0, MOST_PLACES);
}
