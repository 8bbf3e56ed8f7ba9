import { expect, test } from 'vitest';
import { comparePair } from '../../core/measure/compare';
import { driftSentence, poseDrift } from '../../core/measure/poseDrift';
import type { PointedPhoto } from '../../core/measure/photo.schema';
import { CameraSchema } from './face.schema';
import { someFaces } from './heads';
import { studyHead } from './head';
import { GRID, NO_CHANGE, normalFrom, pointedPhoto, PRACTISED, recovered } from './recovery';
import { truthOf } from './truth';

/** Three standard errors of a share: a test with a fixed seed may lie so far from the figure. */
const slack = (share: number, n: number) => 3 * Math.sqrt((share * (1 - share)) / n);

test('known changes of made-up faces are found within their stated error', () => {
	const found = recovered(someFaces(10, 5), [...GRID, ...NO_CHANGE, ...NO_CHANGE], 3);
	const sum = (of: 'asked' | 'inside' | 'still' | 'falsely') =>
		Object.values(found.measures).reduce((n, m) => n + m[of], 0);
	const [inside, falsely] = [sum('inside') / sum('asked'), sum('falsely') / sum('still')];
	// Measures of one pair hang together: the pairs are what is counted.
	expect(inside).toBeGreaterThan(0.92 - slack(0.94, found.pairs));
	expect(inside).toBeLessThan(0.99);
	expect(falsely).toBeLessThan(0.06 + slack(0.06, found.pairs));
	expect(found.anyFalse / found.stillPairs).toBeLessThan(0.05 + slack(0.05, found.stillPairs));
}, 120_000);

test('a head that is turned or tilted by more than 6 degrees is refused, a straight one is not', () => {
	const normal = normalFrom(8);
	const straight = { ...PRACTISED, poseSdDegrees: 0 };
	for (const face of someFaces(6, 9)) {
		const truth = truthOf(studyHead(face));
		const before = pointedPhoto(truth, normal, straight);
		expect(comparePair(before, pointedPhoto(truth, normal, straight)).refused).toBe(false);
		for (const turn of [{ yaw: 10 }, { pitch: -10 }]) {
			const camera = CameraSchema.parse({ distanceMm: 900, ...turn });
			const turned = comparePair(before, { ...before, points: truth.front(camera) });
			expect(turned.refused, JSON.stringify(turn)).toBe(true);
			expect(turned.measures.every((m) => m.verdict === 'not-comparable' && m.why === 'pose')).toBe(true);
		}
	}
}, 60_000);

test('two profiles of an unchanged head are called changed no more often than they say', () => {
	const normal = normalFrom(14);
	const taking = { ...PRACTISED, poseSdDegrees: 1.75 };
	let [asked, falsely, pairs] = [0, 0, 0];
	for (const face of someFaces(12, 31)) {
		const truth = truthOf(studyHead(face));
		for (let i = 0; i < 4; i++, pairs++) {
			const [before, after] = [0, 1].map(() => pointedPhoto(truth, normal, taking, 'profile')) as [
				PointedPhoto,
				PointedPhoto
			];
			for (const m of comparePair(before, after, { view: 'profile' }).measures) {
				asked++;
				if (m.p <= 0.05) falsely++;
			}
		}
	}
	expect(asked).toBeGreaterThan(6 * pairs * 0.9);
	expect(falsely / asked).toBeLessThan(0.06 + slack(0.06, pairs));
}, 60_000);

test('a chin that is steadily held higher afterwards is noticed, one that is held now so, now so is not', () => {
	const normal = normalFrom(21);
	const [face] = someFaces(1, 17);
	const truth = truthOf(studyHead(face!));
	const pair = (pitch: number) => {
		const before = pointedPhoto(truth, normal, { ...PRACTISED, poseSdDegrees: 0.5 });
		const camera = CameraSchema.parse({ widthPx: 1200, heightPx: 1600, distanceMm: 900, pitch });
		return [before, { ...before, points: truth.front(camera) }] as const;
	};
	const steady = poseDrift([3, 3.5, 4, 3, 3.4].map(pair));
	expect(steady.map((d) => d.axis)).toEqual(['pitch']);
	expect(steady[0]!.middle).toBeGreaterThan(2);
	expect(driftSentence(steady[0]!)).toMatch(/^Over 5 sessions the chin is higher after than before, by \d\.\d°/);
	expect(poseDrift([3, -3, 2, -2, 0].map(pair))).toEqual([]);
	expect(poseDrift([4, 4].map(pair))).toEqual([]);
}, 60_000);
