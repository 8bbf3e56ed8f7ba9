import { expect, test } from 'vitest';
import { PLACE_IDS } from '../atlas/places';
import { schoolById } from '../school/schools';
import { capAt, safeLevel } from '../pressure/caps';
import { levelRangeKPa, scaleGrams } from '../pressure/levels';
import { DEFAULT_WORKING } from '../working/working.schema';
import { TECHNIQUES, techniquesFor } from './library';
import { makeStep } from './makeStep';
import { AIMS, CONTACT_AREA_CM2, CONTACTS } from './vocabulary';

test('about twenty techniques serve all thirteen aims, each with a why of its own', () => {
	expect(TECHNIQUES.length).toBeGreaterThanOrEqual(20);
	expect(new Set(TECHNIQUES.map((t) => t.aim))).toEqual(new Set(Object.keys(AIMS)));
	expect(new Set(TECHNIQUES.map((t) => t.why)).size).toBe(TECHNIQUES.length);
	expect(new Set(TECHNIQUES.map((t) => t.id)).size).toBe(TECHNIQUES.length);
});

test('each makes a valid step wherever it is offered, within the caps that may hurt', () => {
	for (const place of PLACE_IDS)
		for (const technique of techniquesFor([place])) {
			const step = makeStep(technique, { id: 'x', places: [place] });
			expect(step.aim).toBe(technique.aim);
			expect(step.dose.min).toBeLessThanOrEqual(step.dose.target);
		}
	const [patter] = techniquesFor(['lower-eyelid']).filter((t) => t.id === 'patter');
	expect(patter!.pressure.default).toBeLessThanOrEqual(1);
});

test('strokes are offered for two places, spots for one; special techniques first', () => {
	expect(techniquesFor(['lower-eyelid', 'preauricular'])[0]!.id).toBe('ring-finger-stroke');
	expect(techniquesFor(['n:terminus'])[0]!.id).toBe('open-nodes');
	expect(techniquesFor(['lower-eyelid', 'temple']).every((t) => t.shape === 'stroke')).toBe(true);
	expect(techniquesFor([])).toEqual([]);
});

test('pressure in figures: light is 0.7 to 3 kPa, on one fingertip of 1 cm² about 7 to 31 g', () => {
	expect(levelRangeKPa(1, DEFAULT_WORKING)).toEqual([0.7, 3]);
	expect(levelRangeKPa(0, DEFAULT_WORKING)).toEqual([0, 0.7]);
	expect(scaleGrams(0.7, CONTACT_AREA_CM2['ring-finger']!)).toBeCloseTo(7.14, 2);
	expect(scaleGrams(3, 1)).toBeCloseTo(30.59, 2);
	expect(() => scaleGrams(-1, 1)).toThrow(/pressureKPa out of range >= 0: -1/);
	expect(() => scaleGrams(1, 0)).toThrow(/areaCm2/);
	expect(Object.keys(CONTACT_AREA_CM2)).toEqual(Object.keys(CONTACTS));
});

test('the lowest cap binds', () => {
	const step = makeStep(
		TECHNIQUES.find((t) => t.id === 'light-stroke')!,
		{ id: 'x', places: ['malar', 'zygoma'] }
	);
	expect(capAt(step, 'malar', schoolById('crown-down'))).toMatchObject({ reason: 'fluid', level: 2 });
	expect(safeLevel(step, ['lower-eyelid'], 4, schoolById('crown-down'))).toBe(1);
});
