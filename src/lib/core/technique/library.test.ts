import { describe, expect, test } from 'vitest';
import { PLACE_IDS, placeOf, type PlaceRef } from '../atlas/places';
import { judge } from '../rules/judge';
import { schoolById, SCHOOLS } from '../school/schools';
import { POINT_CODES } from '../point/codes';
import { capAt, safeLevel } from '../pressure/caps';
import { levelRangeKPa, scaleGrams } from '../step/levels';
import { DEFAULT_WORKING } from '../working/defaultWorking';
import { TECHNIQUES, techniquesFor } from './library';
import { TechniqueSchema } from './technique.schema';
import { CONTEXT, sequenceOf } from '../testing';
import { makeStep } from './makeStep';
import { pressingAreaCm2 } from '../pressure/area';
import type { Step } from '../step/step.schema';
import type { Technique } from './technique.schema';
import { AIMS, CONTACTS, MOTIONS, TOOLS, type Contact } from '../vocabulary/vocabulary';

test('more than a hundred and ten techniques over all aims, motions, hands, tools and zones, each with a why of its own', () => {
	expect(TECHNIQUES.length).toBeGreaterThanOrEqual(110);
	const used = <K extends 'motion' | 'contact'>(field: K) => new Set(TECHNIQUES.map((t) => t[field]));
	expect(used('motion')).toEqual(new Set(Object.keys(MOTIONS)));
	expect([...Object.keys(CONTACTS)].filter((c) => !used('contact').has(c as never))).toEqual([]);
	expect(new Set(TECHNIQUES.flatMap((t) => (t.tool ? [t.tool.id] : [])))).toEqual(new Set(Object.keys(TOOLS)));
	const worked = new Set(TECHNIQUES.flatMap((t) => t.paths.flat().map(placeOf)));
	expect(PLACE_IDS.filter((p) => !worked.has(p))).toEqual([]);
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

describe('each technique, done its own way in the school that suits it best,', () => {
	/** What hangs on the rest of the sequence is not the technique's. */
	const OF_THE_STEP = ['direction', 'pressure', 'dose', 'body', 'inside'];
	const alone = (technique: Technique, places: readonly PlaceRef[] | undefined) => {
		const kinds = SCHOOLS.map((school) => {
			const step = makeStep(technique, { id: 'x', school, ...(places ? { places } : {}) });
			const { findings } = judge(sequenceOf([step], { school }), CONTEXT);
			return findings.filter((f) => OF_THE_STEP.includes(f.kind) && f.ruleId !== 'inside-licence').map((f) => f.key);
		});
		return kinds.reduce((a, b) => (b.length < a.length ? b : a));
	};
	test.each(TECHNIQUES.map((t) => [t.id, t] as const))('%s gives no finding', (_, technique) => {
		for (const path of technique.paths.length ? technique.paths : [undefined])
			expect(alone(technique, path)).toEqual([]);
	});
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
	expect(scaleGrams(0.7, DEFAULT_WORKING.contactAreaCm2['ring-finger'])).toBeCloseTo(7.14, 2);
	expect(scaleGrams(3, 1)).toBeCloseTo(30.59, 2);
	expect(() => scaleGrams(-1, 1)).toThrow(/pressureKPa out of range >= 0: -1/);
	expect(() => scaleGrams(1, 0)).toThrow(/areaCm2/);
	const area = (contact: Contact, tool?: Step['tool']) => pressingAreaCm2({ contact, tool }, DEFAULT_WORKING);
	const edges = (['long-convex', 'notch', 'comb', 'corner'] as const).map((edge) =>
		area('tool', { id: 'stone-plate', edge })
	);
	expect(edges).toEqual([1.5, 1, 2, 0.8]);
	const tools = (['stone-plate', 'spoon', 'roller', 'cold-globes', 'cloth'] as const).map((id) => area('tool', { id }));
	expect(tools).toEqual([6, 3, 4, 5, 60]);
	expect([area('none'), area('fist'), area('thumb-inside', { id: 'gloves' })]).toEqual([null, 12, 2.5]);
});

test('the lowest cap binds', () => {
	const step = makeStep(
		TECHNIQUES.find((t) => t.id === 'light-stroke')!,
		{ id: 'x', places: ['malar', 'zygoma'] }
	);
	expect(capAt(step, 'malar', schoolById('crown-down'))).toMatchObject({ reason: 'fluid', level: 2 });
	expect(safeLevel(step, ['lower-eyelid'], 4, schoolById('crown-down'))).toBe(1);
});

test('each says how it is done, in two lines or three of its own', () => {
	for (const { id, how } of TECHNIQUES) {
		expect(how.length, id).toBeGreaterThanOrEqual(2);
		expect(how.length, id).toBeLessThanOrEqual(3);
	}
	const shared = new Set(['point-li20']);
	const first = TECHNIQUES.filter((t) => !t.point && !shared.has(t.id)).map((t) => t.how.join(' '));
	expect(new Set(first).size).toBe(first.length);
	// No two drains of a hand share dose, pace and places.
	const drains = TECHNIQUES.filter((t) => t.aim === 'drain').map((t) => JSON.stringify([t.dose, t.paceSeconds]));
	const most = Math.max(...drains.map((d) => drains.filter((x) => x === d).length));
	expect(most).toBeLessThan(14);
});

test('every pressure point has a move, and tape comes off by one', () => {
	expect(POINT_CODES.filter((code) => !TECHNIQUES.some((t) => t.point === code))).toEqual([]);
	expect(TECHNIQUES.find((t) => t.id === 'take-off-tape')!.how.join(' ')).toMatch(/[Ll]ow angle.*Never dry/);
});

test('no path or place that a move names lets it press above a cap that all schools share', () => {
	const deepest = schoolById('release-then-drain');
	for (const t of TECHNIQUES)
		for (const place of [...t.places, ...t.paths.flat()]) {
			const made = makeStep(t, {
				id: 'x',
				places: t.shape === 'none' ? [] : [place],
				overrides: { pressure: t.pressure.max }
			});
			const cap = made.places.length ? capAt(made, place, { ...deepest, caps: { fluid: 4, muscle: 4 } }) : null;
			expect(!cap || t.pressure.max <= Math.max(cap.level, 1) || cap.reason === 'edge', `${t.id} at ${place}`).toBe(
				true
			);
		}
});

test('every shipped move is as the schema would have it, with nothing besides: it is not checked where it is used', () => {
	for (const technique of TECHNIQUES) expect(TechniqueSchema.parse(technique), technique.id).toEqual(technique);
});
