import { describe, expect, test } from 'vitest';
import { ZONE_IDS } from '../atlas/zones';
import { GOAL_IDS } from '../goalIds';
import { usefulness } from '../goal/useful';
import { AIMS, TOOLS } from '../vocabulary/vocabulary';
import { EVERYDAY } from './everyday';
import { TECHNIQUES } from '../technique/library';
import { TEMPLATES } from '../template/templates';
import { ANY_READY, readyIndex, toolsOf } from './readySearch';
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

test('in everyday words, as clients say them', () => {
	const useful = (words: string, goal: Parameters<typeof usefulness>[1]) => {
		const found = find({ ...ANY_TECHNIQUE, words });
		expect(found.length, words).toBeGreaterThan(1);
		return found.slice(0, 10).filter((t) => usefulness(t, goal) > 0).length;
	};
	expect(useful('puffy eyes', 'under-eye')).toBeGreaterThan(1);
	expect(useful('depuff', 'morning-depuff')).toBeGreaterThan(1);
	expect(useful('jowls', 'jaw-contour')).toBeGreaterThan(1);
	expect(useful('double chin', 'under-chin')).toBeGreaterThan(1);
});

describe('ready sequences', () => {
	const ready = readyIndex(TEMPLATES);
	const with_ = (filter: Partial<typeof ANY_READY>) => ready({ ...ANY_READY, ...filter });
	test('by words, goal, tool, minutes, school and oneself', () => {
		expect(with_({})).toEqual(TEMPLATES);
		expect(with_({ words: 'puffy eyes' }).every((s) => s.goals.some((g) => /eye|depuff/.test(g.id)))).toBe(true);
		expect(with_({ words: 'puffy eyes' }).length).toBeGreaterThan(1);
		expect(with_({ goal: 'jaw-tension' }).every((s) => s.goals.some((g) => g.id === 'jaw-tension'))).toBe(true);
		expect(
			with_({ minutes: 5 })
				.map((s) => s.budgetSeconds)
				.every((s) => s <= 300)
		).toBe(true);
		expect(with_({ performer: 'self' }).length).toBeGreaterThan(0);
		const [stone, hands] = [with_({ tool: 'stone-plate' }), with_({ tool: 'hands' })];
		expect(stone.every((s) => toolsOf(s).has('stone-plate'))).toBe(true);
		expect(hands.every((s) => toolsOf(s).size === 0)).toBe(true);
		expect([stone.length, hands.length].every(Boolean)).toBe(true);
		expect(with_({ words: 'qqqq' })).toEqual([]);
	});
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

test('everyday words are given for what there is, and are words', () => {
	const known = { goals: GOAL_IDS, zones: ZONE_IDS, tools: Object.keys(TOOLS), aims: Object.keys(AIMS) };
	for (const [kind, ids] of Object.entries(known)) {
		const given = EVERYDAY[kind as keyof typeof known];
		expect(ids).toEqual(expect.arrayContaining(Object.keys(given)));
		for (const words of Object.values(given)) expect(words).toMatch(/\w/);
	}
	expect(Object.keys(EVERYDAY).sort()).toEqual(Object.keys(known).sort());
});
