import { expect, test } from 'vitest';
import { nearlyFull } from './plainWords';

const MB = 1_048_576;
test('a place that is nearly full is said with what is left and what to do; else, or where nobody can tell, nothing', async () => {
	const told = (usage: number, quota: number) => nearlyFull(() => Promise.resolve({ usage, quota }));
	expect(await told(95 * MB, 100 * MB)).toBe(
		'This browser’s place for records is nearly full: about 5 MB are left. Export a backup now, then remove photographs you no longer need.'
	);
	expect([await told(89 * MB, 100 * MB), await told(0, 0)]).toEqual(['', '']);
	expect(await nearlyFull(() => Promise.reject(new Error('no')))).toBe('');
	expect(await nearlyFull(() => Promise.resolve({}))).toBe('');
});
