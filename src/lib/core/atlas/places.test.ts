import { describe, expect, test } from 'vitest';
import { NODE_IDS, NODES } from './nodes';
import {
	isNode,
	isOutlet,
	isZone,
	labelOf,
	nodeOf,
	otherSide,
	ownSideOf,
	PLACE_IDS,
	PLACE_REFS,
	placeOf,
	SIDES,
	sideWords,
	whereOf
} from './places';
import { REGION_IDS, REGIONS } from './regions';
import { ZONE_IDS, ZONES } from './zones';

describe('places', () => {
	test('every path element comes apart into its place and its side', () => {
		for (const ref of PLACE_REFS) {
			const side = ownSideOf(ref);
			expect(side === null ? placeOf(ref) : `${placeOf(ref)}:${side}`).toBe(ref);
			expect(PLACE_IDS).toContain(placeOf(ref));
		}
	});
	test('a place is either a zone or a node group; three names are both, told apart by their prefix', () => {
		for (const place of PLACE_IDS) expect(isZone(place)).toBe(!isNode(place));
		const both = NODE_IDS.filter((id) => (ZONE_IDS as readonly string[]).includes(id));
		expect([...both].sort()).toEqual(['postauricular', 'preauricular', 'submental']);
		expect(nodeOf('submental')).toBeNull();
		expect(nodeOf('n:submental')).toBe('submental');
	});
	test('outlets are the collarbone and the armpit', () => {
		expect(PLACE_IDS.filter(isOutlet)).toEqual(['n:terminus', 'n:axillary']);
	});
	test('as the end of a stroke a node group is named by where it lies', () => {
		for (const id of NODE_IDS) expect(whereOf(`n:${id}`)).toBe(NODES[id].where);
		expect(whereOf('malar')).toBe('apple of the cheek');
		expect(labelOf('n:tonsillar')).toBe('Nodes below the ear');
	});
	test('sides are the client’s, and each has another', () => {
		for (const side of SIDES) {
			expect(otherSide(otherSide(side))).toBe(side);
			expect(sideWords[side]).toContain(`client’s ${side}`);
		}
	});
	test('labels are unique among zones and among node groups, and every region has zones', () => {
		expect(new Set(ZONE_IDS.map((id) => ZONES[id].label)).size).toBe(ZONE_IDS.length);
		expect(new Set(NODE_IDS.map((id) => NODES[id].label)).size).toBe(NODE_IDS.length);
		for (const region of REGION_IDS) {
			expect(ZONE_IDS.some((id) => ZONES[id].region === region)).toBe(true);
			expect(REGIONS[region].length).toBeGreaterThan(2);
		}
	});
});
