import { describe, expect, test } from 'vitest';
import { comparePair, ownErrors } from './compare';
import { CHIN_POINTS, type AnyPoint, type Pixel, type Points } from './landmarks';
import { PAIR_MEASURES_OF } from './pairIds';
import { pairSentence } from './pairWording';
import type { PointedPhoto } from './photo.schema';
import { genericPoints } from './predict';
import { PairQuestionSchema } from './question.schema';
import { UNDER_CHIN, underChinArea } from './underChin';

const FACE = genericPoints('left');
const MM_PER_PX = 0.2;
const photo = (points: Points = FACE): PointedPhoto => ({
	points,
	scale: {
		kind: 'marker',
		ends: [
			[0, 0],
			[125, 0]
		],
		lengthMm: 25
	},
	zoom: 4
});
const shifted = (ids: readonly AnyPoint[], [dx, dy]: Pixel): Points => ({
	...FACE,
	...Object.fromEntries(ids.map((id) => [id, [FACE[id]![0] + dx, FACE[id]![1] + dy]]))
});
const profile = { view: 'profile' } as const;
const change = (compared: ReturnType<typeof comparePair>, id: string) =>
	compared.measures.find((m) => m.id === id)!.change;

describe('two profiles', () => {
	test('of the same points change nothing; the measures are those of a profile', () => {
		const same = comparePair(photo(), photo(), profile);
		expect(same.measures.map((m) => m.id)).toEqual(PAIR_MEASURES_OF.profile);
		expect(same).toMatchObject({ pose: null, refused: false, misfit: null, faults: [] });
		for (const m of same.measures)
			expect([m.id, Math.abs(m.change) < 1e-9, m.verdict]).toEqual([m.id, true, 'within-error']);
	});

	test('taken larger, turned in the plane and elsewhere change nothing either', () => {
		const [c, s] = [1.3 * Math.cos(0.2), 1.3 * Math.sin(0.2)];
		const turned = Object.entries(FACE).map(([id, [x, y]]) => [id, [c * x - s * y + 90, s * x + c * y - 40]]);
		const compared = comparePair(photo(), photo(Object.fromEntries(turned) as Points), profile);
		for (const m of compared.measures) expect(Math.abs(m.change), m.id).toBeLessThan(1e-6);
	});

	test('with a contour that hangs 2 mm lower are fuller there, the other way round less full by as much', () => {
		const lower = photo(shifted(CHIN_POINTS.slice(2, 8), [0, 10]));
		const there = change(comparePair(photo(), lower, profile), 'underChinArea');
		// About 40 mm long and 2 mm deep, tapered at both ends.
		expect(there).toBeGreaterThan(50);
		expect(there).toBeLessThan(110);
		expect(change(comparePair(lower, photo(), profile), 'underChinArea')).toBeCloseTo(-there, 6);
	});

	test('carry the head turns that nobody sees in their error: half a finger under the chin is no change', () => {
		const [area] = comparePair(photo(), photo(), profile).measures.filter((m) => m.id === 'underChinArea');
		expect(area!.mdc95).toBeGreaterThan(500);
		const own = ownErrors([[photo(), photo(shifted(CHIN_POINTS, [0, 2]))]], 'profile');
		expect(own.underChinArea).toMatchObject({ df: 1 });
	});

	test('without the points that align say which ones to place', () => {
		const { g: _g, se: _se, prn: _prn, ...rest } = FACE;
		const blind = comparePair(photo(rest), photo(), profile);
		expect(blind.measures).toEqual([]);
		expect(pairSentence(blind).rest).toMatch(/the brow, the nose, the corner of the eye and the notch of the ear/);
	});
});

/** Points on a circle about the corner of the jaw, from straight ahead to straight down. */
function arc(radius: number): Points {
	const [mx, my]: Pixel = [500, 500];
	const placed = UNDER_CHIN.map((id, i) => {
		const angle = (Math.PI / 2) * (i / (UNDER_CHIN.length - 1));
		return [id, [mx - radius * Math.cos(angle), my + radius * Math.sin(angle)]];
	});
	return { ...(Object.fromEntries(placed) as Points), go: [mx, my] };
}

describe('the area under the chin', () => {
	test('between two quarter circles is π/4 of the difference of their squares', () => {
		// 400 and 410 px at 0.2 mm: 80 and 82 mm.
		expect(underChinArea(arc(400), arc(410), MM_PER_PX)).toBeCloseTo((Math.PI / 4) * (82 ** 2 - 80 ** 2), 1);
	});
	test('of one that faces right is the same, and there is none where points are out of order', () => {
		const right = (points: Points) =>
			Object.fromEntries(Object.entries(points).map(([id, [x, y]]) => [id, [1000 - x, y]])) as Points;
		const left = underChinArea(arc(400), arc(410), MM_PER_PX)!;
		expect(underChinArea(right(arc(400)), right(arc(410)), MM_PER_PX)).toBeCloseTo(left, 6);
		const crossed = { ...arc(400), chin3: arc(400).chin5!, chin5: arc(400).chin3! };
		expect(underChinArea(crossed, arc(400), MM_PER_PX)).toBeNull();
	});
});

test('a question about profiles refuses points of the front, and says which', () => {
	const { success, error } = PairQuestionSchema.safeParse({
		view: 'profile',
		before: { points: { g: [1, 2], exL: [3, 4] } },
		after: { points: {} }
	});
	expect(success).toBe(false);
	expect(error!.issues[0]).toMatchObject({ path: ['before', 'points', 'exL'] });
	expect(error!.issues[0]!.message).toMatch(/no point of a profile photograph/);
});
