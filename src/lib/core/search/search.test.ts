import { expect, test } from 'vitest';
import { usefulness } from '../goal/useful';
import { TECHNIQUES } from '../technique/library';
import { ANY_TECHNIQUE, techniqueIndex, zonesOf } from './search';

const find = techniqueIndex(TECHNIQUES);
const ids = (filter: Partial<typeof ANY_TECHNIQUE>) => find({ ...ANY_TECHNIQUE, ...filter }).map((t) => t.id);

test('without a wish, all of them', () => expect(ids({})).toHaveLength(TECHNIQUES.length));

test('by words: in the title first, with the beginning of a word, with a slip of the finger', () => {
	expect(ids({ words: 'under the eye outwards' })[0]).toBe('under-eye-out');
	expect(ids({ words: 'zigz' })).toEqual(expect.arrayContaining(['forehead-zigzag', 'smile-fold-zigzag']));
	expect(ids({ words: 'cheekbome' })).toContain('cheekbone-out');
	expect(ids({ words: 'LI20' })).toContain('point-li20');
	expect(ids({ words: 'qqqq' })).toEqual([]);
});

test('by aim, zone, tool and goal, each and together', () => {
	const masseter = find({ ...ANY_TECHNIQUE, aim: 'release', zone: 'masseter', tool: 'hands', goal: 'jaw-tension' });
	expect(masseter.length).toBeGreaterThanOrEqual(3);
	for (const t of masseter) {
		expect([t.aim, zonesOf(t).has('masseter'), t.tool]).toEqual(['release', true, undefined]);
		expect(usefulness(t, 'jaw-tension')).toBeGreaterThan(0);
	}
	expect(
		ids({ tool: 'stone-plate' }).every((id) => TECHNIQUES.find((t) => t.id === id)!.tool?.id === 'stone-plate')
	).toBe(true);
});

test('for a goal, the most useful first', () => {
	const uses = find({ ...ANY_TECHNIQUE, goal: 'under-eye' }).map((t) => usefulness(t, 'under-eye'));
	expect(uses).toEqual([...uses].sort((a, b) => b - a));
});
