import { describe, expect, test } from 'vitest';
import { positionAt } from '$lib/core/perform/position';
import { captionOf } from '$lib/core/perform/caption';
import { expand } from '$lib/core/sequence/expand';
import { CONTEXT, sequenceOf, step } from '$lib/core/testing';
import { fingerAt } from './finger';
import { smallTargets } from './hitTargets';
import { frameFor } from './lookAt';
import { frameOf } from './orientation';
import { partOf, pathPoints, pointAlong } from './strokeShape';

describe('a way on the figure', () => {
	test('never turns back on itself at a node group beside it', () => {
		const points = pathPoints('front', ['nasolabial', 'buccal', 'n:facial', 'n:submandibular'], 'left');
		for (let i = 1; i < points.length - 1; i++) {
			const [a, b, c] = [points[i - 1]!, points[i]!, points[i + 1]!];
			const dot = (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1]);
			expect(dot / (Math.hypot(b[0] - a[0], b[1] - a[1]) * Math.hypot(c[0] - b[0], c[1] - b[1]))).toBeGreaterThan(
				-0.26
			);
		}
		expect(points.length).toBeGreaterThanOrEqual(2);
	});
	test('has a point at each part of it', () => {
		const line = [
			[0, 0],
			[10, 0],
			[10, 10]
		] as const;
		expect([pointAlong(line, 0), pointAlong(line, 0.25), pointAlong(line, 1), pointAlong([], 0)]).toEqual([
			[0, 0],
			[5, 0],
			[10, 10],
			null
		]);
		expect(partOf(line, 0)).toHaveLength(2);
		expect(partOf(line, 1)).toHaveLength(3);
	});
});

describe('the hand', () => {
	const sweep = step('a', ['malar', 'zygoma'], { side: { each: true, first: 'left' }, paceSeconds: 2, reverse: true });
	const events = expand(sequenceOf([sweep]), CONTEXT);
	test('runs along the way in a repetition, back on the way back, and rests while sides change', () => {
		expect(fingerAt(positionAt(events, 0.01), sweep)).toMatchObject({ side: 'left', kind: 'work' });
		expect(fingerAt(positionAt(events, 1.56), sweep)!.along).toBeCloseTo(1, 2);
		const back = events.find((e) => e.direction === 'back')!;
		expect(fingerAt(positionAt(events, back.startSeconds + 0.01), sweep)!.along).toBeGreaterThan(0.9);
		const change = events.find((e) => e.kind === 'transition')!;
		expect(fingerAt(positionAt(events, change.startSeconds), sweep)).toBeNull();
		expect(fingerAt(positionAt(events, 1e6), sweep)).toBeNull();
	});
	test('is told in words', () => {
		expect(captionOf(positionAt(events, 2.5))).toBe('left, stroke 2 of 5');
		expect(captionOf(positionAt(events, events.find((e) => e.direction === 'back')!.startSeconds))).toBe(
			'left, back, stroke 1 of 5'
		);
		expect(captionOf(positionAt(events, 2.5), 'breaths')).toBe('left, breath 2 of 5');
		expect([captionOf(positionAt(events, 2.5), 'seconds'), captionOf(positionAt(events, 1e6))]).toEqual(['left', '']);
	});
});

describe('looking closely', () => {
	test('the eyes lie in the frame of the eyes, on both sides alike', () => {
		const frame = frameFor('eye', 'front', 'facing')!;
		expect(frame.x + frame.width / 2).toBeCloseTo(400, 0);
		expect(frame.height).toBeLessThan(frameOf('front', false).height / 2);
		expect([frameFor('head', 'front', 'facing'), frameFor('chest', 'profile', 'mirror')]).toEqual([null, null]);
	});
	test('turned to the head end, the neck is up', () => {
		const [up, down] = [frameFor('neck', 'front', 'head-end')!, frameFor('neck', 'front', 'facing')!];
		expect(up.y).toBeLessThan(down.y);
	});
});

test('node groups are small targets with all their marks, on the side they belong to', () => {
	const [left, right, zone] = smallTargets('front', [
		{ place: 'n:deep-cervical', side: 'left' },
		{ place: 'n:deep-cervical', side: 'right' },
		{ place: 'malar', side: 'left' }
	]);
	expect(left!.size).toBe(0);
	expect(left!.points.length).toBeGreaterThan(1);
	expect(right!.points[0]![0] + left!.points[0]![0]).toBeCloseTo(800, 6);
	expect(zone!.size).toBeGreaterThan(20);
});
