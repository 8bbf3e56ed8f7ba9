import { describe, expect, test } from 'vitest';
import type { Answer } from '$lib/core/client/answer.schema';
import { newAnswer } from '$lib/core/client/answers';
import type { Mark } from '$lib/core/client/common.schema';
import type { SidedZone } from '$lib/core/client/sidedZone';
import { MIDLINE_X } from '$lib/core/atlas/geometry';
import { allowedLines } from '$lib/core/screening/allowed';
import { limitsOn } from '$lib/core/screening/limits';
import { callOuts, limitShapes, placedMarks } from './limitShapes';

const TODAY = '2026-03-01';
const answer = (flag: string, places: SidedZone[] = []): Answer =>
	newAnswer({
		flag,
		says: 'yes',
		places,
		since: '2026-02-20',
		day: TODAY,
		at: `${TODAY}T08:00:00Z`
	});
const limits = limitsOn(
	{
		answers: [
			answer('filler', ['upper-lip:left']),
			answer('open-skin', ['temple:right']),
			answer('facial-palsy', ['malar:right']),
			answer('pacemaker', ['decollete:left'])
		],
		marks: [],
		clearances: []
	},
	TODAY
);
const mark = (id: string, zone: Mark['zone'], side: Mark['side']): Mark => ({
	id,
	kind: 'mole',
	zone,
	side,
	sizeMm: 4,
	since: null,
	note: ''
});

describe('what is hatched', () => {
	test('the least grave lies lowest, each state once, with a path for each zone and side', () => {
		const shapes = limitShapes('front', limits, false);
		expect(shapes.map((s) => s.state)).toEqual(['limited', 'waits', 'out']);
		expect(shapes.find((s) => s.state === 'out')!.paths).toHaveLength(1);
		// The lip and what touches it.
		expect(shapes.find((s) => s.state === 'waits')!.paths.length).toBeGreaterThan(3);
	});
	test('the chest only where it is seen, the right side not in profile', () => {
		const out = (view: 'front' | 'profile', wide: boolean) =>
			limitShapes(view, limits, wide).find((s) => s.state === 'out')?.paths.length ?? 0;
		expect(out('front', true)).toBe(2);
		expect(out('profile', false)).toBe(0);
	});
	test('nothing where nothing holds', () => expect(limitShapes('front', [], true)).toEqual([]));
});

describe('numbers beside the face', () => {
	const numbers = callOuts('front', allowedLines(limits, TODAY));
	test('one for each line with a place, on its own side, never touching', () => {
		expect(numbers).toHaveLength(4);
		for (const { at, ring } of numbers) expect(at[0] >= MIDLINE_X).toBe(ring[0] >= MIDLINE_X);
		for (const side of [true, false]) {
			const rows = numbers.filter((n) => n.ring[0] >= MIDLINE_X === side).map((n) => n.ring[1]);
			rows.forEach((y, i) => i && expect(y - rows[i - 1]!).toBeGreaterThanOrEqual(38));
		}
	});
	test('what the view does not show has none', () => {
		const profile = callOuts('profile', allowedLines(limits, TODAY));
		expect(profile.every(({ number }) => numbers.some((n) => n.number === number))).toBe(true);
		expect(profile.length).toBeLessThan(numbers.length);
	});
});

describe('signs of marks', () => {
	test('on their side, beside each other in one zone, on the midline in the middle', () => {
		const placed = placedMarks('front', [
			mark('a', 'malar', 'left'),
			mark('b', 'malar', 'left'),
			mark('c', 'chin', 'midline')
		]);
		expect(placed[0]!.at[0]).toBeGreaterThan(MIDLINE_X);
		expect(placed[1]!.at[0] - placed[0]!.at[0]).toBe(14);
		expect(placed[2]!.at[0]).toBe(MIDLINE_X);
	});
	test('the right side is not seen in profile', () => {
		expect(placedMarks('profile', [mark('a', 'malar', 'right')])).toEqual([]);
	});
});
