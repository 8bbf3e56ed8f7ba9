import { expect, test } from 'vitest';
import { expand } from '../sequence/expand';
import { CONTEXT, sequenceOf, step } from '../testing';
import { fontPx, screenOf } from './legible';
import { levelNow } from './levelNow';
import { positionAt } from './position';

test('by hand: figures of 20 and 16 arc minutes at 1.5 m on a tablet, a laptop and a phone', () => {
	expect([fontPx(20, 'tablet'), fontPx(16, 'tablet')]).toEqual([65, 52]);
	expect([fontPx(20, 'laptop'), fontPx(16, 'laptop')]).toEqual([56, 45]);
	expect([fontPx(20, 'phone'), fontPx(16, 'phone')]).toEqual([75, 60]);
	expect(fontPx(20, 'laptop', 3)).toBe(112);
	expect([screenOf(1280, 800), screenOf(820, 1180), screenOf(390, 844), screenOf(844, 390)]).toEqual([
		'laptop',
		'tablet',
		'phone',
		'phone'
	]);
});

test('a pressure that rises, or goes from place to place, is the one of this moment', () => {
	const at = (change: object, seconds: number) => {
		const one = step('a', ['chin', 'jawline', 'masseter'], change);
		return levelNow(positionAt(expand(sequenceOf([one]), CONTEXT), seconds), one);
	};
	const hold = {
		motion: 'press-hold',
		places: ['chin'],
		pressure: 1,
		risesTo: 3,
		dose: { kind: 'seconds', min: 9, target: 9, max: 9 },
		paceSeconds: 9
	};
	expect([0, 4.5, 8.9].map((s) => at(hold, s))).toEqual([1, 2, 3]);
	const along = { pressure: undefined, levels: [1, 2, 0], paceSeconds: 3 };
	expect([0.1, 1.5, 2.9].map((s) => at(along, s))).toEqual([1, 2, 0]);
	expect(at({ pressure: 2 }, 1)).toBe(2);
});
