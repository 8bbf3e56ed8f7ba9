import { expect, test } from 'vitest';
import { meanInterval } from './meanInterval';

test('by hand: 1, 2, 3 are 2 ± 4.303 / √3; one value has no interval', () => {
	const { middle, low, high } = meanInterval([1, 2, 3]);
	expect([middle, low, high]).toEqual([2, expect.closeTo(2 - 2.4843, 3), expect.closeTo(2 + 2.4843, 3)]);
	expect(() => meanInterval([1])).toThrow();
});
