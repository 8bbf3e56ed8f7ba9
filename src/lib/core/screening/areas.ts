import { neighboursOf } from '../atlas/graph';
import { isMidlinePlace } from '../atlas/midline';
import { isZone, otherSide, SIDES } from '../atlas/places';
import { isFace } from '../atlas/regionOf';
import { ZONE_IDS, ZONES, type ZoneId } from '../atlas/zones';
import { sided, sidedWords, sideIn, zoneIn, type SidedZone } from '../client/sidedZone';

/** Parts of the face, the neck and the trunk of which cautions speak. */
export const AREAS = {
	eyes: {
		label: 'the eyes and their corners',
		zones: ['upper-eyelid', 'inner-canthus', 'lower-eyelid', 'outer-canthus']
	},
	lids: { label: 'the eyelids', zones: ['upper-eyelid', 'lower-eyelid'] },
	mouth: { label: 'the mouth', zones: ['upper-lip', 'lower-lip', 'marionette', 'nasolabial'] },
	jaw: { label: 'the jaw', zones: ['masseter', 'preauricular', 'jawline'] },
	throat: { label: 'the throat', zones: ['throat'] },
	'front-of-neck': { label: 'the throat and the side of the neck', zones: ['throat', 'sternocleidomastoid'] },
	neck: { label: 'the neck', zones: ['throat', 'sternocleidomastoid', 'nape'] },
	nape: { label: 'the nape', zones: ['nape'] },
	collarbone: { label: 'above the collarbone', zones: ['supraclavicular'] },
	armpit: { label: 'the armpit', zones: ['axilla'] },
	chest: { label: 'chest, shoulder and armpit', zones: ['decollete', 'shoulder', 'axilla'] },
	nose: { label: 'the nose', zones: ['nose-bridge', 'nose-wing'] },
	face: { label: 'the face', zones: ZONE_IDS.filter((zone) => isFace(ZONES[zone].region)) }
} as const satisfies Record<string, { readonly label: string; readonly zones: readonly ZoneId[] }>;
export type AreaId = keyof typeof AREAS;

export const zonesOfArea = (area: AreaId): readonly ZoneId[] => AREAS[area].zones;
const bothSides = (zones: readonly ZoneId[]): SidedZone[] => zones.flatMap((zone) => SIDES.map((s) => sided(zone, s)));
const AREA_PLACES = new Map<AreaId, SidedZone[]>();
/** An area with both its sides, worked out once. */
export function placesOfArea(area: AreaId): SidedZone[] {
	const places = AREA_PLACES.get(area) ?? bothSides(zonesOfArea(area));
	AREA_PLACES.set(area, places);
	return places;
}

/** Zones of skin that touch one, its twin across the midline among them. */
function around(place: SidedZone): SidedZone[] {
	const [zone, side] = [zoneIn(place), sideIn(place)];
	const beside = neighboursOf(zone)
		.filter(isZone)
		.map((near) => sided(near, side));
	return isMidlinePlace(zone) ? [...beside, sided(zone, otherSide(side))] : beside;
}
/** These places and those that touch them: in and around what was treated. */
export const withAround = (places: readonly SidedZone[]): SidedZone[] => [
	...new Set([...places, ...places.flatMap(around)])
];

const sameSet = (a: readonly SidedZone[], b: readonly SidedZone[]): boolean =>
	a.length === b.length && a.every((place) => b.includes(place));

/** Places in words: an area by its name, on one side or both, else zone by zone. */
export function placesWords(places: readonly SidedZone[]): string {
	for (const id of Object.keys(AREAS) as AreaId[]) {
		const all = placesOfArea(id);
		if (sameSet(all, places)) return AREAS[id].label;
		const side = SIDES.find((s) =>
			sameSet(
				all.filter((p) => sideIn(p) === s),
				places
			)
		);
		if (side && zonesOfArea(id).length > 1) return `${AREAS[id].label}, ${side}`;
	}
	return sidedWords(places).join('; ');
}
