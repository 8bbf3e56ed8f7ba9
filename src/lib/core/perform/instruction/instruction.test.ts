import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { PLACE_IDS, placeOf, whereOf, type PlaceId } from '../../atlas/places';
import { SPOTS } from '../../atlas/spots';
import { POINT_CODES } from '../../point/codes';
import { expand } from '../../sequence/expand';
import { stepsOf } from '../../sequence/walk';
import type { Sequence } from '../../sequence/sequence.schema';
import { doseAtOf, hasDoseAt } from '../../step/doseAt';
import { StepSchema, type Step } from '../../step/step.schema';
import type { StepFieldId } from '../../step/stepFields';
import { anyStep, CONTEXT, pump, sequenceOf, step } from '../../testing';
import {
	BREATHS,
	idsOf,
	isStationary,
	motionRow,
	MOTIONS,
	MOUTHS,
	POSTURES,
	ROUNDS,
	STONE_EDGES,
	toolRow,
	TOOLS,
	TOWARDS,
	UNTIL_SIGNS
} from '../../vocabulary/vocabulary';
import { changedSince, instructionAt, wordsOf } from './instruction';
import { planOf } from './moment';
import { TOLD_IN, type SlotId } from './slots';

const planned = (sequence: Sequence) =>
	planOf(expand(sequence, CONTEXT), new Map(stepsOf(sequence).map((s) => [s.step.id, s])), CONTEXT.working, sequence);
/** All that is told of a sequence, stretch by stretch. */
const toldIn = (sequence: Sequence) => {
	const plan = planned(sequence);
	return plan.events.map((event, i) => ({ event, told: instructionAt(plan, i) }));
};

const place = fc.constantFrom<PlaceId>(...PLACE_IDS);
const level = fc.constantFrom<0 | 1 | 2 | 3 | 4>(0, 1, 2, 3, 4);
const word = fc.constantFrom('a mole', 'the glide falls', 'it is loose', 'a scar');
const amount = fc.integer({ min: 1, max: 7 });
/** Whatever a step can say besides what every move has. */
const anyMore = fc.record(
	{
		motion: fc.constantFrom(...idsOf(MOTIONS)),
		dose: fc
			.tuple(fc.constantFrom('reps' as const, 'breaths' as const, 'seconds' as const), amount)
			.map(([kind, n]) => ({ kind, min: n, target: n, max: n })),
		doseAt: fc.constantFrom('each-place' as const, 'over-all' as const),
		parts: fc.array(fc.record({ motion: fc.constantFrom(...idsOf(MOTIONS)), seconds: amount }), {
			minLength: 1,
			maxLength: 2
		}),
		amplitudeMm: amount,
		besideWork: fc.record(
			{ pressure: level, motion: fc.constantFrom(...idsOf(MOTIONS)) },
			{ requiredKeys: ['pressure'] }
		),
		spots: fc.oneof(
			fc.integer({ min: 2, max: 9 }).map((count) => ({ count })),
			fc.constantFrom(...idsOf(SPOTS)).map((named) => ({ named: [named] }))
		),
		round: fc.constantFrom(...idsOf(ROUNDS)),
		towards: fc.constantFrom(...idsOf(TOWARDS)),
		returnSeconds: amount,
		swellsTo: level,
		otherwise: fc.constant(true),
		beside: fc.array(place, { minLength: 1, maxLength: 3 }),
		paceSeconds: amount,
		laneRun: fc.constantFrom('diagonal' as const, 'inner-outer' as const),
		until: fc.record({
			signs: fc.constantFrom(...idsOf(UNTIL_SIGNS)).map((s) => [s]),
			capSeconds: fc.integer({ min: 2000, max: 3600 })
		}),
		end: fc.oneof(
			fc.record({ kind: fc.constantFrom('none' as const, 'wiggle' as const, 'lift' as const, 'press' as const) }),
			fc.record({
				kind: fc.constant('link' as const),
				places: fc.uniqueArray(place, { minLength: 1, maxLength: 3 }),
				pumps: amount,
				by: fc.constant('hand' as const),
				finish: fc.constantFrom('wiggle' as const, 'lift' as const, 'press' as const)
			})
		),
		support: fc.record(
			{
				place,
				stays: fc.boolean(),
				thumb: fc.constant(true),
				moves: fc.constant(true),
				head: fc.constantFrom('resists' as const, 'pushed' as const)
			},
			{ requiredKeys: ['stays'] }
		),
		tool: fc.record({
			id: fc.constantFrom(...idsOf(TOOLS)),
			edge: fc.constantFrom(...idsOf(STONE_EDGES)),
			tiltDegrees: amount
		}),
		posture: fc.constantFrom(...idsOf(POSTURES)),
		mouth: fc.constantFrom(...idsOf(MOUTHS)),
		eyes: fc.constantFrom('open' as const, 'closed' as const),
		breath: fc.constantFrom(...idsOf(BREATHS)),
		by: fc.constantFrom('practitioner' as const, 'client' as const),
		medium: fc.record({ id: fc.constantFrom('light-oil', 'rich-oil'), ml: amount }),
		point: fc.constantFrom(...POINT_CODES),
		replaces: word,
		tape: fc.record(
			{
				lengthMm: fc.integer({ min: 5, max: 90 }),
				widthMm: amount.map((n) => n + 1),
				wearHours: fc.integer({ min: 10, max: 20 }),
				leastHours: fc.integer({ min: 0, max: 9 }),
				pieces: amount,
				anchor: place,
				anchorMm: amount,
				towards: place,
				firstWear: fc.constant(true),
				skin: fc.constantFrom('absorbed' as const, 'blotted' as const)
			},
			{ requiredKeys: ['lengthMm', 'widthMm', 'wearHours'] }
		),
		risesTo: level,
		poseSeconds: amount,
		optional: fc.boolean(),
		around: word,
		reason: word,
		note: word,
		why: word
	},
	{ requiredKeys: [] }
);
const anyWhole = fc
	.tuple(anyStep('a'), anyMore)
	.map(([base, { tool, ...given }]): Step => {
		// A spot by name lies in a place of the step.
		const { spots, besideWork, swellsTo, ...others } = given;
		const places = spots && 'named' in spots ? [...base.places, SPOTS[spots.named[0]!].place] : base.places;
		const more = {
			...others,
			...(spots ? { spots, places } : {}),
			...(besideWork && others.beside ? { besideWork } : {}),
			...(swellsTo === undefined || isStationary(others.motion ?? base.motion) || others.risesTo ? {} : { swellsTo })
		};
		const held = tool && { contact: toolRow(tool.id).worn ? ('pads-2' as const) : ('tool' as const) };
		const taken = tool && { tool: toolRow(tool.id).edged ? tool : { id: tool.id, tiltDegrees: tool.tiltDegrees } };
		return { ...base, ...more, ...held, ...taken } as Step;
	})
	.filter((s) => StepSchema.safeParse(s).success);

const washes = ({ aim }: Step) => aim === 'cleanse' || aim === 'prepare';
/** Where a field changes nothing of what the hands do, because of what else the step says. */
const IDLE: Partial<Record<StepFieldId, (step: Step) => boolean>> = {
	pressure: (s) => s.contact === 'none',
	levels: (s) => s.contact === 'none',
	risesTo: (s) => s.contact === 'none',
	laneRun: (s) => s.lanes === 1,
	swellsTo: (s) => s.contact === 'none',
	// What is held or counted in breaths has no way back.
	returnSeconds: (s) => s.dose.kind === 'breaths' || motionRow(s.motion).holds || s.parts !== undefined,
	spots: (s) => washes(s) || s.point !== undefined,
	besideWork: (s) => washes(s) || (s.motion === 'none' && s.contact === 'none'),
	doseAt: (s) => !hasDoseAt(s),
	// A count of breaths has their pace; what is held for a time has none, nor has a wash.
	// A press that waits for the breath takes its time.
	paceSeconds: (s) =>
		s.breath !== 'free' || s.dose.kind === 'breaths' || (s.dose.kind === 'seconds' && motionRow(s.motion).holds),
	places: (s) => s.target === 'hands' || s.target === 'tool' || (s.point !== undefined && s.places.length < 2),
	medium: (s) => s.target === 'hands' || s.target === 'tool',
	tool: (s) => s.contact === 'none' && !s.tool,
	motion: washes,
	beside: (s) => washes(s) || (s.motion === 'none' && s.contact === 'none'),
	parts: washes
};

const named = (s: Step): string => s.places.map((ref) => whereOf(placeOf(ref))).join();

/** A value of a field with places as they are called. */
const byName = (value: unknown): string =>
	JSON.stringify(value, (_, x: unknown) =>
		(PLACE_IDS as readonly unknown[]).includes(x) ? whereOf(x as PlaceId) : x
	) ?? '';

describe('the whole of a step is told', () => {
	const fields = (Object.keys(TOLD_IN) as StepFieldId[]).filter(
		// What hangs on a condition is asked; what is one of several ways is chosen before: tested below.
		(f) => TOLD_IN[f] && !['onlyIf', 'choice', 'contact', 'target', 'stations', 'laneWays'].includes(f)
	);
	/** What is told of each kind of stretch: repetitions that are alike once. */
	const text = (s: Step) => {
		const plan = planned(sequenceOf([s]));
		const kinds = new Map(
			plan.events.map((e, i) => [`${e.kind} ${e.side} ${e.lane} ${e.direction} ${e.part} ${e.places.join()}`, i])
		);
		return JSON.stringify([...kinds.values()].map((i) => instructionAt(plan, i)));
	};
	test.each(fields)('%s: another one is told otherwise', (field) => {
		let met = 0;
		fc.assert(
			fc.property(anyWhole, anyWhole, (a, b) => {
				const other = { ...a, [field]: b[field] } as Step;
				if (b[field] === undefined) delete other[field];
				// A zone and the nodes in it have one name, and are one place to the hands.
				if (byName(a[field]) === byName(other[field])) return;
				if (field === 'doseAt' && doseAtOf(a) === doseAtOf(other)) return;
				if (field === 'places' && named(a) === named(other)) return;
				if (!StepSchema.safeParse(other).success || IDLE[field]?.(a) || IDLE[field]?.(other)) return;
				met++;
				expect(text(other), `${JSON.stringify(a[field])} and ${JSON.stringify(other[field])}`).not.toBe(text(a));
			}),
			{
				numRuns:
					field === 'levels'
						? 900
						: ['tool', 'side', 'spots', 'doseAt', 'besideWork', 'returnSeconds', 'swellsTo'].includes(field)
							? 400
							: 80
			}
		);
		expect(met, field).toBeGreaterThan(5);
	});
	test('stops on a way, and lanes with ways of their own: others are told otherwise', () => {
		fc.assert(
			fc.property(anyWhole, amount, amount, place, place, (a, one, two, here, there) => {
				if (washes(a) || one === two || here === there) return;
				const { stations: _s, laneWays: _l, doseAt: _d, ...bare } = a;
				const stops = (n: number) => ({
					...bare,
					stations: { places: [a.places[0]!], hold: { kind: 'seconds' as const, amount: n } }
				});
				if (a.places.length) {
					expect(text(stops(one))).not.toBe(text(stops(two)));
					expect(text(stops(one))).not.toBe(text(bare));
				}
				const lane = (to: PlaceId) => ({ ...bare, lanes: 2, laneWays: [['chin' as const, to]] });
				if (!a.point && whereOf(here) !== whereOf(there)) expect(text(lane(here))).not.toBe(text(lane(there)));
			}),
			{ numRuns: 100 }
		);
	});
	test('nothing is told of a step that stands before another one that says nothing of it', () => {
		fc.assert(
			fc.property(anyWhole, (a) => {
				const plain = step('z', ['malar', 'zygoma']);
				const alone = toldIn(sequenceOf([plain])).at(-1)!.told;
				const after = toldIn(sequenceOf([a, plain])).filter(({ event }) => event.stepId === 'z');
				const once: SlotId[] = ['ended', 'phase', 'ready'];
				for (const { told, event } of after)
					if (event.kind === 'work')
						expect(told.filter(({ slot }) => !once.includes(slot))).toEqual(
							alone.filter(({ slot }) => !once.includes(slot))
						);
			}),
			{ numRuns: 100 }
		);
	});
});

describe('by hand', () => {
	const of = (s: Step, change: Partial<Sequence> = {}) => toldIn({ ...sequenceOf([s]), ...change });
	const words = (s: Step, slot: SlotId) => of(s).map(({ told }) => wordsOf(told, slot));
	test('what ends is told once, by what it was', () => {
		const told = toldIn(
			sequenceOf([
				step('a', ['chin'], { posture: 'chin-up', mouth: 'jaw-forward', eyes: 'open' }),
				step('b', ['malar']),
				step('c', ['temple'])
			])
		);
		const ended = told.map(({ event, told: t }) => [event.stepId, wordsOf(t, 'ended')]);
		expect(ended.filter(([id]) => id === 'b').at(-1)![1]).toBe(
			'Head straight again. Jaw back in place. Eyes closed again'
		);
		expect(ended.filter(([id]) => id === 'c').every(([, w]) => w === '')).toBe(true);
	});
	test('places as they come; the way back; lanes by where they lie', () => {
		const pins = step('a', ['malar', 'jawline'], { motion: 'pinned-circle', reverse: true });
		expect(words(pins, 'place')).toEqual([
			'Apple of the cheek, place 1 of 2',
			'Apple of the cheek, place 1 of 2',
			'Jawline, place 2 of 2',
			'Jawline, place 2 of 2'
		]);
		expect(words(pins, 'direction').slice(0, 2)).toEqual(['One way round, then the other', 'Now the other way round']);
		const lanes = step('b', ['chin', 'jawline'], { lanes: 2, laneRun: 'inner-outer' });
		expect(words(lanes, 'lane')).toEqual(['Lane 1 of 2, inner', 'Lane 2 of 2, outer']);
	});
	test('how often, and to what it is given', () => {
		const ten = { kind: 'reps' as const, min: 8, target: 10, max: 12 };
		expect(words(step('a', ['chin', 'jawline'], { dose: ten }), 'count')[0]).toBe('10 times (8 to 12) in all');
		const each = { each: true as const, first: 'left' as const };
		expect(words(step('a', ['chin', 'jawline'], { dose: ten, side: each, lanes: 2 }), 'count')[0]).toBe(
			'10 times (8 to 12) each side and lane'
		);
		expect(words(pump('o', 'terminus', { places: ['n:terminus', 'n:tonsillar'], dose: ten }), 'count')[0]).toBe(
			'10 times (8 to 12) at each place'
		);
	});
	test('two parts of a hold are told as they come, each with its time', () => {
		const held = step('a', ['inner-canthus'], {
			motion: 'press-hold',
			dose: { kind: 'reps', min: 1, target: 1, max: 1 },
			paceSeconds: 15,
			parts: [{ motion: 'pinned-circle', seconds: 15 }]
		});
		expect(words(held, 'then')).toEqual(['Then stationary circle, 15 s', '']);
		expect(words(held, 'what').map((w) => w.split(': ')[1])).toEqual(['press and hold', 'stationary circle']);
	});
	test('a condition, a choice, what stands for something else, and where one may end', () => {
		const one = step('a', ['chin'], { choice: { group: 'cheek', option: 'stone' }, replaces: 'the serum' });
		expect(words(one, 'condition')[0]).toBe('Chosen for cheek: stone');
		expect(words(one, 'amount')[0]).toBe('In place of the serum');
		const short = sequenceOf([one]);
		const phases = short.phases.map((p) => ({ ...p, exitAfter: true, exitTitle: 'The short one' }));
		expect(wordsOf(of(one, { phases }).at(-1)!.told, 'exit')).toBe('You may end after this step: The short one');
	});
	test('a round of several is numbered', () => {
		const twice = sequenceOf([step('a', ['chin']), step('b', ['malar'])]);
		const phases = twice.phases.map((p) => ({ ...p, passes: 2 }));
		expect(toldIn({ ...twice, phases }).map(({ told }) => wordsOf(told, 'round'))).toEqual([
			'Round 1 of 2',
			'Round 1 of 2',
			'Round 2 of 2',
			'Round 2 of 2'
		]);
	});
	test('what changed is what is told otherwise than before', () => {
		const [a, b] = toldIn(
			sequenceOf([step('a', ['chin', 'jawline']), step('b', ['chin', 'jawline'], { pressure: 2 })])
		).map(({ told }) => told);
		expect([...changedSince(b!, a!)]).toEqual(['level']);
	});
});
