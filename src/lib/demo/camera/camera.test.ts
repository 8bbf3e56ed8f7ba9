import { describe, expect, it } from 'vitest';
import golden from '../../core/measure/golden.json' with { type: 'json' };
import { landmarkFaults, missingPoints } from '../../core/measure/faults';
import { CameraSchema, StudyFaceSchema, type StudyCameraInput } from './face.schema';
import { studyHead } from './head';
import { photograph, sitterOf } from './picture';
import { projectorOf } from './projection';
import { truthOf } from './truth';

const SMALL = { widthPx: 90, heightPx: 120 };
const camera = (change: StudyCameraInput = {}) => CameraSchema.parse({ ...SMALL, ...change });
const sitter = sitterOf(StudyFaceSchema.parse({}), 0.3);
const mean = (data: Uint8ClampedArray) => data.reduce((a, b) => a + b, 0) / data.length;

describe('the simulated camera', () => {
	it('projects as the worked example says', () => {
		const { camera: given, points } = golden.projection;
		const { width, height, cx, cy, fieldMm, distanceMm, yaw, pitch, roll } = given;
		const project = projectorOf(
			camera({ widthPx: width, heightPx: height, centreMm: [cx, cy], fieldMm, distanceMm, yaw, pitch, roll })
		);
		for (const { xyz, px } of points) {
			const [x, y] = project(...(xyz as [number, number, number]));
			expect(x).toBeCloseTo(px[0]!, 9);
			expect(y).toBeCloseTo(px[1]!, 9);
		}
	});

	it('gives the same bytes for the same seed, and only other grain for another', () => {
		const [a, b, c] = [1, 1, 2].map((seed) => photograph(sitter, camera({ seed })).data) as [
			Uint8ClampedArray,
			Uint8ClampedArray,
			Uint8ClampedArray
		];
		expect(a).toEqual(b);
		expect(a).not.toEqual(c);
		expect(Math.abs(mean(a) - mean(c))).toBeLessThan(0.5);
		const still = [3, 4].map((seed) => photograph(sitter, camera({ seed, noise: 0 })).data);
		expect(still[0]).toEqual(still[1]);
	});

	it('is darker in less light, and lit from the side that the light comes from', () => {
		const half = (data: Uint8ClampedArray, right: boolean) => {
			const cheek = data.filter((_, i) => {
				const [x, y] = [Math.trunc(i / 4) % SMALL.widthPx, Math.trunc(i / 4 / SMALL.widthPx)];
				return y > 40 && y < 80 && (right ? x > 50 && x < 65 : x > 25 && x < 40) && i % 4 === 0;
			});
			return mean(cheek);
		};
		const left = photograph(sitter, camera({ light: { azimuth: -60 } })).data;
		const right = photograph(sitter, camera({ light: { azimuth: 60 } })).data;
		expect(half(left, false)).toBeGreaterThan(half(left, true) + 10);
		expect(half(right, true)).toBeGreaterThan(half(right, false) + 10);
		expect(mean(photograph(sitter, camera({ light: { level: 0.5 } })).data)).toBeLessThan(mean(left) - 20);
	});

	it('hears of a face or a camera that cannot be, by its field', () => {
		expect(StudyFaceSchema.safeParse({ bagL: 9 }).error?.issues[0]?.path).toEqual(['bagL']);
		expect(CameraSchema.safeParse({ widthPx: 9000 }).error?.issues[0]?.path).toEqual(['widthPx']);
	});
});

describe('the truth of its faces', () => {
	const truth = truthOf(studyHead(StudyFaceSchema.parse({})));
	const big = (change: StudyCameraInput = {}) => camera({ widthPx: 1200, heightPx: 1600, ...change });

	it('has every landmark of front and profile, in order', () => {
		const front = truth.front(big());
		expect(missingPoints(front, 'front')).toEqual([]);
		expect(landmarkFaults(front, 'front')).toEqual([]);
		const profile = truth.profile(big({ yaw: -90, centreMm: [-22, 44] }));
		expect(missingPoints(profile, 'profile')).toEqual([]);
		expect(landmarkFaults(profile, 'profile')).toEqual([]);
	});
	it('is symmetric where the face is', () => {
		const front = truth.front(big());
		for (const id of ['en', 'ex', 'ch', 'zy', 'go', 'jaw3', 'jaw11'] as const) {
			const [l, r] = [front[`${id}L`]!, front[`${id}R`]!];
			expect(l[0] + r[0]).toBeCloseTo(1200, 3);
			expect(l[1]).toBeCloseTo(r[1], 3);
		}
		expect(front.me![0]).toBeCloseTo(600, 3);
	});
	it('mirrors the right profile', () => {
		const left = truth.seen(big({ yaw: -90, centreMm: [-22, 44] }));
		const right = truth.seen(big({ yaw: 90, centreMm: [22, 44] }));
		for (const id of ['g', 'prn', 'me', 'c', 'go'] as const) {
			expect(right[id]![0]).toBeCloseTo(1200 - left[id]![0], 6);
			expect(right[id]![1]).toBeCloseTo(left[id]![1], 6);
		}
	});
	it('moves what is moved: a lid by its mm, and nothing of the other eye', () => {
		const at = (openL: number) => truthOf(studyHead(StudyFaceSchema.parse({ openL }))).front(big());
		const [was, is] = [at(0), at(1.5)];
		const pxPerMm = (was.exL![0] - was.exR![0]) / 93;
		expect((was.psL![1] - is.psL![1]) / pxPerMm).toBeCloseTo(1.5, 1);
		expect(is.psR).toEqual(was.psR);
	});
});
