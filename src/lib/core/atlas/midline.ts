import { MIDLINE_ZONES } from './graph';
import { isZone, placeOf, type PlaceRef } from './places';

/** Whether a step may be worked in one pass over both halves here. */
export const isMidlinePlace = (ref: PlaceRef): boolean => {
	const place = placeOf(ref);
	return isZone(place) && (MIDLINE_ZONES.includes(place) || place === 'hairline');
};
