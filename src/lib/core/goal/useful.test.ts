import { expect, test } from 'vitest';
import { TECHNIQUES } from '../technique/library';
import { GOAL_IDS } from './goals';
import { usefulFor, usefulness } from './useful';

const byId = (id: string) => TECHNIQUES.find((t) => t.id === id)!;

test('by hand: under the eye outwards serves under-eye with lid 6, corner 1 and temple 1', () => {
	expect(usefulness(byId('under-eye-out'), 'under-eye')).toBe(8);
	expect(usefulness(byId('masseter-circles'), 'under-eye')).toBe(0);
	expect(usefulness(byId('masseter-circles'), 'jaw-tension')).toBe(6);
});

test('every goal finds at least four techniques, the most useful first', () => {
	for (const goal of GOAL_IDS) {
		const list = usefulFor(TECHNIQUES, goal);
		expect(list.length, goal).toBeGreaterThanOrEqual(4);
		const uses = list.map((t) => usefulness(t, goal));
		expect(uses).toEqual([...uses].sort((a, b) => b - a));
	}
});
