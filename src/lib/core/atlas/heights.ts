import type { PlaceRef } from './places';
import { zoneOf } from './regionOf';
import type { ZoneId } from './zones';

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

/** How high a place lies, in steps from the armpit to the hairline (working values); a node group as the skin over it. */
export const heightOf = (ref: PlaceRef): number => HEIGHT[zoneOf(ref)];
