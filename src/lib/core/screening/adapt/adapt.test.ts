import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Answer } from '../../client/answer.schema';
import { newAnswer } from '../../client/answers';
import { SIDED_ZONES, type SidedZone } from '../../client/sidedZone';
import { placeOf, type PlaceRef } from '../../atlas/places';
import { StepSchema, type Step } from '../../step/step.schema';
import { levelsOf } from '../../step/levelsOf';
import { techniqueById, TECHNIQUES } from '../../technique/library';
import { makeStep } from '../../technique/makeStep';
import { anyStep } from '../../testing';
import { FLAGS } from '../flags';
import type { Limit } from '../limit.schema';
import { limitsOn } from '../limits';
import { meetings } from '../meets';
import { insteadOf, lowered } from './move';
import { withoutPlaces } from './path';
import { adaptStep, changedBy, mediumFor } from './step';

const TODAY = '2026-03-01';
const answer = (flag: string, places: SidedZone[] = []): Answer =>
	newAnswer({
		flag,
		says: 'yes',
		places,
		since: '2026-02-28',
		day: TODAY,
		at: `${TODAY}T08:00:00Z`
	});
const limitsOf = (...answers: Answer[]) => limitsOn({ answers, marks: [], clearances: [] }, TODAY);
const adapting = (limits: readonly Limit[]) => ({ limits, media: [], pumps: 3 });
const stroke = (way: string, change: Partial<Step> = {}): Step =>
	makeStep(techniqueById('light-stroke')!, { id: 'x', places: way.split(' ') as PlaceRef[], overrides: change });
const not =
	(...places: string[]) =>
	(ref: PlaceRef) =>
		!places.includes(placeOf(ref));

describe('a path without what is left out', () => {
	test('begins later, ends earlier', () => {
		const step = stroke('chin jawline under-jaw n:submandibular');
		expect(withoutPlaces(step, not('chin'), 3)!.places).toEqual(['jawline', 'under-jaw', 'n:submandibular']);
		expect(withoutPlaces(step, not('n:submandibular'), 3)!.places).toEqual(['chin', 'jawline', 'under-jaw']);
	});
	test('goes round over neighbours within a hand’s breadth, never backwards out of nodes', () => {
		const round = withoutPlaces(stroke('nose-wing nasolabial buccal n:facial'), not('nasolabial'), 3)!;
		expect(round.places).toEqual(['nose-wing', 'malar', 'buccal', 'n:facial']);
	});
	test('keeps the part that leads on to where it was going, where there is no way round', () => {
		const step = stroke('forehead-medial forehead-lateral temple preauricular n:preauricular');
		const cut = withoutPlaces(step, not('temple', 'brow', 'zygoma', 'hairline', 'outer-canthus'), 3)!;
		expect(cut.places).toEqual(['preauricular', 'n:preauricular']);
	});
	test('is nothing where one place is left of a stroke, and what is left of a move that stays', () => {
		expect(withoutPlaces(stroke('malar zygoma'), not('zygoma'), 3)).toBeNull();
		const hold = stroke('malar zygoma', { motion: 'press-hold' });
		expect(withoutPlaces(hold, not('zygoma'), 3)!.places).toEqual(['malar']);
		expect(withoutPlaces(hold, not('zygoma', 'malar'), 3)).toBeNull();
	});
	test('levels, stations, lanes, a second path and the other hand follow', () => {
		const step = StepSchema.parse({
			...stroke('chin jawline under-jaw n:submandibular'),
			pressure: undefined,
			levels: [0, 1, 1, 0],
			stations: { places: ['chin', 'jawline'], hold: { kind: 'seconds', amount: 2 } },
			lanes: 3,
			laneWays: [
				['chin', 'jawline'],
				['jawline', 'under-jaw']
			],
			beside: ['chin', 'submental'],
			support: { stays: true, place: 'chin' }
		});
		const after = withoutPlaces(step, not('chin'), 3)!;
		expect(after).toMatchObject({
			levels: [1, 1, 0],
			stations: { places: ['jawline'] },
			lanes: 2,
			laneWays: [['jawline', 'under-jaw']],
			support: { stays: true }
		});
		expect(after.beside).toBeUndefined();
		expect(after.support!.place).toBeUndefined();
		expect(StepSchema.safeParse(after).success).toBe(true);
	});
	test('a link pumps before and behind what is left out; one that has nothing left is none', () => {
		const end = {
			kind: 'link' as const,
			places: ['n:tonsillar', 'n:deep-cervical', 'n:terminus'] as PlaceRef[],
			pumps: 4,
			by: 'policy' as const
		};
		const step = stroke('malar zygoma', { end });
		expect(withoutPlaces(step, not('n:deep-cervical'), 3)!.end).toEqual({
			...end,
			places: ['n:tonsillar', 'n:terminus'],
			by: 'hand'
		});
		expect(withoutPlaces(step, not('n:preauricular', 'n:tonsillar', 'n:deep-cervical', 'n:terminus'), 3)!.end).toEqual({
			kind: 'none'
		});
	});
	test('a drain that led to the outlet and is cut is led on by pumps', () => {
		const step = stroke('n:preauricular n:tonsillar n:deep-cervical n:terminus');
		expect(withoutPlaces(step, not('n:deep-cervical'), 5)).toMatchObject({
			places: ['n:preauricular', 'n:tonsillar'],
			end: { kind: 'link', places: ['n:terminus'], pumps: 5, by: 'hand' }
		});
	});
});

describe('a move otherwise', () => {
	const of = (id: string) => makeStep(techniqueById(id)!, { id: 'x' });
	test('by hand for a tool, with the ring finger on the lids, and not where the tool is what it is for', () => {
		expect(insteadOf(of('stone-cheekbone'), { tool: 'edged' })).toMatchObject({ contact: 'flat-3', motion: 'stroke' });
		expect(insteadOf(of('spoon-lid'), { tool: 'metal' })).toMatchObject({ contact: 'ring-finger', motion: 'sweep' });
		expect(insteadOf(of('globes-hold'), { tool: 'cold' })).toBeNull();
		expect(insteadOf(of('lay-tape'), { tool: 'tape' })).toBeNull();
	});
	test('gentler, from outside, lighter, head neutral; not for a point or an opening', () => {
		expect(insteadOf(of('brow-pinch'), { motion: 'bruises' })).toMatchObject({ motion: 'pinned-circle' });
		expect(insteadOf(of('forehead-skin-lift'), { motion: 'bruises' })).toMatchObject({ motion: 'skin-stretch' });
		expect(insteadOf(of('tap-eyes'), { motion: 'taps' })).toMatchObject({ motion: 'press-hold' });
		expect(insteadOf(of('tap-along-jaw'), { motion: 'taps' })).toMatchObject({ motion: 'stroke' });
		expect(insteadOf(of('chin-tuck'), { motion: 'resists' })).toBeNull();
		expect(insteadOf(of('thumb-inside'), { contact: 'inside' })).toMatchObject({ contact: 'pads-3', mouth: 'parted' });
		expect(insteadOf(of('ear-pull'), { contact: 'pinch' })).toMatchObject({ contact: 'pads-2' });
		expect(insteadOf(of('neck-side-pinch'), { postures: ['turned'] })).toMatchObject({ posture: 'neutral' });
		expect(insteadOf(of('pinned-circles'), { levelFrom: 3 })).toMatchObject({ pressure: 2 });
		expect(insteadOf(of('point-gb21'), { point: 'not-in-pregnancy' })).toBeNull();
		expect(insteadOf(of('open-neck'), { throughNodes: true })).toBeNull();
	});
	test('lighter place by place, with what rises and its parts', () => {
		const step = StepSchema.parse({
			...stroke('malar zygoma'),
			pressure: undefined,
			levels: [3, 4],
			risesTo: 4,
			parts: [{ motion: 'press-hold', seconds: 2, pressure: 4 }]
		});
		const after = lowered(step, (ref) => (placeOf(ref) === 'malar' ? 1 : 3));
		expect(after.levels).toEqual([1, 3]);
		expect(after.risesTo).toBeUndefined();
		expect(after.parts![0]!.pressure).toBe(1);
	});
	test('a medium that she may have: the same where it is good, none where every one is bad', () => {
		const held = limitsOf(answer('nut-allergy'));
		expect(mediumFor('balm', adapting(held))).toBe('balm');
		expect(mediumFor('almond-oil', adapting(held))).toBe('light-oil');
	});
});

const anyLimits = fc
	.uniqueArray(
		fc.record({
			flag: fc.constantFrom(...FLAGS.map((f) => f.id)),
			places: fc.uniqueArray(fc.constantFrom(...SIDED_ZONES), { maxLength: 3 })
		}),
		{ minLength: 1, maxLength: 4, selector: (a) => a.flag }
	)
	.map((list) => limitsOf(...list.map(({ flag, places }) => answer(flag, places))));
const anyMove = fc.oneof(
	anyStep('x'),
	fc.constantFrom(...TECHNIQUES).map((t) => makeStep(t, { id: 'x' }))
);

describe('whatever the move and whatever she answers', () => {
	test('what comes of it is a valid step that meets nothing, no deeper and on no new kind of tool; twice changes nothing more', () => {
		fc.assert(
			fc.property(anyMove, anyLimits, (step, limits) => {
				const after = adaptStep(step, adapting(limits));
				if (!after) return;
				expect(StepSchema.safeParse(after).success).toBe(true);
				expect(meetings(after, [], limits)).toEqual([]);
				expect(Math.max(...levelsOf(after))).toBeLessThanOrEqual(Math.max(...levelsOf(step)));
				if (!step.tool) expect(after.tool).toBeUndefined();
				expect([after.id, after.aim, after.by]).toEqual([step.id, step.aim, step.by]);
				expect(adaptStep(after, adapting(limits))).toEqual(after);
			}),
			{ numRuns: 400 }
		);
	});
	test('a step that meets nothing is handed on as it is', () => {
		fc.assert(
			fc.property(anyMove, (step) => {
				expect(adaptStep(step, adapting([]))).toBe(step);
				expect(changedBy(step, ['places', 'level', 'move'], adapting([]))).toBe(step);
			}),
			{ numRuns: 60 }
		);
	});
});
