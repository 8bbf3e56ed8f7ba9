import { needsFilm } from '../step/levelsOf';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { ZONE_AREA_CM2 } from '../atlas/areas';
import { expand } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import type { Step } from '../step/step.schema';
import { stepsOf } from '../sequence/walk';
import { anySequence, CONTEXT, pump, sequenceOf, step } from '../testing';
import { filmFactsOf, filmLineOf, mlFor, zonesUnder } from './film';
import { MediumSchema } from '../medium/medium.schema';
import { amountText, MEDIA, mediumById } from '../medium/media';

const W = CONTEXT.working;

const film = (sequence: Sequence) => {
	const events = expand(sequence, CONTEXT);
	const byId = new Map(stepsOf(sequence).map((s) => [s.step.id, s]));
	return { line: filmLineOf(sequence, events, byId, W).points, dry: filmFactsOf(sequence, events, byId, W).dry };
};
const of = (...steps: Step[]) => film(sequenceOf(steps));
const wait = (seconds: number) =>
	step('wait', ['nape'], { aim: 'release', dose: { kind: 'seconds', min: seconds, target: seconds, max: seconds } });
const oil = (ml: number, id = 'light-oil') =>
	step('oil', [], {
		aim: 'prepare',
		motion: 'sweep',
		medium: { id, ml },
		dose: { kind: 'seconds', min: 1, target: 1, max: 1 }
	});
const slide = (id = 's', change: Partial<Step> = {}) => step(id, ['malar', 'zygoma'], change);

describe('how much', () => {
	test('by hand: both cheeks’ apples and cheekbones at 1 µl/cm², in drops of 0.05 ml', () => {
		const cm2 = 2 * (ZONE_AREA_CM2.malar + ZONE_AREA_CM2.zygoma);
		expect(cm2).toBeCloseTo(2 * (9.79 + 11.7), 1);
		expect(mlFor(slide(), W)).toBeCloseTo(0.05, 9);
		expect(mlFor({ places: [], side: 'both' }, W)).toBeGreaterThan(0.5);
		expect(mlFor({ places: [], side: 'left' }, W)).toBeLessThan(mlFor({ places: [], side: 'both' }, W));
	});
	test('in words: drops, then millilitres with pumps', () => {
		expect([0.01, 0.05, 0.45, 1, 2].map((ml) => amountText(ml, W))).toEqual([
			'1 drop',
			'1 drop',
			'9 drops',
			'20 drops',
			'2 ml (20 pumps)'
		]);
	});
	test('media: each valid, oils last longer than serum, unknown is a light oil', () => {
		for (const m of MEDIA) expect(MediumSchema.safeParse(m).success).toBe(true);
		expect(mediumById('light-oil').halfLifeSeconds).toBe(720);
		expect(mediumById('serum').halfLifeSeconds).toBeLessThan(mediumById('cream').halfLifeSeconds);
		expect(mediumById('mystery').id).toBe('light-oil');
		expect(mediumById('almond-oil').allergens).toEqual(['nuts']);
	});
});

describe('who needs it', () => {
	test('strokes do; pumps, holds, clients, brushes, rollers and the inside of the cheek do not', () => {
		expect(needsFilm(slide())).toBe(true);
		expect(needsFilm(pump('o', 'terminus'))).toBe(false);
		expect(needsFilm(step('h', ['nape'], { aim: 'release' }))).toBe(false);
		expect(needsFilm(slide('c', { by: 'client' }))).toBe(false);
		expect(needsFilm(slide('b', { contact: 'tool', tool: { id: 'soft-brush' } }))).toBe(false);
		expect(needsFilm(slide('r', { contact: 'tool', tool: { id: 'roller' } }))).toBe(false);
		expect(needsFilm(slide('i', { contact: 'thumb-inside', tool: { id: 'gloves' } }))).toBe(false);
		expect(needsFilm(slide('t', { contact: 'tool', tool: { id: 'spoon' } }))).toBe(true);
	});
	test('a node group lies under the skin of a zone', () => {
		expect(zonesUnder(['n:submandibular', 'chin:left'])).toEqual([
			{ zone: 'under-jaw', own: null },
			{ zone: 'chin', own: 'left' }
		]);
	});
});

describe('how long it lasts', () => {
	test('without any, the stroke is dry from the start; with oil it is not', () => {
		expect(of(slide()).dry).toEqual([{ stepId: 's', seconds: 0, place: 'malar', kind: 'none' }]);
		expect(of(oil(0.8), slide()).dry).toEqual([]);
	});
	test('by hand: a half-life halves it, four leave a sixteenth: too little for a hand', () => {
		const [, , , after] = of(oil(0.6), wait(720)).line;
		const [, start] = of(oil(0.6)).line;
		expect(after![1] / start![1]).toBeCloseTo(0.5, 2);
		expect(of(oil(0.8), wait(4 * 720), slide()).dry[0]).toMatchObject({ stepId: 's', kind: 'spent' });
		expect(1 / 16).toBeLessThan(W.handFilmUlCm2);
	});
	test('a serum is gone long before an oil', () => {
		expect(of(oil(0.8, 'serum'), wait(720), slide()).dry).toHaveLength(1);
		expect(of(oil(0.8), wait(720), slide()).dry).toHaveLength(0);
	});
	test('sliding wears it, by tool more than by hand', () => {
		const many = { dose: { kind: 'reps' as const, min: 60, target: 60, max: 60 }, paceSeconds: 0.5 };
		const end = (s: Step) => of(oil(0.8), s).line.at(-1)![1];
		const tool = slide('s', { ...many, contact: 'tool', tool: { id: 'spoon' } });
		expect(end(slide('s', many))).toBeLessThan(end(step('h', ['malar'], { aim: 'release', ...many })));
		expect(end(tool)).toBeLessThan(end(slide('s', many)));
	});
	test('cleansing takes it off, washing hands does not; more at the step itself helps', () => {
		const cleanse = (target: 'skin' | 'hands') =>
			step('c', [], {
				aim: 'cleanse',
				target,
				motion: 'sweep',
				contact: 'none',
				dose: { kind: 'seconds', min: 1, target: 1, max: 1 }
			});
		expect(of(oil(0.8), cleanse('skin'), slide()).dry.map((d) => d.kind)).toEqual(['none']);
		expect(of(oil(0.8), cleanse('hands'), slide()).dry).toEqual([]);
		expect(of(slide('s', { medium: { id: 'light-oil', ml: 0.05 } })).dry).toEqual([]);
	});
	test('one side oiled leaves the other dry', () => {
		const left = step('oil', ['malar', 'zygoma'], {
			aim: 'prepare',
			motion: 'sweep',
			side: 'left',
			medium: { id: 'light-oil', ml: 0.05 }
		});
		expect(of(left, slide('s', { side: 'left', reason: 'x' })).dry).toEqual([]);
		expect(of(left, slide('s', { side: 'right', reason: 'x' })).dry).toHaveLength(1);
	});
	test('the line is never negative, never above a full film, and in order of time', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				const { line, dry } = film(sequence);
				line.forEach(([s, share], i) => {
					expect(share).toBeGreaterThanOrEqual(0);
					expect(share).toBeLessThanOrEqual(1);
					if (i) expect(s).toBeGreaterThanOrEqual(line[i - 1]![0]);
				});
				expect(new Set(dry.map((d) => d.stepId)).size).toBe(dry.length);
			}),
			{ numRuns: 80 }
		);
	});
});
