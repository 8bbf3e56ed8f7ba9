import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { trendOf } from '../statistics/trend';
import { NODE_IDS } from '../atlas/nodes';
import { POINTS, pointByCode } from '../point/points';
import { seededRandom } from '../random';
import { SCHOOLS, schoolById } from '../school/schools';
import { scaleGrams } from '../step/levels';
import { TEMPLATES } from '../template/templates';
import { CONTEXT } from '../testing';
import { ASKED_ZONES, chanceOfDirection, judgeDirection, nextZone } from './direction';
import { alike, DRILL_IDS, progressOf } from './drills';
import { missMm, pointAt } from './findPoint';
import { judgeOrder, shuffled } from './order';
import { paceOf } from './pace';
import { pressureKPa, pressureOf, readingOf } from './pressure';
import { sidesPuzzle } from './sides';

describe('pace', () => {
	test('by hand: four taps 30, 10, 50 and 30 ms late at a second', () => {
		const result = paceOf([1030, 2010, 3050, 4030], 0, 1000)!;
		expect(result.offsetMs).toBeCloseTo(30);
		// Deviations 0, −20, 20, 0: √(800 / 3).
		expect(result.jitterMs).toBeCloseTo(16.33, 2);
		// 30, 10, 50, 30 ms off: √(4400 / 4).
		expect(result.offMs).toBeCloseTo(33.17, 2);
		expect(result.ownPaceMs).toBeCloseTo(1000);
		expect(result.missed).toBe(0);
	});
	test('a beat that was left out is counted, one tap says nothing, a pace of 0 is refused', () => {
		expect(paceOf([0, 1000, 3000], 0, 1000)!.missed).toBe(1);
		expect(paceOf([5], 0, 1000)).toBeNull();
		expect(() => paceOf([0, 1], 0, 0)).toThrow(RangeError);
	});
	test('whoever taps exactly on the beat is at 0, from wherever the beat begins', () => {
		fc.assert(
			fc.property(fc.integer({ min: 200, max: 4000 }), fc.integer({ min: -500, max: 500 }), (pace, first) => {
				const taps = Array.from({ length: 8 }, (_, i) => first + i * pace);
				expect(paceOf(taps, first, pace)).toMatchObject({ offsetMs: 0, jitterMs: 0, missed: 0 });
			})
		);
	});
});

describe('order', () => {
	test.each(SCHOOLS.filter((s) => s.opening.nodes.length > 1).map((s) => [s.title, s] as const))(
		'%s: its own order is right; turned round every pair is wrong, and it is said why',
		(_, school) => {
			const { nodes } = school.opening;
			expect(judgeOrder(school, nodes)).toMatchObject({ wrong: 0, why: null });
			const turned = judgeOrder(school, [...nodes].reverse());
			expect(turned.wrong).toBe(turned.pairs);
			expect(turned.why).toMatch(/first|before/);
			expect(() => judgeOrder(school, nodes.slice(1))).toThrow(RangeError);
		}
	);
	test('a node group is opened after the one that receives from it', () => {
		const school = schoolById('outlet-first');
		const { nodes } = school.opening;
		const swapped = [nodes[1]!, nodes[0]!, ...nodes.slice(2)];
		expect(judgeOrder(school, swapped)).toMatchObject({ wrong: 1 });
	});
	test('mixed, it is never the right order, and holds the same', () => {
		fc.assert(
			fc.property(fc.integer(), (seed) => {
				const mixed = shuffled(NODE_IDS, seededRandom(seed));
				expect([...mixed].sort()).toEqual([...NODE_IDS].sort());
				expect(mixed).not.toEqual(NODE_IDS);
			})
		);
	});
});

test('direction: the group that takes most is right, its share is said; no zone twice in a row', () => {
	for (const zone of ASKED_ZONES) {
		const answers = NODE_IDS.map((node) => judgeDirection(zone, node));
		expect(answers.filter((a) => a.right).length, zone).toBeGreaterThan(0);
		expect(answers[0]!.why).toMatch(/\d+ % to the /);
	}
	expect(judgeDirection('lower-eyelid', 'terminus').right).toBe(false);
	const random = seededRandom(4);
	let zone = nextZone(null, random);
	for (let i = 0; i < 60; i++) {
		const next = nextZone(zone, random);
		expect(next).not.toBe(zone);
		zone = next;
	}
});

test('sides: exactly one row is uneven, and it is the one that is said', () => {
	fc.assert(
		fc.property(fc.integer(), fc.constantFrom(...TEMPLATES), (seed, template) => {
			const { rows, uneven } = sidesPuzzle(template, seededRandom(seed));
			expect(rows.flatMap((r, i) => (r.left === r.right ? [] : [i]))).toEqual([uneven]);
			for (const r of rows) {
				expect([r.strokes.left.length, r.strokes.right.length]).toEqual([r.left, r.right]);
				for (const side of [r.strokes.left, r.strokes.right])
					expect(side.every((at, i) => at >= 0 && at <= 1 + 1e-9 && (i === 0 || at > side[i - 1]!))).toBe(true);
			}
			expect(Math.min(...rows.map((r) => Math.min(r.left, r.right)))).toBeGreaterThanOrEqual(0);
		})
	);
});

describe('pressure', () => {
	test('grams and kPa are each other’s inverse; 30.59 g on 1 cm² are 3 kPa', () => {
		expect(pressureKPa(30.5916, 1)).toBeCloseTo(3);
		fc.assert(
			fc.property(
				fc.double({ min: 0, max: 30, noNaN: true }),
				fc.double({ min: 0.5, max: 60, noNaN: true }),
				(k, area) => {
					expect(pressureKPa(scaleGrams(k, area), area)).toBeCloseTo(k, 9);
				}
			)
		);
		expect(() => pressureKPa(-1, 1)).toThrow(RangeError);
		expect(() => pressureKPa(1, 0)).toThrow(RangeError);
	});
	test('one figure, read by eye: 20 g on 1 cm² are 1.96 kPa, 0.11 above the middle of light; 40 g are too heavy', () => {
		const light = readingOf(20, 1, 1, CONTEXT.working);
		expect(light.within).toBe(true);
		expect(light.kPa).toBeCloseTo(1.961, 3);
		expect(light.biasKPa).toBeCloseTo(0.111, 3);
		expect(readingOf(40, 1, 1, CONTEXT.working).within).toBe(false);
		expect(() => readingOf(-1, 1, 1, CONTEXT.working)).toThrow(RangeError);
	});
	test('what comes in the first second is not counted; the rest by hand: half within, the other half too heavy', () => {
		// Light is 0.7 to 3 kPa: on 1 cm² 2 kPa are 20.39 g, 4 kPa 40.79 g.
		const at = (ms: number, kPa: number) => ({ atMs: ms, grams: scaleGrams(kPa, 1) });
		const result = pressureOf([at(0, 20), at(500, 9), at(1000, 2), at(1100, 4)], 1, 1, CONTEXT.working)!;
		expect(result).toMatchObject({ samples: 2, inBand: 0.5, leans: 'heavy' });
		expect(result.meanKPa).toBeCloseTo(3);
		expect(result.sdKPa).toBeCloseTo(Math.SQRT2);
		// The middle is 1.85: 0.15 and 2.15 off, 1.15 too heavy in the mean.
		expect(result.biasKPa).toBeCloseTo(1.15);
		expect(result.offKPa).toBeCloseTo(Math.sqrt((0.15 ** 2 + 2.15 ** 2) / 2));
		expect(result.lifted).toBe(0);
		// A hand that is lifted off is not within the level, and no part of how it presses.
		const off = pressureOf([at(0, 2), at(1000, 2), at(1100, 0), at(1200, 0), at(1300, 2)], 1, 1, CONTEXT.working)!;
		expect(off).toMatchObject({ samples: 4, inBand: 0.5, lifted: 0.5, sdKPa: 0 });
		expect(pressureOf([at(0, 2)], 1, 1, CONTEXT.working)).toBeNull();
	});
});

test('a point: put where it is, it is 0 mm off; 100 units off are 51 mm; the right side is the mirror image', () => {
	for (const point of POINTS) expect(missMm(point, 'left', point.at)).toBe(0);
	const li20 = pointByCode('LI20');
	expect(missMm(li20, 'left', [li20.at[0] + 100, li20.at[1]])).toBeCloseTo(51);
	expect(pointAt(li20, 'right')[0]).toBe(800 - li20.at[0]);
	const midline = POINTS.find((p) => p.midline)!;
	expect(pointAt(midline, 'right')).toEqual(midline.at);
});

test('only like is compared with like, what was practised last first', () => {
	const rounds = ['a', 'b', 'a', 'c', 'b'].map((what, value) => ({ what, value }));
	expect(alike(rounds).map((k) => [k.what, k.rounds.map((r) => r.value)])).toEqual([
		['b', [1, 4]],
		['c', [3]],
		['a', [0, 2]]
	]);
	expect(alike([])).toEqual([]);
});

describe('over time', () => {
	test('Theil–Sen by hand: one wild value of five does not bend it', () => {
		const trend = trendOf([
			[0, 0],
			[1, 1],
			[2, 2],
			[3, 30],
			[4, 4]
		]);
		expect(trend.slope).toBe(1);
		expect(trendOf([[0, 1]])).toMatchObject({ slope: 0, low: -Infinity, high: Infinity });
	});
	test('noise without a trend is told from a trend: about one in twenty is wrong', () => {
		let said = 0;
		for (let seed = 0; seed < 200; seed++) {
			const random = seededRandom(seed);
			const { low, high } = trendOf(Array.from({ length: 12 }, (_, i) => [i, random()] as const));
			if (low > 0 || high < 0) said++;
		}
		expect(said).toBeLessThanOrEqual(20);
		expect(said).toBeGreaterThan(0);
	});
	test('too few rounds say so; a hand that gets steadier is told with its error, one that does not as well', () => {
		expect(progressOf('pace', [])).toBe('Not practised yet.');
		expect(progressOf('pace', [9, 8])).toContain('2 of 6 rounds');
		expect(progressOf('pace', [90, 80, 72, 60, 55, 41, 30, 20])).toMatch(
			/^Getting better: off the beat −\d+ ms in ten rounds \(95 %: /
		);
		expect(progressOf('direction', [90, 80, 72, 60, 55, 41, 30, 20])).toMatch(/^Getting worse: right −/);
		expect(progressOf('point', [5, 9, 4, 8, 5, 9, 4, 8])).toMatch(/^No change that stands out from chance/);
		expect(progressOf('sides', [9, 9, 9, 9, 9, 9])).toMatch(/Guessing gives about 17 %\.$/);
		expect(progressOf('pace', [9, 9, 9, 9, 9, 9])).not.toMatch(/Guessing/);
		// Six of eleven groups or so take nothing of a zone: blind choices are seldom right.
		expect(chanceOfDirection()).toBeGreaterThan(0.05);
		expect(chanceOfDirection()).toBeLessThan(0.3);
		for (const drill of DRILL_IDS) expect(progressOf(drill, [1, 1, 1, 1, 1, 1, 1])).toMatch(/^No change/);
	});
});
