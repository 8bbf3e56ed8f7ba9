import { expect, test } from 'vitest';
import { emptyAssessment } from '../core/assess/assessment';
import { withReading } from '../core/assess/repeats';
import type { Session } from '../core/records/session';
import { NOW } from '../core/testing';
import { DEFAULT_WORKING } from '../core/working/defaultWorking';
import { TapeErrors } from './tapeErrors.svelte';

const spot = { side: 'left' } as const;
const taken = (...mm: number[]) =>
	mm.reduce((a, value, i) => withReading(a, 'tragus-mouth-corner', spot, i + 1, value), emptyAssessment(NOW));
/** The latest first, as the store gives them. */
const sessions = Array.from({ length: 90 }, (_, i) => ({
	before: i % 3 ? taken(100) : taken(100, 101),
	after: null
})) as unknown as Session[];
const repo = (list: readonly Session[]) => ({
	latestSessions: (most: number, skip = 0) => Promise.resolve(list.slice(skip, skip + most))
});

test('readings that were taken again, of all clients, tell the error; they are read page by page', async () => {
	const tape = new TapeErrors(repo(sessions), () => DEFAULT_WORKING);
	expect(tape.ready).toBe(false);
	await tape.read();
	expect([tape.ready, tape.repeated.length, tape.own['tragus-mouth-corner']!.ownDf]).toEqual([true, 30, 30]);
	expect(tape.own['tragus-mouth-corner']!.own).toBeCloseTo(Math.SQRT1_2, 9);
});
test('a store that fails leaves the working values, and the page is shown all the same', async () => {
	const tape = new TapeErrors({ latestSessions: () => Promise.reject(new Error('gone')) }, () => DEFAULT_WORKING);
	await expect(tape.read()).rejects.toThrow('gone');
	expect([tape.ready, tape.own]).toEqual([true, {}]);
});
