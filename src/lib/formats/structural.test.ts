import { describe, expect, test } from 'vitest';
import type { PlaceRef } from '../core/atlas/places';
import { readSequenceFile, writeSequenceFile } from './sequenceFile';
import { judge } from '../core/rules/judge';
import { CONTEXT, pump, sequenceOf, step } from '../core/testing';
import { balanceOf } from '../core/sequence/balance';
import { expand } from '../core/sequence/expand';
import type { Block, Sequence } from '../core/sequence/sequence.schema';
import type { Step } from '../core/step/step.schema';
import { timingOf } from '../core/sequence/timing';

/** Shapes that routines of practitioners really have. Each must be expressible as it is, timed right and survive a file. */
const bare = (s: Step): Step => {
	const { side: _side, ...rest } = s;
	return rest;
};
const inBlock = (sides: Block['sides'], steps: Step[]): Sequence => {
	const base = sequenceOf([]);
	return { ...base, phases: [{ ...base.phases[0]!, blocks: [{ id: 'b', title: '', sides, steps }] }] };
};
const reps = (n: number) => ({ kind: 'reps' as const, min: n, target: n, max: n });
const seconds = (n: number) => ({ kind: 'seconds' as const, min: n, target: n, max: n });
const breaths = (n: number) => ({ kind: 'breaths' as const, min: n, target: n, max: n });
const secondsOf = (sequence: Sequence) => expand(sequence, CONTEXT).at(-1)!.endSeconds;
const sidesOf = (sequence: Sequence) =>
	expand(sequence, CONTEXT)
		.filter((e) => e.kind === 'work')
		.map((e) => `${e.stepId}${e.side[0]}`);
const fromFile = (sequence: Sequence) => {
	const read = readSequenceFile(writeSequenceFile(sequence));
	if (!read.ok) throw new Error(read.problems[0]!.message);
	return read.value;
};
const LEFT_RIGHT = { each: true as const, first: 'left' as const };

interface Case {
	readonly name: string;
	readonly sequence: Sequence;
	/** By hand. */
	readonly seconds: number;
}

const strokes = ['a', 'b', 'c'].map((id) => bare(step(id, ['malar', 'zygoma'], { dose: reps(6), paceSeconds: 2 })));
const FACE: PlaceRef[] = [
	'forehead-medial',
	'temple',
	'brow',
	'glabella',
	'nose-wing',
	'malar',
	'zygoma',
	'buccal',
	'nasolabial',
	'chin',
	'jawline',
	'masseter',
	'ear',
	'nape'
];

const CASES: readonly Case[] = [
	{
		name: 'three moves on the left, then the same three on the right',
		sequence: inBlock(LEFT_RIGHT, strokes),
		seconds: 3 * 12 + 2 + 3 * 12
	},
	{
		name: 'right side first',
		sequence: inBlock({ each: true, first: 'right' }, strokes),
		seconds: 74
	},
	{
		name: 'a stroke that stops at four points for a breath each',
		sequence: sequenceOf([
			step('a', ['chin', 'jawline', 'masseter', 'preauricular'], {
				dose: reps(2),
				paceSeconds: 4,
				breath: 'one-a-station',
				stations: {
					places: ['chin', 'jawline', 'masseter', 'preauricular'],
					hold: { kind: 'breaths', amount: 1 }
				}
			})
		]),
		seconds: 2 * (4 + 4 * 10)
	},
	{
		name: 'one place circled ten times, then reversed, on the out-breath',
		sequence: sequenceOf([
			step('a', ['temple'], {
				aim: 'release',
				motion: 'pinned-circle',
				dose: reps(10),
				paceSeconds: 0.7,
				reverse: true,
				breath: 'out-while-pressing'
			})
		]),
		seconds: 14
	},
	{
		name: 'two tool swipes in an inner, then an outer lane, with a wiggle at the hairline',
		sequence: sequenceOf([
			step('a', ['brow', 'forehead-lateral', 'hairline'], {
				aim: 'lift',
				motion: 'scrape',
				contact: 'tool',
				tool: { id: 'stone-plate', edge: 'long-convex', tiltDegrees: 15 },
				dose: reps(2),
				paceSeconds: 3,
				lanes: 2,
				end: { kind: 'wiggle' }
			})
		]),
		seconds: 6 + 2 * 2 * 3
	},
	{
		name: 'lifts hand over hand where one hand always stays',
		sequence: sequenceOf([
			step('a', ['jawline', 'buccal', 'malar'], {
				aim: 'lift',
				motion: 'hand-over-hand',
				contact: 'flat-hand',
				dose: reps(20),
				paceSeconds: 0.6,
				side: LEFT_RIGHT,
				support: { place: 'jawline', stays: true }
			})
		]),
		seconds: 12 + 2 + 12
	},
	{
		name: 'a hold with the head leaning into the thumbs',
		sequence: sequenceOf([
			step('a', ['nape'], { aim: 'release', contact: 'thumbs', dose: breaths(2), posture: 'leaning' })
		]),
		seconds: 3 + 20
	},
	{
		name: 'half a minute a place over fourteen places, with no medium',
		sequence: sequenceOf([step('a', FACE, { aim: 'settle', motion: 'press-hold', dose: seconds(30), pressure: 0 })]),
		seconds: 14 * 30
	},
	{
		name: 'a thumb inside the cheek, and the glove change after it',
		sequence: sequenceOf([
			step('a', ['buccal'], {
				aim: 'release',
				motion: 'squeeze-stroke',
				contact: 'thumb-inside',
				tool: { id: 'gloves' },
				dose: seconds(30),
				side: LEFT_RIGHT
			}),
			step('b', ['malar', 'zygoma'], { dose: reps(5), paceSeconds: 2 })
		]),
		// Gloves on; off is a moment.
		seconds: 30 + 30 + 2 + 30 + 10
	},
	{
		name: 'removing the oil, a client exercise, then tape',
		sequence: sequenceOf([
			step('a', [], {
				aim: 'cleanse',
				target: 'skin',
				motion: 'sweep',
				contact: 'tool',
				tool: { id: 'cloth' },
				dose: seconds(30)
			}),
			step('b', ['submental'], {
				aim: 'exercise',
				by: 'client',
				motion: 'resisted',
				contact: 'none',
				mouth: 'tongue-up',
				dose: reps(8),
				paceSeconds: 3,
				side: 'midline',
				pressure: 0
			}),
			step('c', ['glabella'], {
				aim: 'fix',
				motion: 'none',
				contact: 'tool',
				tool: { id: 'tape' },
				tape: { lengthMm: 30, widthMm: 8, wearHours: 3 },
				dose: seconds(30),
				side: 'midline',
				pressure: 0
			})
		]),
		seconds: 6 + 30 + 24 + 6 + 30
	},
	{
		name: 'the same nodes pumped at the start and at the end',
		sequence: sequenceOf([pump('a', 'terminus'), step('b', ['nape'], { aim: 'release' }), pump('c', 'terminus')]),
		seconds: 7 + 10 + 7
	},
	{
		name: 'one side deliberately twice',
		sequence: sequenceOf([
			step('a', ['masseter'], { aim: 'release', side: LEFT_RIGHT }),
			step('b', ['masseter'], { aim: 'release', side: 'left', reason: 'the left is tighter' })
		]),
		seconds: 10 + 2 + 10 + 2 + 10
	},
	{
		name: 'a final sweep from the forehead to the collarbone in one stroke',
		sequence: sequenceOf([
			step(
				'a',
				[
					'forehead-medial',
					'forehead-lateral',
					'temple',
					'preauricular',
					'sternocleidomastoid',
					'supraclavicular',
					'n:terminus'
				],
				{ aim: 'close', motion: 'sweep', levels: [1, 1, 1, 1, 1, 1, 1], dose: reps(3), paceSeconds: 6 }
			)
		]),
		seconds: 18
	},
	{
		name: 'a count range with “until warm”, capped at a minute',
		sequence: sequenceOf([
			step('a', ['nape'], {
				aim: 'release',
				motion: 'knead',
				dose: { kind: 'seconds', min: 20, target: 30, max: 90 },
				until: { signs: ['warm'], capSeconds: 60 }
			})
		]),
		seconds: 30
	}
];

describe.each(CASES)('$name', ({ sequence, seconds: expected }) => {
	test('takes the time worked out by hand', () => expect(secondsOf(sequence)).toBeCloseTo(expected, 6));
	test('goes into a file and comes back the same', () => expect(fromFile(sequence)).toEqual(sequence));
	test('is judged without a stop', () => {
		expect(judge(sequence, CONTEXT).findings.filter((f) => f.severity === 'stop')).toEqual([]);
	});
});

const caseOf = (name: string) => CASES.find((c) => c.name.startsWith(name))!.sequence;

test('three moves left, then right, differ from switching sides inside each move', () => {
	expect(sidesOf(caseOf('three moves'))).toEqual(['al', 'bl', 'cl', 'ar', 'br', 'cr']);
	expect(sidesOf(caseOf('right side first'))).toEqual(['ar', 'br', 'cr', 'al', 'bl', 'cl']);
	const switching = sequenceOf(strokes.map((s) => ({ ...s, side: LEFT_RIGHT })));
	expect(sidesOf(switching)).toEqual(['al', 'ar', 'bl', 'br', 'cl', 'cr']);
	expect(secondsOf(switching)).toBe(3 * 12 * 2 + 5 * 2);
});

test('a side done twice on purpose counts, and is not called uneven', () => {
	const sequence = caseOf('one side deliberately twice');
	const load = balanceOf(expand(sequence, CONTEXT), CONTEXT.working).zones.get('masseter')!;
	expect([load.left.seconds, load.right.seconds]).toEqual([20, 10]);
	expect(judge(sequence, CONTEXT).findings.map((f) => f.ruleId)).not.toContain('uneven-sides');
});

test('until warm: at least the minimum, at most the cap', () => {
	const t = timingOf(caseOf('a count range'), CONTEXT);
	expect([t.minSeconds, t.expectedSeconds, t.maxSeconds]).toEqual([20, 30, 60]);
});

test('a short version may end after a phase, and the mark survives a file', () => {
	const base = caseOf('the same nodes');
	const marked = { ...base, phases: base.phases.map((p) => ({ ...p, exitAfter: true })) };
	expect(fromFile(marked).phases[0]!.exitAfter).toBe(true);
});

test('a move that replaces a product step keeps its name', () => {
	const s = step('a', ['malar', 'zygoma'], { replaces: 'eye cream', medium: { id: 'eye cream', ml: 0.2 } });
	const sequence = sequenceOf([s]);
	expect(fromFile(sequence).phases[0]!.blocks[0]!.steps[0]!.replaces).toBe('eye cream');
	expect(secondsOf(sequence)).toBe(20 + 10);
});
