import { describe, expect, test } from 'vitest';
import { chiSquareQuantile, normalQuantile, tBelow, tQuantile } from '../statistics/distributions';
import { gradeThreshold, signFlip, signTest } from '../statistics/grades';
import { kendall, trendOf, type Point } from '../statistics/trend';
import { changeTest, holm, typicalError, type TypicalError } from '../statistics/typicalError';
import { signedArea, smoothingSpline } from './contour';
import { FRONT_MEASURE_IDS, frontMeasures } from './front';
import golden from './golden.json' with { type: 'json' };
import type { Pixel, Points } from './landmarks';
import { doubtsOf } from './plausible';
import { DEPTHS, poseDifference } from './pose';
import { profileMeasures } from './profile';
import { propagate } from './propagate';
import { similarityOnto } from './similarity';

/** Figures of a prototype, worked out apart from this code; equal to one part in a thousand million. */
function close(got: unknown, want: unknown, at = ''): void {
	if (typeof want === 'number' && typeof got === 'number') {
		const off = Math.abs(got - want);
		expect(off <= golden.tolerance * Math.max(1, Math.abs(want)) || got === want, `${at}: ${got} is not ${want}`).toBe(
			true
		);
	} else if (Array.isArray(want)) want.forEach((w, i) => close((got as unknown[])[i], w, `${at}[${i}]`));
	else if (typeof want === 'object' && want !== null)
		for (const [key, w] of Object.entries(want)) close((got as Record<string, unknown>)[key], w, `${at}.${key}`);
	else expect(got, at).toEqual(want);
}
const pixels = (list: readonly (readonly number[])[]) => list as unknown as Pixel[];
const pointsOf = (raw: object) => raw as unknown as Points;

describe('where photographs are laid onto one another', () => {
	test('similarity', () => {
		const { A, B, w, out } = golden.procrustes;
		const { move, rollDegrees, squares, ...same } = similarityOnto(pixels(A), pixels(B), w);
		close({ ...same, t: move, rollDeg: rollDegrees, sumSq: squares }, out);
	});
	test('pose', () => {
		const { before, after, distMm, depth, out } = golden.posePair;
		expect(DEPTHS).toEqual(depth);
		const got = poseDifference(pointsOf(before), pointsOf(after), { distanceMm: distMm });
		const named = { dYaw: got.yaw, dPitch: got.pitch, dRoll: got.roll, scaleRatio: got.scale };
		close({ ...named, seYaw: got.yawSe, sePitch: got.pitchSe, rms: got.rms }, out);
	});
});

describe('what is measured', () => {
	test('front', () => {
		const { landmarks, mmPerPx, out } = golden.measuresFront;
		const { mouthTiltDegrees, widthAsymmetry, ...same } = frontMeasures(pointsOf(landmarks), mmPerPx);
		close({ ...same, mouthTiltDeg: mouthTiltDegrees, widthAsym: widthAsymmetry }, out);
		expect(Object.keys(out)).toHaveLength(FRONT_MEASURE_IDS.length);
	});
	test('profile', () => {
		const { landmarks, mmPerPx, out } = golden.measuresProfile;
		const got = profileMeasures(pointsOf(landmarks), mmPerPx);
		close(
			{
				cervicalDepthMm: got.cervicalDepth,
				cervicomentalDeg: got.cervicomentalDegrees,
				chinNeckMm: got.chinNeck,
				tragusChinMm: got.tragusChin,
				jawEdgeDeg: got.jawEdgeDegrees
			},
			out
		);
	});
	test('errors pass through: √(2(0.6²·1.2² + 0.8²·0.8²)) for two points in the direction (0.6, 0.8)', () => {
		const { a, b, sdX, sdY, out } = golden.propagate;
		const apart = ({ chL, chR }: Points) => ({ apart: Math.hypot(chL![0] - chR![0], chL![1] - chR![1]) });
		const se = propagate(apart, { chL: pixels([a])[0]!, chR: pixels([b])[0]! }, () => [sdX, sdY]);
		// Central differences are exact to the square of their step.
		expect(se.apart).toBeCloseTo(out, 6);
	});
	test('a smooth contour, and the area between two', () => {
		const { x, y, lambda, out } = golden.smoothingSpline;
		const spline = smoothingSpline(x, y, lambda);
		close(
			{
				f: spline.fitted,
				edf: spline.freedom,
				rss: spline.squares,
				gcv: spline.gcv,
				at_0_7: spline.at(0.7)
			},
			out
		);
		const area = golden.signedArea;
		const [before, after] = [area.before, area.after].map((r) => smoothingSpline(area.x, r, area.lambda));
		close(signedArea(before!.at, after!.at, area.from, area.to), area.out);
		const ring = golden.signedAreaCircle;
		close(
			signedArea(
				() => ring.r1,
				() => ring.r2,
				ring.from,
				ring.to
			),
			ring.byHand
		);
	});
	test('entries that are asked again', () => {
		for (const { entry, history, out } of golden.plausible) {
			const got = doubtsOf(entry, history as object);
			const named = Object.entries(got).map(([id, { ...doubt }]) =>
				'suggestMm' in doubt ? [id, { kind: doubt.kind, suggest: doubt.suggestMm, z: doubt.z }] : [id, doubt]
			);
			close(Object.fromEntries(named), out);
			expect(Object.keys(got)).toEqual(Object.keys(out));
		}
	});
});

describe('whether it is real', () => {
	test('distributions', () => {
		const { tInv, chi2Inv, normInv, tCdf } = golden.distributions;
		for (const [p, df, out] of tInv) close(tQuantile(p!, df!), out);
		for (const [p, df, out] of chi2Inv) close(chiSquareQuantile(p!, df!), out);
		for (const [p, out] of normInv) close(normalQuantile(p!), out);
		for (const [t, df, out] of tCdf) close(tBelow(t!, df!), out);
	});
	const named = ({ interval, mdcInterval, ...same }: TypicalError) => ({ ...same, ci: interval, mdcCi: mdcInterval });
	test('typical error, alone and mixed with a working value', () => {
		const { sets, out } = golden.typicalError;
		close(named(typicalError(sets, null)), out);
		const shrunk = golden.typicalErrorShrunk;
		close(named(typicalError(shrunk.sets, shrunk.prior)), shrunk.out);
	});
	test('a change, of single readings and of means of three', () => {
		const { delta, te, df, out, mean3 } = golden.changeTest;
		const got = (n: number) => {
			const { interval, ...same } = changeTest(delta, { te, df }, n, n);
			return { ...same, ci: interval };
		};
		close(got(1), out);
		close(got(3), mean3);
	});
	test('several questions at once', () => close(holm(golden.holm.p), golden.holm.byHand));
	test('trend, at one hour and by hour; ties', () => {
		const points = (g: { t: readonly number[]; y: readonly number[] }) => g.t.map((x, i): Point => [x, g.y[i]!]);
		const seen = ({ slope, low, high, p, s, variance }: ReturnType<typeof trendOf>) => ({
			slope,
			lo: low,
			hi: high,
			p,
			S: s,
			varS: variance
		});
		const without = ({ pairs: _pairs, ...out }: { pairs: number }) => out;
		close(seen(trendOf(points(golden.trend))), without(golden.trend.out));
		const { bins, out } = golden.trendBins;
		close(seen(trendOf(points(golden.trendBins), { bins })), without(out));
		const { s, variance } = kendall(points(golden.kendallTies));
		expect([s, variance]).toEqual([golden.kendallTies.out.S, golden.kendallTies.out.varS]);
	});
	test('grades', () => {
		const { steps, share } = gradeThreshold(golden.gradeThreshold.counts);
		close({ k: steps, tail: share }, golden.gradeThreshold.out);
		const { p, higher, lower } = signTest(golden.signTest.d);
		close({ p, pos: higher, neg: lower }, golden.signTest.out);
		close(
			signFlip(golden.signFlipExact.D, () => 0),
			golden.signFlipExact.out
		);
	});
});
