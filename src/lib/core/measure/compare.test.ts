import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { comparePair, ownErrors } from './compare';
import { landmarkFaults } from './faults';
import { frontMeasures } from './front';
import type { FrontPoint, JawPoint, Pixel, Points } from './landmarks';
import { lightDifference, lightOf } from './light';
import { PAIR_MEASURES_OF } from './pairIds';
import { pairChange, pairSentence } from './pairWording';
import type { PointedPhoto } from './photo.schema';
import { GENERIC, genericPoints, predicted } from './predict';
import { scaleOf, scalesApart } from './scale';
import { similarityOnto } from './similarity';

type Front = Points<FrontPoint | JawPoint>;
const FACE = GENERIC.front as Front;
const EYES_PX = FACE.exL![0] - FACE.exR![0];
const MM_PER_PX = 93 / EYES_PX;
const photo = (points: Front = FACE, change: Partial<PointedPhoto> = {}): PointedPhoto => ({
	points,
	scale: {
		kind: 'marker',
		ends: [
			[0, 0],
			[25 / MM_PER_PX, 0]
		],
		lengthMm: 25
	},
	zoom: 4,
	...change
});
const moved = (ids: readonly (FrontPoint | JawPoint)[], [dx, dy]: Pixel): Front => ({
	...FACE,
	...Object.fromEntries(ids.map((id) => [id, [FACE[id]![0] + dx, FACE[id]![1] + dy]]))
});
const through = (map: (p: Pixel) => Pixel): Front =>
	Object.fromEntries(Object.entries(FACE).map(([id, p]) => [id, map(p)])) as Front;
const of = (compared: ReturnType<typeof comparePair>, id: string) => compared.measures.find((m) => m.id === id)!;

describe('a pair', () => {
	test('of the same photograph changes nothing, and says so', () => {
		const same = comparePair(photo(), photo());
		expect(same.measures.map((m) => m.id)).toEqual(PAIR_MEASURES_OF.front);
		for (const m of same.measures) {
			expect(Math.abs(m.change), m.id).toBeLessThan(1e-9);
			expect(m.verdict, m.id).toBe('within-error');
		}
		expect(same.pose).toMatchObject({ yaw: expect.closeTo(0, 6) as number, pitch: expect.closeTo(0, 6) as number });
		expect(pairSentence(same)).toEqual({ real: '', rest: 'Nothing beyond measuring error.' });
	});

	test('is plain data: it crosses to another thread as it is', () => {
		const compared = comparePair(photo(), photo(moved(['psL'], [0, -9])));
		expect(structuredClone(compared)).toEqual(compared);
	});

	test('of a picture taken larger, turned in its plane and elsewhere changes nothing either', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.6, max: 1.6, noNaN: true }),
				fc.double({ min: -0.3, max: 0.3, noNaN: true }),
				fc.double({ min: -200, max: 200, noNaN: true }),
				(scale, roll, shift) => {
					const [c, s] = [scale * Math.cos(roll), scale * Math.sin(roll)];
					const after = photo(through(([x, y]) => [c * x - s * y + shift, s * x + c * y - shift]));
					for (const m of comparePair(photo(), after).measures) expect(Math.abs(m.change), m.id).toBeLessThan(1e-6);
				}
			),
			{ numRuns: 8 }
		);
	});

	test('with a lid that opened by 2 mm finds it, on that side alone', () => {
		const compared = comparePair(photo(), photo(moved(['psL'], [0, -2 / MM_PER_PX])), {
			primaries: ['eyeOpeningL', 'eyeOpeningR']
		});
		expect(of(compared, 'eyeOpeningL')).toMatchObject({
			verdict: 'changed',
			change: expect.closeTo(2, 1) as number,
			primary: true
		});
		expect(of(compared, 'eyeOpeningR').verdict).toBe('within-error');
		expect(pairSentence(compared).real).toBe('Changed: eye opening, left +2.0 mm.');
		// Two points at .25 and .28 mm along the eye, twice: √(2(.25² + .28²)) and a little for the alignment.
		expect(of(compared, 'eyeOpeningL').se).toBeGreaterThan(0.53);
		expect(of(compared, 'eyeOpeningL').se).toBeLessThan(0.6);
	});

	test('with own retakes says how exactly its error is known: the more of them, the closer', () => {
		const pair = [photo(), photo(moved(['psL'], [0, -0.6 / MM_PER_PX]))] as const;
		const with_ = (n: number) =>
			of(comparePair(photo(), photo(), { own: ownErrors(Array.from({ length: n }, () => pair)) }), 'eyeOpeningL');
		const [few, many] = [with_(3), with_(30)];
		for (const { mdc95, mdcInterval } of [few, many]) {
			expect(mdcInterval![0]).toBeLessThan(mdc95);
			expect(mdcInterval![1]).toBeGreaterThan(mdc95);
		}
		expect(many.mdcInterval![1] / many.mdcInterval![0]).toBeLessThan(few.mdcInterval![1] / few.mdcInterval![0]);
		expect(of(comparePair(photo(), photo()), 'eyeOpeningL').mdcInterval).toBeUndefined();
	});

	test('asked about all is stricter than about what was declared', () => {
		const after = photo(moved(['psL'], [0, -1.3 / MM_PER_PX]));
		const [declared, all] = [comparePair(photo(), after, { primaries: ['eyeOpeningL'] }), comparePair(photo(), after)];
		expect(of(declared, 'eyeOpeningL').verdict).toBe('changed');
		expect(of(all, 'eyeOpeningL').verdict).toBe('within-error');
		expect(of(all, 'eyeOpeningL').pAdjusted).toBeGreaterThan(of(declared, 'eyeOpeningL').pAdjusted);
	});

	test('the other way round says the opposite', () => {
		const after = photo(moved(['chL', 'goR', 'jaw6L'], [4, -5]));
		const [there, back] = [comparePair(photo(), after), comparePair(after, photo())];
		for (const m of there.measures) expect(of(back, m.id).rawChange, m.id).toBeCloseTo(-m.rawChange, 1);
	});

	test('a contour that lies 2 mm farther out on the left is found there', () => {
		const jaw = (['jaw3L', 'jaw4L', 'jaw5L', 'jaw6L', 'jaw7L', 'jaw8L'] as const).map((id) => id);
		const compared = comparePair(photo(), photo(moved(jaw, [2.4 / MM_PER_PX, 1.2 / MM_PER_PX])));
		expect(of(compared, 'jawAreaL').change).toBeGreaterThan(80);
		expect(Math.abs(of(compared, 'jawAreaR').change)).toBeLessThan(1e-6);
		expect(of(compared, 'jawAreaAsymmetry').change).toBeCloseTo(of(compared, 'jawAreaL').change, 6);
	});

	test('without a scale there are angles, shares and ratios only; without the nose nothing is judged', () => {
		const plain = comparePair(photo(FACE, { scale: { kind: 'none' } }), photo());
		expect(new Set(plain.measures.map((m) => m.unit))).toEqual(new Set(['degrees', 'ratio', 'percent']));
		const { prn: _, ...noTip } = FACE;
		const blind = comparePair(photo(noTip), photo());
		expect(blind).toMatchObject({ pose: null, measures: [] });
		expect(pairSentence(blind).rest).toMatch(/place the corners of the eyes/);
	});

	test('a point that is missing leaves out what needs it, and nothing else', () => {
		const { brL: _, ...rest } = FACE;
		const ids = comparePair(photo(rest), photo()).measures.map((m) => m.id);
		expect(ids).toEqual(PAIR_MEASURES_OF.front.filter((id) => id !== 'browHeightL'));
	});

	test('a fixed point that slipped is named', () => {
		const slipped = comparePair(photo(), photo(moved(['enL'], [10, 3])));
		expect(slipped.misfit).toMatchObject({ point: 'enL' });
		expect(slipped.misfit!.offPx).toBeGreaterThan(8);
		expect(comparePair(photo(), photo(moved(['enL'], [1, 0.5]))).misfit).toBeNull();
	});
});

describe('own error', () => {
	test('comes from retakes: √(Σd² / 2n), and counts beside what is known', () => {
		const apart = (mm: number) => [photo(), photo(moved(['psL'], [0, -mm / MM_PER_PX]))] as const;
		const { eyeOpeningL } = ownErrors([apart(0.6), apart(-0.8), apart(1)]);
		expect(eyeOpeningL).toMatchObject({ df: 3, te: expect.closeTo(Math.sqrt((0.36 + 0.64 + 1) / 6), 2) as number });
		const after = photo(moved(['psL'], [0, -1.4 / MM_PER_PX]));
		const loose = comparePair(photo(), after, { own: { eyeOpeningL: { te: 2, df: 20 } } });
		expect(of(loose, 'eyeOpeningL')).toMatchObject({ ownRetakes: 20 });
		expect(of(loose, 'eyeOpeningL').se).toBeGreaterThan(2);
		expect(of(loose, 'eyeOpeningL').verdict).toBe('within-error');
	});
});

describe('what tells the size', () => {
	test('irises and a marker, with their errors', () => {
		expect(scaleOf({ kind: 'none' })).toBeNull();
		const iris = scaleOf({
			kind: 'iris',
			ends: [
				[0, 0],
				[39, 0],
				[200, 0],
				[239, 0]
			]
		})!;
		expect(iris.mmPerPx).toBeCloseTo(0.3, 9);
		expect(iris.seLog).toBeCloseTo(0.0214, 3);
		expect(iris.systematic).toBeCloseTo(0.0427, 3);
		const marker = {
			kind: 'marker',
			ends: [
				[0, 0],
				[100, 0]
			],
			lengthMm: 25
		} as const;
		expect(scaleOf(marker)).toMatchObject({ mmPerPx: 0.25, systematic: 0 });
		expect(() =>
			scaleOf({
				...marker,
				ends: [
					[1, 1],
					[1, 1]
				]
			})
		).toThrow(RangeError);
	});
	test('a marker said 12 % too long is noticed against the irises', () => {
		const iris = {
			kind: 'iris',
			ends: [
				[0, 0],
				[46.8, 0],
				[200, 0],
				[246.8, 0]
			]
		} as const;
		const marker = (lengthMm: number) =>
			({
				kind: 'marker',
				ends: [
					[0, 0],
					[100, 0]
				],
				lengthMm
			}) as const;
		expect(scalesApart(marker(25), iris)).toBeNull();
		expect(scalesApart(marker(28.2), iris)).toBeCloseTo(0.128, 2);
	});
});

describe('points that cannot be', () => {
	test('are named two by two: out of order, or on the wrong side', () => {
		expect(landmarkFaults(FACE, 'front')).toEqual([]);
		const upside = landmarkFaults(moved(['psL'], [0, 400]), 'front');
		expect(upside.map((f) => f.points)).toContainEqual(['psL', 'pL']);
		const swapped = landmarkFaults({ ...FACE, exL: FACE.exR!, exR: FACE.exL! }, 'front');
		expect(swapped[0]!.words).toMatch(/outer|exocanthion|to the right of/i);
		expect(landmarkFaults({ sn: [100, 100], se: [100, 300] }, 'profile')[0]!.words).toMatch(
			/Subnasale lies above sellion/
		);
	});
	test('a point begins where a known face expects it', () => {
		const map = similarityOnto(
			[
				[100, 500],
				[400, 520]
			],
			[FACE.exR!, FACE.exL!]
		).apply;
		const placed = { exR: [100, 500] as Pixel, exL: [400, 520] as Pixel };
		const at = predicted('sn', placed, genericPoints('front'), [800, 1000])!;
		expect(at[0]).toBeCloseTo(map(FACE.sn!)[0], 6);
		expect(predicted('sn', {}, genericPoints('front'), [600, 800])).toEqual([300, FACE.sn![1] / 2]);
		expect(predicted('zyL', {}, genericPoints('left'), [600, 800])).toBeNull();
	});
});

describe('light', () => {
	const lit = (left: number, right: number, down = 0) =>
		lightOf(FACE, (x, y) => Math.max(0.01, (x > 600 ? left : right) - down * (y - 600)))!;
	test('alike, to be minded, not comparable, from the other side', () => {
		expect(lightDifference(lit(0.4, 0.3), lit(0.4, 0.3)).verdict).toBe('alike');
		expect(lightDifference(lit(0.4, 0.4), lit(0.4, 0.3)).verdict).toBe('caution');
		expect(lightDifference(lit(0.4, 0.3), lit(0.1, 0.08)).verdict).toBe('not-comparable');
		expect(lightDifference(lit(0.4, 0.3), lit(0.3, 0.4))).toMatchObject({ otherSide: true, most: 'side' });
	});
	test('is not told where points are missing', () => {
		expect(lightOf({ exL: [1, 1], exR: [0, 1] }, () => 0.5)).toBeNull();
		expect(lightOf(FACE, () => null)).toBeNull();
	});
});

test('figures are said in their units; a change that rounds to nothing has no sign', () => {
	expect(pairChange({ change: -0.04, unit: 'mm' })).toBe('0.0 mm');
	expect(pairChange({ change: -231.4, unit: 'mm2' })).toBe('−231 mm²');
	expect(pairChange({ change: 0.0123, unit: 'ratio' })).toBe('+0.012');
	expect(Object.keys(frontMeasures(FACE, MM_PER_PX))).toHaveLength(15);
});
