import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { signedArea, smoothingSpline } from './contour';
import { frontMeasures, FRONT_MEASURE_IDS, FRONT_MEASURES } from './front';
import golden from './golden.json' with { type: 'json' };
import { ALL_FRONT, FRONT_POINTS, placementSdPx, type FrontPoint, type Pixel, type Points } from './landmarks';
import { doubtsOf, TAPE_DISTANCES } from './plausible';
import { poseDifference } from './pose';
import { propagate } from './propagate';
import { similarityOnto } from './similarity';

const FACE = golden.measuresFront.landmarks as unknown as Record<FrontPoint, Pixel>;
const MM_PER_PX = golden.measuresFront.mmPerPx;
const mapped = (points: Points<FrontPoint>, of: (p: Pixel) => Pixel): Points<FrontPoint> =>
	Object.fromEntries(Object.entries(points).map(([id, p]) => [id, of(p)]));
const moved = fc
	.record({
		scale: fc.double({ min: 0.3, max: 3, noNaN: true }),
		turn: fc.double({ min: -3, max: 3, noNaN: true }),
		x: fc.integer({ min: -900, max: 900 }),
		y: fc.integer({ min: -900, max: 900 })
	})
	.map(({ scale, turn, x, y }) => ({
		scale,
		of: ([px, py]: Pixel): Pixel => [
			scale * (Math.cos(turn) * px - Math.sin(turn) * py) + x,
			scale * (Math.sin(turn) * px + Math.cos(turn) * py) + y
		]
	}));
/** Seen in a mirror: the left of one is the right of the other. */
const mirrored = (points: Points<FrontPoint>): Points<FrontPoint> => {
	const other = (id: string) => id.replace(/[LR]$/, (side) => (side === 'L' ? 'R' : 'L'));
	return Object.fromEntries(
		Object.entries(points).map(([id, [x, y]]) => [id in FACE && /[LR]$/.test(id) ? other(id) : id, [-x, y]])
	);
};

test('every point of the front is placed once, in an order', () => {
	expect([...FRONT_POINTS].sort()).toEqual([...ALL_FRONT].sort());
	expect(FRONT_POINTS).toHaveLength(30);
});

describe('alignment and pose', () => {
	test('a similarity is found again, whatever the order of the points', () => {
		fc.assert(
			fc.property(moved, fc.integer({ min: 0, max: 20 }), (by, turn) => {
				const ids = Object.keys(FACE) as FrontPoint[];
				const order = [...ids.slice(turn), ...ids.slice(0, turn)];
				const got = similarityOnto(
					order.map((id) => by.of(FACE[id])),
					order.map((id) => FACE[id])
				);
				expect(got.scale).toBeCloseTo(by.scale, 9);
				expect(got.rms).toBeLessThan(1e-9 * 2000);
			})
		);
		expect(() => similarityOnto([[0, 0]], [[1, 1]])).toThrow(RangeError);
	});
	test('the same photograph has no other pose; the way back is the other way', () => {
		const turned = golden.posePair.after as unknown as Points<FrontPoint>;
		const before = golden.posePair.before as unknown as Points<FrontPoint>;
		const none = poseDifference(before, before);
		expect([none.yaw, none.pitch, none.roll].map((d) => Math.abs(d) < 1e-9)).toEqual([true, true, true]);
		const [there, back] = [poseDifference(before, turned), poseDifference(turned, before)];
		for (const axis of ['yaw', 'pitch', 'roll'] as const)
			expect(Math.abs(there[axis] + back[axis])).toBeLessThan(0.15 + 0.05 * Math.abs(there[axis]));
		const seen = poseDifference(mirrored(before), mirrored(turned));
		expect([seen.yaw, seen.pitch, seen.roll].map((d) => d.toFixed(6))).toEqual(
			[-there.yaw, there.pitch, -there.roll].map((d) => d.toFixed(6))
		);
		const { prn: _prn, ...without } = before;
		expect(() => poseDifference(without, turned)).toThrow('the point prn is missing');
	});
});

describe('measures', () => {
	test('in mm they are the same however the photograph lies, if its scale is known', () => {
		const plain = frontMeasures(FACE, MM_PER_PX);
		fc.assert(
			fc.property(moved, (by) => {
				const got = frontMeasures(mapped(FACE, by.of), MM_PER_PX / by.scale);
				for (const id of FRONT_MEASURE_IDS) expect(got[id], id).toBeCloseTo(plain[id]!, 6);
			})
		);
	});
	test('in a mirror tilt and asymmetry change their sign, sides change places, and nothing else does', () => {
		const [plain, seen] = [frontMeasures(FACE, MM_PER_PX), frontMeasures(mirrored(FACE), MM_PER_PX)];
		for (const id of FRONT_MEASURE_IDS) {
			const sign = id === 'mouthTiltDegrees' || id === 'widthAsymmetry' ? -1 : 1;
			const other = id.replace(/[LR]$/, (s) => (s === 'L' ? 'R' : 'L')) as typeof id;
			const same = /(Opening|Height)[LR]$/.test(id) ? other : id;
			expect(seen[same], id).toBeCloseTo(sign * plain[id]!, 9);
		}
	});
	test('a point that is missing leaves out what needs it and nothing else; without a scale there are no mm', () => {
		for (const missing of FRONT_POINTS) {
			const { [missing]: _gone, ...rest } = FACE;
			const got = Object.keys(frontMeasures(rest, MM_PER_PX));
			const frame = ['exL', 'exR', 'enL', 'enR'].includes(missing);
			expect(got).toEqual(
				frame
					? []
					: FRONT_MEASURE_IDS.filter((id) => !(FRONT_MEASURES[id].points as readonly string[]).includes(missing))
			);
		}
		expect(Object.keys(frontMeasures(FACE, null))).toEqual([
			'mouthTiltDegrees',
			'jawToFace',
			'mouthToFace',
			'widthAsymmetry'
		]);
	});
	test('their standard errors grow with the spread of the placements, and zoom takes the pointer out', () => {
		const of = (points: Points<FrontPoint>) => frontMeasures(points, MM_PER_PX);
		const se = (times: number) =>
			propagate(of, FACE, (p) => placementSdPx(p, 1 / MM_PER_PX).map((sd) => sd * times) as unknown as Pixel);
		const [one, two] = [se(1), se(2)];
		for (const id of FRONT_MEASURE_IDS) expect(two[id]! / one[id]!, id).toBeCloseTo(2, 4);
		expect(propagate(of, FACE, () => null).faceWidth).toBe(0);
		expect(placementSdPx('pL', 12, 8)[0]).toBeLessThan(placementSdPx('pL', 12, 1)[0]);
	});
});

describe('contours', () => {
	const x = golden.smoothingSpline.x;
	test('stiffness 0 goes through every point, a great one gives the straight line', () => {
		const heights = fc.array(fc.double({ min: 50, max: 90, noNaN: true }), {
			minLength: x.length,
			maxLength: x.length
		});
		fc.assert(
			fc.property(heights, (y) => {
				const through = smoothingSpline(x, y, 0);
				y.forEach((value, i) => expect(through.fitted[i]).toBeCloseTo(value, 6));
				const line = smoothingSpline(x, y, 1e9);
				const slope = (line.at(x.at(-1)!) - line.at(x[0]!)) / (x.at(-1)! - x[0]!);
				for (const at of x) expect(line.at(at)).toBeCloseTo(line.at(x[0]!) + slope * (at - x[0]!), 4);
				expect(line.freedom).toBeCloseTo(2, 4);
				const back = signedArea(line.at, through.at, x[0]!, x.at(-1)!);
				expect(signedArea(through.at, line.at, x[0]!, x.at(-1)!)).toBeCloseTo(-back, 6);
			}),
			{ numRuns: 40 }
		);
		expect(() => smoothingSpline([0, 0, 1], [1, 2, 3], 1)).toThrow(RangeError);
	});
});

describe('entries', () => {
	test('usual ones are not asked; mm and inches come to the same question; far outside is asked without a guess', () => {
		const usual = Object.fromEntries(Object.entries(TAPE_DISTANCES).map(([id, [mean]]) => [id, mean]));
		expect(doubtsOf(usual)).toEqual({});
		expect(doubtsOf({ tragusChin: 3 })).toMatchObject({ tragusChin: { kind: 'out-of-range' } });
		expect(doubtsOf({ tragusChin: 900 })).toMatchObject({ tragusChin: { kind: 'out-of-range' } });
		expect(doubtsOf({ tragusChin: 1480 })).toMatchObject({ tragusChin: { kind: 'tenfold', suggestMm: 148 } });
		expect(doubtsOf({ tragusChin: Number.NaN })).toEqual({});
		// Of somebody known 20 mm are more than a day's difference: √(2·1.5² + 4²) = 4.53, 20 / 4.53 = 4.4.
		expect(doubtsOf({ tragusChin: 168 })).toEqual({});
		expect(doubtsOf({ tragusChin: 168 }, { tragusChin: 148 })).toMatchObject({ tragusChin: { kind: 'out-of-range' } });
	});
});
