import { describe, expect, test } from 'vitest';
import { PROGRAMME_NAMES, programmeOf, startGrade, type ProgrammeName } from './fixtures';
import { faceIndex, faceNetwork } from './network';
import { PairedRun } from './paired';
import { FLOW_PARAMETER_NAMES, FLOW_PARAMETERS } from './parameterTable';

/** Fixed before anything was counted. */
const SEED = 20261126;
const GRADES = Float64Array.from({ length: faceNetwork().zoneCount }, (_, zone) => startGrade(zone));

/** Per cent of draws in which the first leaves less than the second, ten minutes after: the figures to be met. */
const SHARES: Record<string, number> = {
	'a>c': 81.8,
	'a>b': 99.5,
	'a>b2': 100,
	'a>d': 100,
	'a>h': 99.5,
	'a>g': 81.6,
	'a>g2': 100,
	'a>f': 91,
	'a>e': 100,
	'a>i': 100,
	'k>a': 68.8,
	'k>c': 81.8,
	'c>b': 99.5,
	'c>b2': 100,
	'c>e': 100,
	'c>f': 85,
	'f>e': 100,
	'b>j': 100,
	'e2>j': 0,
	'h>j': 100,
	'a>j': 100
};

describe('a thousand draws', () => {
	const run = new PairedRun({ programmes: PROGRAMME_NAMES.map(programmeOf), grades: GRADES, draws: 1000, seed: SEED });
	run.advance(1000);
	const falls = (name: string) => run.figures.fallMl.all[PROGRAMME_NAMES.indexOf(name as ProgrammeName)]!;

	test.each(Object.entries(SHARES))('%s in %s %% of them', (pair, expected) => {
		const [one, other] = pair.split('>').map((name) => falls(name)) as [Float64Array, Float64Array];
		const share = (100 * one.filter((ml, i) => ml > other[i]!).length) / one.length;
		expect(Math.abs(share - expected)).toBeLessThanOrEqual(expected >= 90 ? 4 : 7);
	});
	test('every parameter is drawn over its whole range, evenly in its logarithm', () => {
		for (const name of FLOW_PARAMETER_NAMES) {
			const { min, max } = FLOW_PARAMETERS[name];
			const column = run.figures.parameters[name];
			const below = column.filter((x) => x < Math.sqrt(min * max)).length;
			expect(Math.min(...column)).toBeGreaterThanOrEqual(min);
			expect(Math.max(...column)).toBeLessThanOrEqual(max);
			expect(below).toBeGreaterThan(430);
			expect(below).toBeLessThan(570);
		}
	});
});

describe('draws', () => {
	const few = (seed: number, names: ProgrammeName[] = ['a'], draws = 9) => {
		const run = new PairedRun({ programmes: names.map(programmeOf), grades: GRADES, draws, seed, zones: ['jawline'] });
		expect(run.advance(2)).toBe(true);
		expect(run.done).toBeGreaterThanOrEqual(2);
		expect(run.done).toBeLessThan(6);
		expect(run.advance(100)).toBe(false);
		return run.figures;
	};
	test('the same seed gives the same figures, however the work is cut up and whatever else is compared', () => {
		expect(few(7)).toEqual(few(7));
		expect(few(7, ['j', 'a']).fallMl.all[1]).toEqual(few(7).fallMl.all[0]);
		expect(few(7, ['a'], 7).startMl).toEqual(few(7).startMl.slice(0, 7));
		expect(few(8).fallMl.all[0]).not.toEqual(few(7).fallMl.all[0]);
	});
	test('parts add up: the face is part of all, the chosen zones part of the face', () => {
		const { startMl, outcomeStartMl: part } = few(3);
		startMl.forEach((all, i) => {
			expect(part.all[i]).toBe(all);
			expect(all).toBeGreaterThan(part.face[i]!);
			expect(part.face[i]!).toBeGreaterThan(part.zones[i]! + part.eyes[i]!);
		});
	});
	test('a face is the same on both sides: a symmetric start is twice one side', () => {
		const run = new PairedRun({
			programmes: [programmeOf('a')],
			grades: GRADES,
			draws: 1,
			seed: 1,
			zones: ['lower-eyelid']
		});
		run.advance(1);
		expect(run.figures.outcomeStartMl.zones[0]).toBe(run.figures.outcomeStartMl.eyes[0]);
		expect(faceIndex('lower-eyelid', 'left')).not.toBe(faceIndex('lower-eyelid', 'right'));
	});
	test('nothing to compare, and too many draws, are refused', () => {
		const input = { programmes: [programmeOf('j')], grades: GRADES, draws: 10, seed: 1 };
		expect(() => new PairedRun({ ...input, programmes: [] })).toThrow(/at least one sequence/);
		for (const draws of [0, 1.5, 10_001])
			expect(() => new PairedRun({ ...input, draws })).toThrow(`1..10000: ${draws}`);
	});
});
