import { isZone, placeOf, type PlaceRef } from '../atlas/places';
import { regionOf, zoneOf } from '../atlas/regionOf';
import type { Region } from '../atlas/regions';
import type { ZoneId } from '../atlas/zones';
import type { Step } from '../step/step.schema';
import { levelsOf } from '../step/levelsOf';
import { contactRow, isStationary } from '../vocabulary/vocabulary';

/** The region in which a step begins; null where it names no place. */
export const startRegion = (step: Step): Region | null => (step.places.length ? regionOf(step.places[0]!) : null);

/** Hands or a tool of the practitioner on the skin. */
export const touches = (step: Step): boolean =>
	step.by === 'practitioner' && step.contact !== 'none' && step.aim !== 'cleanse';
export const isInside = (step: Step): boolean => contactRow(step.contact).inside;
export const washesHands = (step: Step): boolean => step.aim === 'cleanse' && step.target === 'hands';

const EYELIDS: readonly string[] = ['upper-eyelid', 'lower-eyelid'];
export const isEyelid = (ref: PlaceRef): boolean => EYELIDS.includes(placeOf(ref));

/** Zones that a step presses at this level or deeper. */
export function zonesAtLeast(step: Step, level: number): ZoneId[] {
	const levels = levelsOf(step);
	return step.places.flatMap((ref, i) => {
		const place = placeOf(ref);
		return isZone(place) && (levels[i] ?? levels[0]!) >= level ? [place] : [];
	});
}

/** How high a zone lies on an upright head, 0 at the armpit: only the order counts. */
const HEIGHT: Record<ZoneId, number> = {
	axilla: 0,
	decollete: 1,
	shoulder: 1,
	supraclavicular: 2,
	throat: 3,
	sternocleidomastoid: 3.5,
	nape: 4,
	submental: 5,
	'under-jaw': 5.2,
	chin: 5.5,
	jawline: 5.6,
	marionette: 6,
	'lower-lip': 6.2,
	masseter: 6.6,
	'upper-lip': 7,
	postauricular: 7.5,
	buccal: 7.2,
	nasolabial: 7.6,
	'nose-wing': 8,
	ear: 8.4,
	preauricular: 8.5,
	malar: 8.6,
	zygoma: 8.8,
	'nose-bridge': 9.5,
	'lower-eyelid': 9.6,
	'inner-canthus': 10,
	'outer-canthus': 10,
	'upper-eyelid': 10.4,
	temple: 10.6,
	brow: 11,
	glabella: 11,
	'forehead-lateral': 12,
	'forehead-medial': 12,
	hairline: 13
};
/** How much higher the last place of a stroke lies than its first; with the way back it ends where it began. */
export function riseOf(step: Step): number {
	if (step.places.length < 2 || step.reverse || isStationary(step.motion)) return 0;
	return HEIGHT[zoneOf(step.places.at(-1)!)] - HEIGHT[zoneOf(step.places[0]!)];
}

/** The step the other way round, its levels and stations with it. */
export const turnedRound = (step: Step): Partial<Step> => ({
	places: [...step.places].reverse(),
	levels: step.levels ? [...step.levels].reverse() : undefined
});
