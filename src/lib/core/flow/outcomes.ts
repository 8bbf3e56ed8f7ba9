import { ZONE_GROUP } from '../atlas/graph';
import type { PlaceId } from '../atlas/places';
import { ZONE_IDS, type ZoneId } from '../atlas/zones';
import type { OutcomeId } from './outcomeIds';
import { faceIndex } from './network';

/** Minutes after the end at which a comparison looks: what was only parked has seeped back by then. */
export const LOOK_AFTER_SECONDS = 600;

/** The zones of an outcome, both sides together, as indexes of the face network; null for all compartments. */
export function zonesOfOutcome(outcome: OutcomeId, chosen: readonly ZoneId[] = []): Int32Array | null {
	if (outcome === 'all') return null;
	const zones: readonly PlaceId[] =
		outcome === 'face'
			? ZONE_IDS.filter((z) => ZONE_GROUP[z] === 'face')
			: outcome === 'eyes'
				? ['lower-eyelid']
				: chosen;
	return Int32Array.from(zones.flatMap((zone) => [faceIndex(zone, 'left'), faceIndex(zone, 'right')]));
}
