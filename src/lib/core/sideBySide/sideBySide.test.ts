import { describe, expect, test } from 'vitest';
import { CONTEXT, pump, sequenceOf, step } from '../testing';
import { sideBySide, withIdsOf } from './sideBySide';

const FIRST = sequenceOf(
	[pump('a', 'terminus'), step('b', ['malar', 'zygoma']), step('c', ['chin', 'jawline'], { pressure: 2 })],
	{ title: 'One' }
);
const SECOND = sequenceOf(
	[pump('x', 'terminus'), step('y', ['chin', 'jawline'], { pressure: 3 }), step('z', ['malar', 'zygoma'])],
	{ title: 'Two', budgetSeconds: 300 }
);

describe('two sequences', () => {
	const c = sideBySide(FIRST, SECOND, CONTEXT);
	test('are told apart in words, however their ids came about', () => {
		expect(c.head).toEqual(['title: Two, was One', 'time: 5:00, was 10:00']);
		expect(c.steps.map((d) => `${d.kind} ${d.text}`)).toEqual([
			'changed pressure firm (3), was medium (2)',
			'moved Apple of the cheek to cheekbone, was 2'
		]);
	});
	test('are counted: steps, seconds by level and by zone', () => {
		// 7 pumps of 1 s, and 5 strokes of 2 s at each of two levels.
		expect(c.figures.map((f) => [f.steps, f.levelSeconds[1], f.levelSeconds[2], f.levelSeconds[3]])).toEqual([
			[3, 17, 10, 0],
			[3, 17, 0, 10]
		]);
		// A stroke over two places gives each half of its time.
		expect(c.zones.find((z) => z.zone === 'malar')!.seconds).toEqual([5, 5]);
	});
	test('one with itself differs in nothing', () => {
		const same = sideBySide(FIRST, FIRST, CONTEXT);
		expect([same.head, same.steps]).toEqual([[], []]);
		expect(withIdsOf(FIRST, FIRST)).toEqual(FIRST);
	});
});
