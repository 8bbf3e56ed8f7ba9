import fc from 'fast-check';
import { PLACE_IDS, type PlaceId, type PlaceRef } from './atlas/places';
import type { Level } from './step/levels';
import { schoolById, SCHOOLS } from './school/schools';
import type { ExpandContext } from './sequence/expand';
import { isMidlinePlace } from './atlas/midline';
import { newSequence } from './sequence/newSequence';
import { SequenceSchema, type Sequence } from './sequence/sequence.schema';
import { StepSchema, type Step, type StepSide } from './step/step.schema';
import { makeStep } from './technique/makeStep';
import { techniqueById, TECHNIQUES } from './technique/library';
import { DEFAULT_WORKING } from './working/defaultWorking';

/** Helpers for tests only: a context, short ways to write steps, and random valid sequences. */
export const CONTEXT: ExpandContext = { working: DEFAULT_WORKING };
export const NOW = '2026-03-01T08:00:00.000Z';

/** A plain light stroke or spot, to be varied. */
export function step(id: string, places: PlaceRef[], change: Partial<Step> = {}): Step {
	return StepSchema.parse({
		id,
		aim: 'drain',
		places,
		contact: 'flat-3',
		motion: places.length > 1 ? 'stroke' : 'press-hold',
		...(change.levels ? {} : { pressure: 1 }),
		dose: { kind: 'reps', min: 3, target: 5, max: 8 },
		paceSeconds: 2,
		side: 'both',
		...change
	});
}

export const pump = (id: string, node: string, change: Partial<Step> = {}): Step =>
	step(id, [`n:${node}` as PlaceRef], {
		aim: 'open',
		motion: 'pump',
		dose: { kind: 'reps', min: 5, target: 7, max: 10 },
		paceSeconds: 1,
		...change
	});

/** A sequence of one phase and one block with these steps. */
export function sequenceOf(steps: Step[], change: Partial<Sequence> = {}): Sequence {
	const base = newSequence({ id: 's1', updatedAt: NOW, school: schoolById('outlet-first') });
	const block = { id: 'b1', title: '', sides: 'asSteps' as const, steps };
	return { ...base, phases: [{ id: 'p1', title: 'Work', exitAfter: false, blocks: [block] }], ...change };
}

const side: fc.Arbitrary<StepSide> = fc.oneof(
	fc.constantFrom<StepSide>('both', 'left', 'right'),
	fc.constantFrom<'left' | 'right'>('left', 'right').map((first) => ({ each: true as const, first })),
	fc.constantFrom<'left' | 'right'>('left', 'right').map((first) => ({ alternate: true as const, first }))
);
const places = fc.uniqueArray(fc.constantFrom<PlaceId>(...PLACE_IDS), { minLength: 1, maxLength: 3 });

/** A random valid step: any technique on any places, with any pressure, side and variation. */
export const anyStep = (id: string): fc.Arbitrary<Step> =>
	fc
		.record({
			technique: fc.constantFrom(...TECHNIQUES),
			places,
			side,
			pressure: fc.constantFrom<Level>(0, 1, 2, 3, 4),
			lanes: fc.integer({ min: 1, max: 3 }),
			reverse: fc.boolean(),
			optional: fc.boolean(),
			reason: fc.option(fc.constant('fuller today'), { nil: undefined }),
			levelled: fc.boolean()
		})
		.map(({ technique, places: chosen, side: wanted, levelled, pressure, ...rest }) => {
			// A cap cuts what lanes and the way back make longer; formula.test.ts has steps that go on until a sign.
			const { until: _until, ...made }: Step = makeStep(technique, {
				id,
				places: chosen,
				side: wanted,
				overrides: { ...rest, pressure }
			});
			if (wanted === 'midline' && !made.places.every(isMidlinePlace)) return { ...made, side: 'both' as const };
			if (!levelled) return made;
			const { pressure: one, ...bare } = made;
			return { ...bare, levels: made.places.map((_, i) => ((one! + i) % 5) as Level) };
		});

/** A random valid sequence of any school, some of its blocks done side by side. */
export const anySequence: fc.Arbitrary<Sequence> = fc
	.record({
		school: fc.constantFrom(...SCHOOLS),
		shape: fc.array(fc.array(fc.tuple(fc.boolean(), fc.integer({ min: 1, max: 3 })), { maxLength: 2 }), {
			minLength: 1,
			maxLength: 3
		}),
		budgetSeconds: fc.integer({ min: 60, max: 1800 })
	})
	.chain(({ school, shape, budgetSeconds }) => {
		let n = 0;
		const phases = shape.map((blocks, p) =>
			fc.tuple(
				...blocks.map(([each, count], b) =>
					fc.tuple(...Array.from({ length: count }, () => anyStep(`s${n++}`))).map((steps) => ({
						id: `p${p}b${b}`,
						title: '',
						sides: each ? { each: true as const, first: 'left' as const } : ('asSteps' as const),
						steps: each ? steps.map(({ side: _side, ...rest }) => rest) : steps
					}))
				)
			)
		);
		return fc.tuple(...phases).map((lists) =>
			SequenceSchema.parse({
				...newSequence({ id: 'any', updatedAt: NOW, school, budgetSeconds }),
				phases: lists.map((blocks, p) => ({ id: `p${p}`, title: `Phase ${p + 1}`, blocks }))
			})
		);
	});

export const openTerminus = makeStep(techniqueById('open-nodes')!, { id: 'open-t', places: ['n:terminus'] });
