import { SIDES, type Side } from '../atlas/places';
import { listWords } from '../listWords';
import { ZONE_IDS, ZONES, type ZoneId } from '../atlas/zones';

/** A zone with its side, the client's own: what an answer, a mark or a limit speaks of. */
export type SidedZone = `${ZoneId}:${Side}`;

export const SIDED_ZONES: readonly SidedZone[] = ZONE_IDS.flatMap((zone) =>
	SIDES.map((side): SidedZone => `${zone}:${side}`)
);

export const sided = (zone: ZoneId, side: Side): SidedZone => `${zone}:${side}`;
export const zoneIn = (place: SidedZone): ZoneId => place.slice(0, place.indexOf(':')) as ZoneId;
export const sideIn = (place: SidedZone): Side => place.slice(place.indexOf(':') + 1) as Side;

/** Sided zones in words, those of one side together: "throat and nape, both sides", "cheekbone, left". */
export function sidedWords(places: readonly SidedZone[]): string[] {
	const zones = [...new Set(places.map(zoneIn))];
	const sidesOf = (zone: ZoneId) => SIDES.filter((side) => places.includes(sided(zone, side))).join();
	const groups = [
		['left,right', 'both sides'],
		['left', 'left'],
		['right', 'right']
	] as const;
	return groups.flatMap(([sides, words]) => {
		const names = zones.filter((zone) => sidesOf(zone) === sides).map((zone) => ZONES[zone].label.toLowerCase());
		return names.length ? [`${listWords(names)}, ${words}`] : [];
	});
}
