import { expect, test } from 'vitest';
import { step } from '../testing';
import { firmOnBothSides } from './neck';

const FIRM = 2;
const left = (change: object = {}) =>
	step('n', ['sternocleidomastoid'], { side: 'left', motion: 'press-hold', pressure: 2, ...change });

test('what a second hand does beside it counts as deep as that hand works', () => {
	const beside = { beside: ['sternocleidomastoid:right' as const] };
	expect(firmOnBothSides(left(), FIRM)).toBe(false);
	expect(firmOnBothSides(left(beside), FIRM)).toBe(true);
	expect(firmOnBothSides(left({ ...beside, besideWork: { pressure: 1 } }), FIRM)).toBe(false);
	expect(firmOnBothSides(left({ pressure: 1, ...beside, besideWork: { pressure: 3 } }), FIRM)).toBe(false);
	expect(
		firmOnBothSides(left({ side: 'both', pressure: 1, besideWork: { pressure: 3 }, beside: ['throat'] }), FIRM)
	).toBe(true);
});
test('a stroke that swells is as firm as at its deepest', () => {
	const both = { side: 'both', motion: 'stroke', pressure: 1 };
	expect(firmOnBothSides(left(both), FIRM)).toBe(false);
	expect(firmOnBothSides(left({ ...both, swellsTo: 2 }), FIRM)).toBe(true);
});
