import { describe, expect, test } from 'vitest';
import type { PlaceRef } from '../atlas/places';
import { applyEdit } from '../sequence/applyEdit';
import type { Sequence } from '../sequence/sequence.schema';
import type { Step } from '../step/step.schema';
import { stepsOf } from '../sequence/walk';
import { endPlace } from '../step/levelsOf';
import { CONTEXT, pump, sequenceOf, step } from '../testing';
import { DEFAULT_WORKING } from '../working/defaultWorking';
import { WorkingSchema } from '../working/working.schema';
import { fixIn, judge } from './judge';
import { opennessAt } from './opennessAt';
import { receiversOf } from './order/receiverClosed';
import { pairsOf } from './strokes';

/** What each fix does, by example: the property test says that it works, these say how. */
const fixed = (sequence: Sequence, ruleId: string): { label: string; after: Sequence } => {
	const { findings, context } = judge(sequence, CONTEXT);
	const finding = findings.find((f) => f.ruleId === ruleId);
	if (!finding) throw new Error(`no finding of ${ruleId}`);
	const edit = fixIn(context, finding);
	if (!edit) throw new Error(`no fix of ${ruleId}`);
	return { label: edit.label, after: applyEdit(sequence, edit) };
};
const only = (s: Step) => sequenceOf([s]);
const first = (sequence: Sequence) => stepsOf(sequence)[0]!.step;
/** What a fix makes necessary is done with it: openings come before. */
const byId = (sequence: Sequence, id: string) => stepsOf(sequence).find((s) => s.step.id === id)!.step;
const JAW: PlaceRef[] = ['jawline', 'under-jaw', 'n:submandibular'];

describe('order', () => {
	test('outlet-closed puts an opening of the outlet before the stroke', () => {
		const { label, after } = fixed(only(step('jaw', JAW)), 'outlet-closed');
		expect(label).toBe('Open the collarbone nodes first');
		expect(stepsOf(after).map((s) => `${s.step.aim} ${s.step.places[0]}`)).toEqual([
			'open n:terminus',
			'drain jawline'
		]);
	});
	test('for the chest it is the armpit', () => {
		const { after } = fixed(only(step('chest', ['decollete', 'axilla'])), 'outlet-closed');
		expect(first(after).places).toEqual(['n:axillary']);
	});
	test('receiver-closed opens the one that is closed; ids stay unique', () => {
		const sequence = sequenceOf([pump('open-submandibular', 'terminus'), step('jaw', JAW)]);
		const { after } = fixed(sequence, 'receiver-closed');
		expect(stepsOf(after).map((s) => s.step.id)).toEqual(['open-submandibular', 'open-submandibular-2', 'jaw']);
	});
	test('stranded ends the step with a drain link along the nodes', () => {
		const { after } = fixed(only(step('jaw', JAW)), 'stranded');
		expect(first(after).end).toEqual({
			kind: 'link',
			places: ['n:tonsillar', 'n:deep-cervical', 'n:terminus'],
			pumps: 3,
			by: 'hand'
		});
	});
	test('closing-pump goes to the end of the last phase', () => {
		const { after } = fixed(only(step('jaw', JAW)), 'closing-pump');
		expect(stepsOf(after).at(-1)!.step).toMatchObject({ aim: 'close', motion: 'pump', places: ['n:terminus'] });
	});
});

describe('direction', () => {
	test('against-drainage leads to the receiver where the end lies upstream', () => {
		const { after } = fixed(only(step('up', ['jawline', 'chin'])), 'against-drainage');
		expect(pairsOf(byId(after, 'up')).every((p) => p.alignment === 'with' || p.alignment === 'neutral')).toBe(true);
		expect(byId(after, 'up').places[0]).toBe('chin');
	});
	test('a gap is filled over the graph', () => {
		const { after } = fixed(only(step('gap', ['brow', 'preauricular'])), 'against-drainage');
		expect(first(after).places).toEqual(['brow', 'temple', 'preauricular']);
	});
	test('a reversal is dropped, and pressure stays light', () => {
		const { after } = fixed(only(step('back', JAW, { reverse: true, pressure: 1 })), 'against-drainage');
		expect(first(after)).toMatchObject({ reverse: false, pressure: 1, places: JAW });
	});
	test('the throat is led to the side of the neck, one level for all; under the chin outwards', () => {
		const down = step('t', ['throat', 'supraclavicular'], { levels: [1, 1] });
		const { after } = fixed(only(down), 'throat-straight-down');
		expect(byId(after, 't')).toMatchObject({
			places: ['throat', 'sternocleidomastoid', 'n:deep-cervical', 'n:terminus'],
			pressure: 1
		});
		expect(byId(after, 't').levels).toBeUndefined();
		const chin = fixed(only(step('c', ['chin', 'submental', 'throat'])), 'throat-straight-down');
		expect(byId(chin.after, 'c').places).toEqual(['chin', 'submental', 'under-jaw', 'n:submandibular']);
	});
	test('pairs include the way back, and see the midline', () => {
		expect(pairsOf(step('a', ['chin', 'jawline'], { reverse: true })).map((p) => p.alignment)).toEqual([
			'with',
			'against'
		]);
		expect(pairsOf(step('a', ['chin:left', 'chin:right'])).map((p) => p.alignment)).toEqual(['watershed']);
		expect(pairsOf(step('a', ['chin', 'chin'])).map((p) => p.alignment)).toEqual(['neutral']);
		expect(endPlace(step('a', ['chin', 'jawline'], { reverse: true }))).toBe('chin');
	});
});

describe('pressure and sides', () => {
	test('a cap lowers one level for the whole step, or only the places above', () => {
		const one = fixed(only(step('a', ['malar', 'lower-eyelid'], { aim: 'lift', pressure: 3 })), 'eye-cap');
		expect(first(one.after).pressure).toBe(1);
		const each = fixed(only(step('a', ['malar', 'lower-eyelid'], { aim: 'lift', levels: [3, 3] })), 'eye-cap');
		expect(first(each.after).levels).toEqual([3, 1]);
	});
	test('neck-both-sides takes one side after the other', () => {
		const { after } = fixed(
			only(step('n', ['sternocleidomastoid'], { aim: 'release', pressure: 3 })),
			'neck-both-sides'
		);
		expect(first(after).side).toEqual({ each: true, first: 'left' });
	});
	test('uneven-sides does both, beginning where it was, stations with it', () => {
		const lopsided = step('a', ['chin:right', 'jawline:right'], {
			side: 'right',
			stations: { places: ['chin:right'], hold: { kind: 'seconds', amount: 2 } }
		});
		const { after } = fixed(only(lopsided), 'uneven-sides');
		expect(first(after)).toMatchObject({
			side: { each: true, first: 'right' },
			places: ['chin', 'jawline'],
			stations: { places: ['chin'] }
		});
	});
});

describe('time', () => {
	const long = (id: string, min: number, target: number, aim: Step['aim'] = 'release') =>
		step(id, ['nape'], { aim, dose: { kind: 'seconds', min, target, max: target } });
	test('over-budget shortens work within its range, openings not', () => {
		const sequence = sequenceOf([pump('o', 'terminus'), long('a', 100, 400), long('b', 100, 400)], {
			budgetSeconds: 600
		});
		const { label, after } = fixed(sequence, 'over-budget');
		expect(label).toBe('Fit to 10:00');
		const [o, a, b] = stepsOf(after).map((s) => s.step.dose.target);
		expect(o).toBe(7);
		expect(a).toBe(b);
		expect(judge(after, CONTEXT).timing.expectedSeconds).toBeLessThanOrEqual(600);
	});
	test('where even the minima are too long, no fix is offered', () => {
		const sequence = sequenceOf([long('a', 650, 700)], { budgetSeconds: 600 });
		const { findings, context } = judge(sequence, CONTEXT);
		const finding = findings.find((f) => f.ruleId === 'over-budget')!;
		expect(fixIn(context, finding)).toBeNull();
	});
});

describe('openness on the map', () => {
	test('opened fully, half after the half-life, by side, absent before', () => {
		const sequence = sequenceOf([pump('o', 'terminus', { side: 'left' }), step('w', ['nape'], { aim: 'release' })]);
		const { context } = judge(sequence, CONTEXT);
		expect(opennessAt(context, 3).size).toBe(0);
		expect(opennessAt(context, 7).get('terminus:left')).toBe(1);
		expect(opennessAt(context, 607).get('terminus:left')).toBeCloseTo(0.5, 6);
		expect(opennessAt(context, 607).get('terminus:right')).toBeUndefined();
	});
	test('a drain link opens only with enough pumps', () => {
		const end = (pumps: number) => ({
			kind: 'link' as const,
			places: ['n:terminus' as const],
			pumps,
			by: 'hand' as const
		});
		const openAfter = (pumps: number) =>
			opennessAt(judge(only(step('a', JAW, { end: end(pumps) })), CONTEXT).context, 60).has('terminus:left');
		expect(openAfter(3)).toBe(false);
		expect(openAfter(5)).toBe(true);
	});
	test('receivers: those on the path, else the main one; the cheek nodes ask for nothing', () => {
		expect(receiversOf(step('a', JAW))).toEqual(['submandibular']);
		expect(receiversOf(step('a', ['lower-eyelid', 'zygoma']))).toEqual(['preauricular']);
		expect(receiversOf(step('a', ['nasolabial', 'buccal', 'n:facial', 'n:submandibular']))).toEqual(['submandibular']);
	});
});

describe('working values', () => {
	test('ship whole and within their own ranges', () => {
		expect(WorkingSchema.parse(DEFAULT_WORKING)).toEqual(DEFAULT_WORKING);
		expect(WorkingSchema.safeParse({ neckFirmLevel: 3 }).success).toBe(false);
		expect(WorkingSchema.safeParse({ other: 1 }).success).toBe(false);
	});
	test('change the answer where they are asked', () => {
		const sequence = only(step('n', ['sternocleidomastoid'], { aim: 'release', pressure: 1 }));
		const strict = { ...CONTEXT, working: { ...DEFAULT_WORKING, neckFirmLevel: 1 as const } };
		expect(judge(sequence, CONTEXT).findings.map((f) => f.ruleId)).not.toContain('neck-both-sides');
		expect(judge(sequence, strict).findings.map((f) => f.ruleId)).toContain('neck-both-sides');
	});
});
