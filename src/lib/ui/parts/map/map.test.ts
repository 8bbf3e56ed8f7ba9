import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { FIGURE } from '$lib/core/atlas/geometry';
import { PLACE_IDS } from '$lib/core/atlas/places';
import { ZONE_IDS } from '$lib/core/atlas/zones';
import { step } from '$lib/core/testing';
import { drawnSides } from './drawnSides';
import { focusFrame, frameOf, sideOnViewersLeft, turnOf } from './orientation';
import {
	anchorOf,
	boundsOf,
	brush,
	endAngle,
	offset,
	pathPoints,
	polyline,
	smooth,
	waterLine,
	wave
} from './strokeShape';

const numbers = (d: string) => (d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);

describe('paths on the figure', () => {
	test('every place stands somewhere in at least one view', () => {
		for (const place of PLACE_IDS) expect(anchorOf('front', place) ?? anchorOf('profile', place), place).not.toBeNull();
		expect(anchorOf('front', 'postauricular')).toBeNull();
		expect(anchorOf('front', 'n:occipital')).toBeNull();
	});
	test('the right side is the mirror image of the left, also where the neck chain has three marks', () => {
		for (const places of [
			['lower-eyelid', 'zygoma', 'n:preauricular'],
			['under-jaw', 'sternocleidomastoid', 'n:deep-cervical', 'n:terminus']
		] as const) {
			const left = pathPoints('front', places, 'left');
			const right = pathPoints('front', places, 'right');
			expect(right).toEqual(left.map(([x, y]) => [800 - x, y]));
		}
	});
	test('an element with its own side stands there', () => {
		const [a, b] = pathPoints('front', ['chin:left', 'chin:right'], 'left');
		expect(a![0]).toBeGreaterThan(400);
		expect(b![0]).toBeLessThan(400);
	});
	test('a zone and the node under it are one spot, so that a line never turns on itself', () => {
		expect(pathPoints('front', ['zygoma', 'preauricular', 'n:preauricular'], 'left')).toHaveLength(2);
	});
	test('places that a view does not show are left out', () => {
		expect(pathPoints('front', ['postauricular'], 'left')).toEqual([]);
		expect(pathPoints('profile', ['postauricular'], 'left')).toHaveLength(1);
	});
});

describe('strokes', () => {
	const point = fc.tuple(fc.double({ min: 0, max: 800, noNaN: true }), fc.double({ min: 0, max: 900, noNaN: true }));
	test('a smooth line keeps both ends', () => {
		fc.assert(
			fc.property(fc.array(point, { minLength: 2, maxLength: 6 }), (points) => {
				const line = smooth(points);
				expect(line[0]![0]).toBeCloseTo(points[0]![0], 6);
				expect(line.at(-1)![1]).toBeCloseTo(points.at(-1)![1], 6);
				for (const [x, y] of line) expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true);
			})
		);
		expect(smooth([])).toEqual([]);
	});
	test('the brush is a closed shape that is thin at the start and full towards the finger', () => {
		const line = Array.from({ length: 21 }, (_, i) => [i * 10, 100] as const);
		const d = brush(line, 8);
		expect(d.startsWith('M') && d.endsWith('Z')).toBe(true);
		const half = (i: number) => Math.abs(numbers(d)[2 * i + 1]! - 100);
		expect(half(0)).toBeLessThan(1);
		expect(half(14)).toBeGreaterThan(half(4));
		expect(Math.max(...line.map((_, i) => half(i)))).toBeLessThanOrEqual(8.6);
		expect(brush([[0, 0]], 8)).toBe('');
	});
	test('lanes run beside each other', () => {
		const line = [
			[0, 0],
			[10, 0],
			[20, 0]
		] as const;
		expect(offset(line, 6).map(([, y]) => y)).toEqual([6, 6, 6]);
		expect(polyline([])).toBe('');
		expect(polyline(line)).toBe('M0 0L10 0L20 0');
		expect(endAngle(line)).toBe(0);
	});
	test('water lines lie inside their zone, higher for each grade', () => {
		for (const zone of ZONE_IDS) {
			const d = FIGURE.front.zones[zone]?.d ?? FIGURE.profile.zones[zone]!.d;
			const box = boundsOf(d);
			const ys = [1, 2, 3, 4].map((i) => waterLine(d, i).y);
			ys.slice(1).forEach((y, i) => expect(y).toBeLessThan(ys[i]!));
			expect(ys[0]).toBeLessThan(box.y + box.height);
			expect(ys[3]).toBeGreaterThan(box.y);
		}
		expect(wave(0, 10, 24)).toMatch(/^M0 10q/);
	});
});

describe('how one stands', () => {
	test('facing shows the client’s right on the viewer’s left; a mirror and the head end swap it', () => {
		expect(sideOnViewersLeft('facing')).toBe('right');
		expect(sideOnViewersLeft('mirror')).toBe('left');
		expect(sideOnViewersLeft('head-end')).toBe('left');
	});
	test('the figure turns about the middle of its frame', () => {
		const frame = frameOf('front', false);
		expect(turnOf('front', 'facing', frame)).toBe('');
		expect(turnOf('front', 'mirror', frame)).toBe('matrix(-1 0 0 1 800 0)');
		expect(turnOf('front', 'head-end', frame)).toBe('rotate(180 400 345)');
	});
	test('a closer look holds its points, in every orientation, and is never too close', () => {
		const points = [
			[460, 280],
			[530, 296]
		] as const;
		for (const orientation of ['facing', 'mirror', 'head-end'] as const) {
			const f = focusFrame('front', orientation, points, 1.34);
			expect(f.width).toBeGreaterThanOrEqual(300);
			expect(f.width / f.height).toBeCloseTo(1.34, 6);
			for (const [x0, y0] of points) {
				const x = orientation === 'facing' ? x0 : 800 - x0;
				const y = orientation === 'head-end' ? 960 - y0 : y0;
				expect(x > f.x && x < f.x + f.width && y > f.y && y < f.y + f.height).toBe(true);
			}
		}
		expect(focusFrame('front', 'facing', [], 1.34)).toEqual(frameOf('front', false));
	});
	test('sides drawn: the one in work, then the next', () => {
		const each = step('a', ['chin', 'jawline'], { side: { each: true, first: 'right' } });
		expect(drawnSides(each, 'front', null)).toEqual([
			{ side: 'left', now: false },
			{ side: 'right', now: true }
		]);
		expect(drawnSides(each, 'front', 'left')[0]!.now).toBe(true);
		expect(drawnSides(step('a', ['chin'], { side: 'left' }), 'front', null)).toEqual([{ side: 'left', now: true }]);
		expect(drawnSides(step('a', ['chin'], { side: 'right' }), 'profile', null)).toEqual([]);
		expect(drawnSides(step('a', ['chin']), 'front', null).every((s) => s.now)).toBe(true);
	});
});
