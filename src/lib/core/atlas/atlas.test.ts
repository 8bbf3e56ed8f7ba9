import { describe, expect, test } from 'vitest';
import { ZONE_AREA_CM2 } from './areas';
import { FIGURE, mirror, nodePoints } from './geometry';
import {
	alignmentOf,
	drainageOf,
	mainReceiver,
	MIDLINE_ZONES,
	neighboursOf,
	NODE_CONTACTS,
	NODE_DRAINAGE,
	NODE_VEIN_SHARE,
	nodesUnder,
	outletFor,
	ZONE_DRAINAGE
} from './graph';
import { NODE_IDS, NODES, OUTLET_IDS, type NodeId } from './nodes';
import { labelOf, ownSideOf, PLACE_IDS, PLACE_REFS, placeOf } from './places';
import { ZONE_IDS, ZONES } from './zones';

const EVERY_ZONE =
	'forehead-medial forehead-lateral hairline glabella brow temple upper-eyelid inner-canthus lower-eyelid outer-canthus nose-bridge nose-wing malar zygoma buccal nasolabial upper-lip lower-lip marionette chin jawline masseter submental under-jaw preauricular ear postauricular throat sternocleidomastoid nape supraclavicular decollete shoulder axilla';
const EVERY_NODE =
	'terminus axillary deep-cervical posterior-cervical occipital postauricular preauricular tonsillar submandibular submental facial';

/** Node groups that fluid can reach from a list of starts. */
function reach(from: readonly NodeId[]): Set<NodeId> {
	const seen = new Set<NodeId>(from);
	const queue = [...from];
	for (let n = queue.pop(); n; n = queue.pop())
		for (const { to } of NODE_DRAINAGE[n]) if (!seen.has(to)) queue.push((seen.add(to), to));
	return seen;
}

describe('the vocabulary of places', () => {
	test('holds every zone and node group, with a label, a term and a region', () => {
		expect([...ZONE_IDS].sort()).toEqual(EVERY_ZONE.split(' ').sort());
		expect([...NODE_IDS].sort()).toEqual(EVERY_NODE.split(' ').sort());
		for (const info of [...Object.values(ZONES), ...Object.values(NODES)]) {
			expect(info.label).toMatch(/^[A-Z]/);
			expect(info.anatomical.length).toBeGreaterThan(3);
		}
	});
	test('a path element may carry its own side', () => {
		expect(PLACE_REFS).toHaveLength(3 * PLACE_IDS.length);
		expect(placeOf('n:submental:left')).toBe('n:submental');
		expect(ownSideOf('chin:right')).toBe('right');
		expect(ownSideOf('chin')).toBeNull();
		expect(labelOf('n:terminus')).toBe('Collarbone nodes');
	});
});

describe('the drainage graph', () => {
	test('every zone reaches an outlet', () => {
		for (const zone of ZONE_IDS) {
			const seen = reach(ZONE_DRAINAGE[zone].map((e) => e.to));
			expect(
				OUTLET_IDS.some((o) => seen.has(o)),
				zone
			).toBe(true);
		}
	});
	test('has no cycle: no node group is reached from those it passes to', () => {
		for (const node of NODE_IDS) expect(reach(NODE_DRAINAGE[node].map((e) => e.to)).has(node), node).toBe(false);
	});
	test('shares of every place sum to 1', () => {
		const sum = (list: readonly { share: number }[]) => list.reduce((s, e) => s + e.share, 0);
		for (const place of PLACE_IDS) {
			const vein = place.startsWith('n:') ? NODE_VEIN_SHARE[place.slice(2) as NodeId] : 0;
			expect(sum(drainageOf(place)) + vein, place).toBeCloseTo(1, 9);
		}
	});
	test('left and right are mirror images: one table serves both, and its only crossing edge has a twin', () => {
		const crossing = NODE_IDS.flatMap((n) => NODE_DRAINAGE[n].filter((e) => e.crosses).map((e) => `${n}>${e.to}`));
		expect(crossing).toEqual(['submental>submandibular']);
		expect(NODE_DRAINAGE.submental.some((e) => e.to === 'submandibular' && !e.crosses)).toBe(true);
		expect(mirror(mirror([512, 90]))).toEqual([512, 90]);
	});
	test('alignment: with one way is against the other, neutral and watershed are both ways', () => {
		expect(alignmentOf('chin', 'jawline')).toBe('with');
		expect(alignmentOf('jawline', 'chin')).toBe('against');
		expect(alignmentOf('jawline', 'masseter')).toBe('neutral');
		expect(alignmentOf('throat', 'decollete')).toBe('watershed');
		expect(alignmentOf('n:terminus', 'n:deep-cervical')).toBe('valve');
		expect(alignmentOf('brow', 'chin')).toBeNull();
		for (const a of PLACE_IDS)
			for (const b of neighboursOf(a)) {
				const back = alignmentOf(b, a);
				const forward = alignmentOf(a, b);
				if (forward === 'with') expect(['against', 'valve']).toContain(back);
				if (forward === 'neutral' || forward === 'watershed') expect(back).toBe(forward);
			}
	});
	test('contacts are zones that drain to the node group, and helpers read them', () => {
		for (const node of NODE_IDS)
			for (const zone of NODE_CONTACTS[node])
				expect(
					ZONE_DRAINAGE[zone].some((e) => e.to === node),
					`${zone} > ${node}`
				).toBe(true);
		expect(nodesUnder('sternocleidomastoid')).toEqual(['posterior-cervical', 'deep-cervical']);
		expect(mainReceiver('lower-eyelid')).toBe('preauricular');
		expect(mainReceiver('n:terminus')).toBeNull();
		expect(outletFor('shoulder')).toBe('axillary');
		expect(outletFor('brow')).toBe('terminus');
		expect(MIDLINE_ZONES).toContain('chin');
	});
});

describe('the figure', () => {
	test('every zone and node group is drawn in at least one view', () => {
		for (const zone of ZONE_IDS) expect(FIGURE.front.zones[zone] ?? FIGURE.profile.zones[zone], zone).toBeDefined();
		for (const node of NODE_IDS)
			expect(nodePoints('front', node).length + nodePoints('profile', node).length, node).toBeGreaterThan(0);
	});
	test('areas: the upper face is about 120 cm², everything about 1,160 cm², both sides', () => {
		const both = (ids: readonly (keyof typeof ZONE_AREA_CM2)[]) => 2 * ids.reduce((s, id) => s + ZONE_AREA_CM2[id], 0);
		const upper = ZONE_IDS.filter((id) => ZONES[id].region === 'forehead' || ZONES[id].region === 'eye');
		expect(both(upper)).toBeGreaterThan(110);
		expect(both(upper)).toBeLessThan(160);
		expect(both(ZONE_IDS)).toBeGreaterThan(1130);
		expect(both(ZONE_IDS)).toBeLessThan(1190);
	});
	test('the hand-computed area of the chin: 2,127 square units × 0.0026 = 5.53 cm²', () => {
		expect(ZONE_AREA_CM2.chin).toBeCloseTo(5.53, 2);
	});
});
