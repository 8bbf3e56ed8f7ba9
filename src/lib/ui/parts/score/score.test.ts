import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Level } from '$lib/core/step/levels';
import { expand } from '$lib/core/sequence/expand';
import type { Sequence } from '$lib/core/sequence/sequence.schema';
import { stepsOf } from '$lib/core/sequence/walk';
import { anySequence, CONTEXT, pump, sequenceOf, step } from '$lib/core/testing';
import {
	contours,
	FULL_HEIGHTS,
	gate,
	gateArc,
	secondsAt,
	shore,
	stream,
	swell,
	xAt,
	yDown,
	yUp,
	type ScoreFrame
} from './scoreGeometry';
import { scorePhases, scoreSteps } from './scoreLayout';

const frame: ScoreFrame = { seconds: 600, x0: 20, x1: 1220, mid: 104, bar: 16, heights: FULL_HEIGHTS, swing: 1 };
const numbers = (d: string) => (d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
const level = fc.constantFrom<Level>(0, 1, 2, 3, 4);
const span = fc.tuple(fc.double({ min: 20, max: 1100, noNaN: true }), fc.double({ min: 3, max: 100, noNaN: true }));
const direction = fc.constantFrom<-1 | 1>(-1, 1);

describe('geometry', () => {
	test('time to place and back', () => {
		expect([xAt(frame, 0), xAt(frame, 300), xAt(frame, 600)]).toEqual([20, 620, 1220]);
		fc.assert(
			fc.property(fc.double({ min: 0, max: 600, noNaN: true }), (s) => {
				expect(secondsAt(frame, xAt(frame, s))).toBeCloseTo(s, 6);
			})
		);
		expect(secondsAt(frame, -50)).toBe(0);
		expect(secondsAt(frame, 5000)).toBe(600);
		expect(xAt({ ...frame, seconds: 0 }, 10)).toBe(20);
	});
	test('a swell stands on its own side of the shore, inside its span, as high as its level', () => {
		fc.assert(
			fc.property(span, level, direction, fc.boolean(), ([a, w], l, dir, hold) => {
				const s = swell(frame, a, a + w, l, dir, hold);
				expect(s.x0).toBeGreaterThanOrEqual(a);
				expect(s.x1).toBeLessThanOrEqual(a + w);
				expect(s.crestX).toBeGreaterThan(s.x0);
				expect(s.crestX).toBeLessThanOrEqual(s.x1);
				const base = dir < 0 ? yUp(frame, s.x0) : yDown(frame, s.x0);
				expect(dir * (s.top - base)).toBeGreaterThan(FULL_HEIGHTS[l] - 6);
				expect(s.d).toMatch(/^M[\d. -]+C[\d. -]+L[\d. -]+C[\d. -]+$/);
				expect(s.closed.endsWith('Z')).toBe(true);
			})
		);
	});
	test('more pressure is higher, with one more line inside', () => {
		const tops = ([0, 1, 2, 3, 4] as const).map((l) => swell(frame, 100, 160, l, -1).top);
		tops.slice(1).forEach((t, i) => expect(t).toBeLessThan(tops[i]!));
		expect(([0, 1, 2, 3, 4] as const).map((l) => contours(frame, 100, 160, l, -1, false).length)).toEqual([
			0, 0, 1, 2, 3
		]);
	});
	test('gates open the whole bar, or one half', () => {
		const heights = (dir: -1 | 0 | 1) => {
			const all = numbers(gate(frame, 100, 130, dir).gap);
			return { top: all[1]!, foot: all.at(-1)! };
		};
		const [whole, upper, lower] = [heights(0), heights(-1), heights(1)];
		expect(upper.top).toBe(whole.top);
		expect(lower.foot).toBe(whole.foot);
		expect(upper.foot).toBe(lower.top);
		expect(whole.foot - whole.top).toBeCloseTo(frame.bar + 1.6, 1);
		expect(gateArc(frame, 100, 130, -1, 1)).toContain('A14 30 0 0 1');
		expect(gateArc(frame, 100, 130, 1, 1)).toContain('A14 30 0 0 0');
	});
	test('a stream runs out to sea with a bead for each node but the last, which is the outlet', () => {
		const s = stream({ x: 100, y: 60 }, 20, 4);
		expect(s.beads).toHaveLength(3);
		expect(s.outlet[1]).toBeCloseTo(20, 6);
		expect(s.outlet[0]).toBeGreaterThan(120);
		s.beads.slice(1).forEach(([, y], i) => expect(y).toBeLessThan(s.beads[i]![1]));
		expect(stream({ x: 0, y: 0 }, 10, 0).beads).toEqual([]);
	});
	test('the sand is the same at each drawing, and lies within the bar', () => {
		const land = shore(frame, 200);
		expect(shore(frame, 200)).toEqual(land);
		expect(land.outline.endsWith('Z')).toBe(true);
		const ys = [...land.grain.matchAll(/M[\d.-]+ ([\d.-]+)h/g)].map((m) => Number(m[1]));
		expect(ys).toHaveLength(200);
		for (const y of ys) expect(Math.abs(y - frame.mid)).toBeLessThan(frame.bar / 2 + 5);
	});
});

describe('layout', () => {
	const of = (sequence: Sequence) => {
		const byId = new Map(stepsOf(sequence).map((s) => [s.step.id, s]));
		return scoreSteps(expand(sequence, CONTEXT), byId);
	};
	test('both sides mirror, one after the other stagger, in turn overlap', () => {
		const spans = (side: Parameters<typeof step>[2]) =>
			of(sequenceOf([step('a', ['chin', 'jawline'], side)]))[0]!.spans.map((s) => [
				s.dir,
				s.startSeconds,
				s.endSeconds
			]);
		expect(spans({ side: 'both' })).toEqual([
			[-1, 0, 10],
			[1, 0, 10]
		]);
		expect(spans({ side: { each: true, first: 'left' } })).toEqual([
			[-1, 0, 10],
			[1, 12, 22]
		]);
		expect(spans({ side: { alternate: true, first: 'left' } })).toEqual([
			[-1, 0, 18],
			[1, 2, 20]
		]);
		expect(spans({ side: 'right' })).toEqual([[1, 0, 10]]);
	});
	test('gates are pumps on nodes; holds are flat; breaths are counted; links leave on their sides', () => {
		const end = {
			kind: 'link' as const,
			places: ['n:tonsillar' as const, 'n:terminus' as const],
			pumps: 3,
			by: 'hand' as const
		};
		const [open, hold, linked] = of(
			sequenceOf([
				pump('o', 'terminus'),
				step('h', ['nape'], { aim: 'release', dose: { kind: 'breaths', min: 1, target: 2, max: 3 } }),
				step('l', ['chin', 'jawline'], { side: { each: true, first: 'left' }, end })
			])
		);
		expect([open!.gate, open!.tone]).toEqual([true, 'open']);
		expect([hold!.hold, hold!.breaths, hold!.gate]).toEqual([true, 2, false]);
		expect(linked!.links).toEqual([
			{ dir: -1, nodes: 2 },
			{ dir: 1, nodes: 2 }
		]);
	});
	test('a step in a block done side by side appears once on each side', () => {
		const { side: _side, ...bare } = step('a', ['chin', 'jawline']);
		const base = sequenceOf([]);
		const sides = { each: true as const, first: 'left' as const };
		const blocks = [{ id: 'b', title: '', sides, steps: [bare, { ...bare, id: 'b' }] }];
		const list = of({ ...base, phases: [{ ...base.phases[0]!, blocks }] });
		expect(list.map((s) => `${s.placed.step.id}${s.spans[0]!.dir}`)).toEqual(['a-1', 'b-1', 'a1', 'b1']);
		expect(new Set(list.map((s) => s.key)).size).toBe(4);
	});
	test('what the score shows covers the whole time without a gap', () => {
		fc.assert(
			fc.property(anySequence, (sequence) => {
				const list = of(sequence);
				list.slice(1).forEach((s, i) => expect(s.startSeconds).toBeCloseTo(list[i]!.endSeconds, 6));
				const events = expand(sequence, CONTEXT);
				const phases = scorePhases(events, new Map(sequence.phases.map((p) => [p.id, p.title])));
				expect(phases.at(-1)?.endSeconds ?? 0).toBeCloseTo(events.at(-1)?.endSeconds ?? 0, 6);
			}),
			{ numRuns: 60 }
		);
	});
});
