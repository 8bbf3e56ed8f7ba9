import { describe, expect, test } from 'vitest';
import { EngineFaces } from './faces';
import { PROGRAMME_NAMES, programmeOf, startGrade } from './fixtures';
import { LaneFaces } from './laneFaces';
import { faceNetwork } from './network';
import { joinFigures, PairedRun, type PairedInput } from './paired';

const GRADES = Float64Array.from({ length: faceNetwork().zoneCount }, (_, zone) => startGrade(zone));
const lanes = (...of: ConstructorParameters<typeof EngineFaces>) => LaneFaces.open(...of)!;
const engine = (...of: ConstructorParameters<typeof EngineFaces>) => new EngineFaces(...of);

describe('four faces side by side in WebAssembly', () => {
	const input: PairedInput = {
		programmes: PROGRAMME_NAMES.map(programmeOf),
		grades: GRADES,
		draws: 23,
		seed: 77,
		zones: ['jawline', 'chin']
	};
	const figuresBy = (open: typeof lanes | typeof engine, more: Partial<PairedInput> = {}) => {
		const run = new PairedRun({ ...input, ...more }, open);
		while (run.advance(5));
		return run.figures;
	};
	test('the kernel runs here', () => expect(LaneFaces.open(faceNetwork(), 4)).not.toBeNull());
	test.each([4, 2])('every figure is that of the engine to the last bit, passive steps of %d s', (stepSeconds) => {
		expect(figuresBy(lanes, { stepSeconds })).toEqual(figuresBy(engine, { stepSeconds }));
	});
	test('stretches of faces joined are all of them, whoever runs which', () => {
		const parts = [
			figuresBy(lanes, { draws: 6 }),
			figuresBy(engine, { draws: 10, fromDraw: 6 }),
			figuresBy(lanes, { draws: 7, fromDraw: 16 })
		];
		expect(joinFigures(parts)).toEqual(figuresBy(lanes));
	});
});
