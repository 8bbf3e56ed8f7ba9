import { expect, test } from 'vitest';
import { emptyAssessment, withValue } from './assessment';
import { overSentence, overSessions } from './overSessions';

const NOW = '2026-03-01T08:00:00.000Z';
const found = (grades: Partial<Record<'left' | 'right', number>>) =>
	Object.entries(grades).reduce(
		(assessment, [side, value]) => withValue(assessment, 'puffiness', { place: 'malar', side: side as 'left' }, value),
		emptyAssessment(NOW)
	);
const pairs = (list: readonly (readonly [left: number, right: number])[]) =>
	list.map(([left, right]) => ({
		before: found({ left: 2, right: 2 }),
		after: found({ left: 2 + left, right: 2 + right })
	}));

test('by hand: lower on the left in eight of eight is 2 of 256 ways; three and three on the right is chance', () => {
	const list = pairs([
		[-1, -1],
		[-1, 1],
		[-1, 0],
		[-1, 0],
		[-1, -1],
		[-1, 1],
		[-1, -1],
		[-1, 1]
	]);
	const { sessions, places } = overSessions('puffiness', list);
	expect(sessions).toBe(8);
	// All of one sign, or all of the other: 1/128 of the ways in which the first sign is kept.
	expect(places[0]).toMatchObject({ place: 'malar', side: 'left', lower: 8, same: 0, higher: 0, verdict: 'lower' });
	expect(places[0]!.p).toBeCloseTo(1 / 128, 12);
	expect(places[1]).toMatchObject({ side: 'right', lower: 3, same: 2, higher: 3, p: 1, verdict: 'may-be-chance' });
	expect(overSentence({ sessions, places }, 'Puffiness')).toBe(
		'Over 8 sessions: puffiness lower after than before at the left apple of the cheek.'
	);
});
test('seven sessions are too few, and one pair is no change; a session without an after says nothing', () => {
	const seven = pairs(Array.from({ length: 7 }, () => [-2, -2] as const));
	expect(overSessions('puffiness', seven).places.map((p) => [p.verdict, p.p, p.lower])).toEqual([
		['too-few', null, 7],
		['too-few', null, 7]
	]);
	expect(overSentence(overSessions('puffiness', seven), 'Puffiness')).toBe('');
	const eight = overSessions('puffiness', [...seven, seven[0]!]);
	expect(overSentence(eight, 'Puffiness')).toBe(
		'Over 8 sessions: puffiness lower after than before at every place graded.'
	);
	const open = { before: found({ left: 3 }), after: null };
	expect(overSessions('puffiness', [...seven, open]).sessions).toBe(7);
	expect(overSessions('puffiness', [])).toEqual({ sessions: 0, places: [] });
});
