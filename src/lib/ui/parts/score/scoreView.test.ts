import { describe, expect, test } from 'vitest';
import { expand } from '$lib/core/sequence/expand';
import { stepsOf } from '$lib/core/sequence/walk';
import { CONTEXT, pump, sequenceOf, step } from '$lib/core/testing';
import { bandRows } from './scoreBands';
import { FULL_HEIGHTS, type ScoreFrame } from './scoreGeometry';
import { scoreSteps } from './scoreLayout';
import { countFor, levelFor, silhouettes, stepBefore, stepsInSight, widthFor, zoomed } from './scoreView';
import { scoreWords } from './scoreWords';

const SEQUENCE = sequenceOf([
	pump('o', 'terminus'),
	step('a', ['malar', 'zygoma'], { contact: 'tool', tool: { id: 'roller' }, posture: 'turned' }),
	step('b', ['chin', 'jawline'], { contact: 'tool', tool: { id: 'roller' }, breath: 'in-before', mouth: 'o' }),
	step('c', ['chin', 'jawline'])
]);
const events = expand(SEQUENCE, CONTEXT);
const steps = scoreSteps(events, new Map(stepsOf(SEQUENCE).map((s) => [s.step.id, s])));
const total = events.at(-1)!.endSeconds;
const frame: ScoreFrame = { seconds: total, x0: 0, x1: total * 10, mid: 100, bar: 16, heights: FULL_HEIGHTS, swing: 0 };

describe('zoom', () => {
	test('a few seconds fill the view or the whole does, and nothing in between is skipped', () => {
		expect(widthFor(1000, 600, 600)).toBe(1000);
		expect(widthFor(1000, 600, 60)).toBe(10_000);
		expect(widthFor(1000, 36_000, 8)).toBe(240_000);
		expect([zoomed(100, 600, 1) < 100, zoomed(590, 600, -1), zoomed(9, 600, 1)]).toEqual([true, 600, 8]);
	});
	test('only what lies in sight is drawn, and all of it', () => {
		expect(stepsInSight(steps, frame, 0, total * 10)).toBe(steps);
		const some = stepsInSight(steps, frame, steps[2]!.startSeconds * 10, 20);
		expect(some).toContain(steps[2]);
		expect(some).not.toContain(steps[0]);
	});
	test('many steps are one outline a tone', () => {
		expect(silhouettes(steps, frame).map((s) => s.tone)).toEqual(['open', 'drain']);
	});
});

describe('dragging', () => {
	test('a width is a count, a height a level, a moment a place between steps', () => {
		expect([countFor(8, 100, 150), countFor(8, 100, -20)]).toEqual([12, 1]);
		expect(FULL_HEIGHTS.map((h) => levelFor(FULL_HEIGHTS, h + 3))).toEqual([0, 1, 2, 3, 4]);
		expect(levelFor(FULL_HEIGHTS, -50)).toBe(0);
		expect(stepBefore(steps, 0)).toBe(steps[0]);
		expect(stepBefore(steps, steps[1]!.startSeconds + 0.1)).toBe(steps[1]);
		expect(stepBefore(steps, total)).toBeNull();
	});
});

test('bands: a tool that stays in the hand is one band, and rows without anything are not there', () => {
	const rows = bandRows(steps);
	expect(rows.map((r) => [r.id, r.bands.map((b) => b.words)])).toEqual([
		['tool', ['roller']],
		['posture', ['head turned', 'mouth as an o']],
		['breath', ['in before']]
	]);
	expect(rows[0]!.bands[0]).toMatchObject({ startSeconds: steps[1]!.startSeconds, endSeconds: steps[2]!.endSeconds });
	expect(bandRows([steps[0]!])).toEqual([]);
});

test('a swell says everything in words', () => {
	expect(scoreWords(steps[1]!)).toMatch(
		/^2\. Drain: Apple of the cheek to cheekbone, roller, light, 5 ×, both, from 0:\d\d to 0:\d\d$/
	);
});
