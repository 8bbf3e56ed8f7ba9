import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { faceDoubt, heldOf, meanPoints, meshPoints, type ReportedFace } from './detected';
import { hintsOf, type Stance } from './hints';
import type { FrontPoint, Pixel, Points } from './landmarks';
import { learntOffsets, withLearnt } from './learnt';
import { genericPoints } from './predict';

/** A mesh whose point number i lies at (i, 1000 − i). */
const mesh = (length: number) => Array.from({ length }, (_, i) => [i, 1000 - i, 0]);
const face = (yaw = -0.2, pitch = 5.8): ReportedFace => ({ mesh: mesh(478), yaw, pitch });

describe('what a detector reports', () => {
	test('becomes landmarks in the middle of their px; lips that meet are the mean of both', () => {
		const points = meshPoints(mesh(478));
		expect(points.prn).toEqual([4.5, 996.5]);
		expect(points.sto).toEqual([14, 987]);
		expect(points.pL).toEqual([468.5, 532.5]);
		expect(points.pR).toBeUndefined();
	});
	test('of a mirrored picture lies where it lies on the picture itself, left and right exchanged', () => {
		const [plain, mirrored] = [meshPoints(mesh(478)), meshPoints(mesh(478), 1000)];
		expect(mirrored.pR).toEqual([1000 - 468.5, 532.5]);
		expect(mirrored.enL).toEqual([1000 - plain.enR![0], plain.enR![1]]);
		expect(mirrored.prn).toEqual([1000 - 4.5, 996.5]);
	});
	test('never holds a point that a treatment moves; a mesh without irises has no pupils', () => {
		const ids = Object.keys({ ...meshPoints(mesh(478)), ...meshPoints(mesh(478), 9) });
		for (const id of ids) expect(id).toMatch(/^(se|prn|sn|ls|sto|li|en[LR]|p[LR]|al[LR]|cph[LR])$/);
		expect(meshPoints(mesh(468)).pL).toBeUndefined();
	});
	test('several looks are their mean, point by point', () => {
		expect(meanPoints([{ prn: [1, 2] }, { prn: [3, 6], se: [5, 5] }, {}])).toEqual({ prn: [2, 4], se: [5, 5] });
		expect(meanPoints([])).toEqual({});
	});
	test('angles run the other way and short: 4.2 more is 5 degrees less', () => {
		const plain = heldOf(face(), {});
		expect([plain.yaw, plain.pitch, plain.roll].map(Math.abs)).toEqual([0, 0, 0]);
		expect(heldOf(face(-0.2 - 4.2), {}).yaw).toBeCloseTo(5, 9);
		expect(heldOf(face(-0.2, 5.8 - 8.9), {}).pitch).toBeCloseTo(10, 9);
		expect(heldOf(face(), { enL: [200, 110], enR: [100, 10] }).roll).toBeCloseTo(45, 9);
	});
	test('none, several and one that looks away are doubted', () => {
		expect([[], [face(), face()], [face(30)], [face(-3)]].map(faceDoubt)).toEqual(['none', 'several', 'away', null]);
	});
});

const stance = (more: Partial<Stance> = {}): Stance => ({
	yaw: 0,
	pitch: 0,
	roll: 0,
	size: 0.15,
	light: { level: -0.7, side: -0.8, height: 0 },
	...more
});
describe('hints', () => {
	test('say the two that matter most, the worst first, and nothing where all is as before', () => {
		expect(hintsOf(stance(), stance())).toEqual([]);
		expect(hintsOf(stance({ yaw: 3, pitch: 9, size: 0.2 }), stance())).toEqual([
			'A little farther away.',
			'Chin a little down.'
		]);
		expect(hintsOf(stance({ yaw: -3 }), stance())).toEqual(['Turn a little to her left.']);
	});
	test('without an earlier one the head is only to be held straight', () => {
		expect(hintsOf(stance({ yaw: 3, size: 0.4, light: null }), null)).toEqual([]);
		expect(hintsOf(stance({ pitch: -6 }), null)).toEqual(['Chin a little up.']);
	});
	test('light that comes from elsewhere or is darker is said', () => {
		const lit = (light: Stance['light']) => hintsOf(stance({ light }), stance());
		expect(lit({ level: -0.7, side: 0.6, height: 0 })).toEqual(['The light comes more from her left than before.']);
		expect(lit({ level: -1.2, side: -0.8, height: 0 })).toEqual(['More light: it is darker than before.']);
	});
	test('the opposite difference asks for the opposite', () => {
		const opposite: Record<string, string> = { left: 'right', right: 'left', up: 'down', down: 'up' };
		fc.assert(
			fc.property(
				fc.double({ min: -12, max: 12, noNaN: true }),
				fc.double({ min: -12, max: 12, noNaN: true }),
				(yaw, pitch) => {
					const [there, back] = [
						hintsOf(stance({ yaw, pitch }), stance()),
						hintsOf(stance({ yaw: -yaw, pitch: -pitch }), stance())
					];
					expect(back).toEqual(there.map((h) => h.replace(/left|right|up|down/, (w) => opposite[w]!)));
				}
			),
			{ numRuns: 60 }
		);
	});
});

describe('corrections', () => {
	const front = genericPoints('front') as Points<FrontPoint>;
	const moved = (by: Pixel, scale = 1): Points =>
		Object.fromEntries(
			Object.entries(front).map(([id, [x, y]]) => [id, [scale * (x + by[0]), scale * (y + by[1])]])
		) as Points;
	const suggested = { enL: front.enL!, enR: front.enR!, prn: front.prn! };

	test('are learnt from two photographs on, in the measure of the face, and put the next suggestion right', () => {
		const corrected = (scale: number) => ({
			suggested: Object.fromEntries(
				Object.entries(suggested).map(([id, [x, y]]) => [id, [scale * x, scale * y]])
			) as Points,
			points: moved([6, -9], scale)
		});
		expect(learntOffsets([corrected(1)])).toEqual({});
		const offsets = learntOffsets([corrected(1), corrected(0.5)]);
		const put = withLearnt(suggested, offsets);
		for (const id of ['enL', 'enR', 'prn'] as const) {
			expect(put[id]![0], id).toBeCloseTo(front[id]![0] + 6, 1);
			expect(put[id]![1], id).toBeCloseTo(front[id]![1] - 9, 1);
		}
	});
	test('nothing is learnt without the eyes, and nothing moved without them', () => {
		expect(learntOffsets([1, 2].map(() => ({ suggested, points: { prn: [1, 2] } })))).toEqual({});
		expect(withLearnt({ prn: [5, 5] }, { prn: [1, 1] })).toEqual({ prn: [5, 5] });
	});
});
