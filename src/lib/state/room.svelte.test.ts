// @vitest-environment happy-dom
import { beforeEach, describe, expect, test } from 'vitest';
import { PRESETS, Room } from './room.svelte';

beforeEach(() => localStorage.clear());

describe('the room of Compose', () => {
	test('is even at first; what is moved is there again', () => {
		const room = new Room();
		expect([room.preset, room.score]).toEqual(['even', PRESETS.even.shares.score]);
		room.divide([30, 40, 30], false);
		room.divide([24, 30, 46], true);
		room.share(52);
		const again = new Room();
		expect([again.columns, again.withText, again.score, again.preset]).toEqual([[30, 40, 30], [24, 30, 46], 52, '']);
	});
	test('folds to nothing and unfolds to what it was, also after a reload', () => {
		const room = new Room();
		room.share(57);
		room.fold();
		expect(room.score).toBe(0);
		const again = new Room();
		again.fold();
		expect(again.score).toBe(57);
	});
	test('takes a preset, and knows it again', () => {
		for (const preset of ['face', 'steps', 'score', 'even'] as const) {
			const room = new Room();
			room.take(preset);
			expect([room.preset, new Room().preset]).toEqual([preset, preset]);
		}
	});
	test.each(['', '{', '{"columns":[1,2]}', '{"columns":[10,10,80],"withText":"x","score":-3,"unfolded":1}'])(
		'what is kept as %j is let go, and the room is as at first',
		(kept) => {
			localStorage.setItem('soft-tide-room', kept);
			expect(new Room().preset).toBe('even');
		}
	);
});
