import fc from 'fast-check';
import { expect, test } from 'vitest';
import { expand } from '../sequence/expand';
import { stepsOf } from '../sequence/walk';
import type { Sequence } from '../sequence/sequence.schema';
import { anySequence, CONTEXT, pump, sequenceOf, step } from '../testing';
import { FOOT_IDS, hasClosed, openMenu, walkMenu } from './footMenu';
import { planOf } from './instruction/moment';
import { positionAt } from './position';
import { arrivalWords, whereWords } from './where';

const of = (sequence: Sequence) => {
	const events = expand(sequence, CONTEXT);
	const plan = planOf(events, new Map(stepsOf(sequence).map((s) => [s.step.id, s])), CONTEXT.working, sequence);
	return {
		where: (seconds: number) => whereWords(plan, positionAt(events, seconds)),
		arrival: (seconds: number) => arrivalWords(plan, positionAt(events, seconds)),
		end: events.at(-1)?.endSeconds ?? 0
	};
};
const sequence = sequenceOf([
	pump('o', 'terminus', { places: ['n:terminus', 'n:tonsillar'], dose: { kind: 'reps', min: 3, target: 3, max: 3 } }),
	step('a', ['chin', 'jawline'], {
		side: { each: true, first: 'left' },
		dose: { kind: 'reps', min: 2, target: 2, max: 2 }
	}),
	step('h', ['temple'], { motion: 'press-hold', dose: { kind: 'seconds', min: 20, target: 20, max: 20 } })
]);

test('place, side and how far, by hand', () => {
	// 3 × 1 s at each of two places; 2 × 2 s left, 2 s to change, 2 × 2 s right; 20 s.
	const { where, arrival } = of(sequence);
	expect(where(1.5)).toBe('Collarbone. both sides. 2 of 3');
	expect(where(4.5)).toBe('Below the ear. both sides. 2 of 3');
	expect(where(8.5)).toBe('Chin to jawline. client’s left. 2 of 2');
	expect(where(12.5)).toBe('Chin to jawline. client’s right. 1 of 2');
	expect(where(21)).toBe('Temple. both sides. 15 seconds to go');
	expect(where(99)).toBe('Finished');
	expect(arrival(6)).toBe('Chin to jawline. Three fingers. light. Stroke, let go. client’s left');
	expect(arrival(8.5)).toBe(where(8.5));
});

test('at every moment of any sequence there is an answer, and it names the side that is worked', () => {
	fc.assert(
		fc.property(anySequence, fc.double({ min: 0, max: 1, noNaN: true }), (any, share) => {
			const { where, arrival, end } = of(any);
			for (const words of [where(share * end), end ? arrival(share * end) || 'Finished' : 'x'])
				expect(words.length).toBeGreaterThan(0);
		}),
		{ numRuns: 60 }
	);
});

test('the menu of the feet is walked round, passes over what cannot be asked, and closes by itself', () => {
	const all = () => true;
	const none = () => false;
	let menu = openMenu(all, 0);
	const walked = FOOT_IDS.map(() => {
		const { item } = menu;
		menu = walkMenu(menu, all, 0);
		return item;
	});
	expect(walked).toEqual(FOOT_IDS);
	expect(menu.item).toBe(FOOT_IDS[0]);
	expect(openMenu(none, 0).item).toBe('back');
	expect(
		walkMenu(
			openMenu((id) => id === 'tender', 0),
			(id) => id === 'tender',
			0
		).item
	).toBe('back');
	expect([hasClosed(menu, 5999), hasClosed(menu, 6000)]).toEqual([false, true]);
});
