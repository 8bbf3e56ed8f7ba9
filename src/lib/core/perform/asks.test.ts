import { describe, expect, test } from 'vitest';
import { expand } from '../sequence/expand';
import type { Sequence } from '../sequence/sequence.schema';
import { stepsOf } from '../sequence/walk';
import { CONTEXT, pump, sequenceOf, step } from '../testing';
import { askedNow, metNow } from './asks';

const OPEN = pump('o', 'terminus');
const LOOSE = step('loose', ['masseter'], { aim: 'release', motion: 'knead', onlyIf: 'it is loose' });
const TENDER = step('tender', ['temple'], { aim: 'release', motion: 'knead', onlyIf: 'it is tender' });
const CHEEK = step('cheek', ['malar', 'zygoma', 'preauricular']);
const asked = (sequence: Sequence, stepId: string): string[] => {
	const events = expand(sequence, CONTEXT);
	const numbers = new Map(stepsOf(sequence).map((s) => [s.step.id, s.number]));
	const at = events.findIndex((e) => e.stepId === stepId);
	return askedNow(sequence, events, at, (id) => numbers.get(id)!, CONTEXT).map((s) => s.step.id);
};

describe('what hangs on a condition is asked when its place comes', () => {
	test('during the step before it, with all that stand there, and at no other', () => {
		const sequence = sequenceOf([OPEN, LOOSE, TENDER, CHEEK]);
		expect(asked(sequence, 'o')).toEqual(['loose', 'tender']);
		expect(asked(sequence, 'cheek')).toEqual([]);
		expect(asked(sequenceOf([OPEN, CHEEK, LOOSE]), 'o')).toEqual([]);
	});
	test('after the last step that is done, too', () =>
		expect(asked(sequenceOf([OPEN, CHEEK, LOOSE]), 'cheek')).toEqual(['loose']));
	test('met, it follows the step at hand, and what was done by then stays to the second', () => {
		const sequence = sequenceOf([OPEN, CHEEK, LOOSE, { ...CHEEK, id: 'again' }]);
		const before = expand(sequence, CONTEXT);
		const at = before.findLastIndex((e) => e.stepId === 'cheek');
		const after = expand(metNow(sequence, 'loose', before, at, CONTEXT)!, CONTEXT);
		expect(after.slice(0, at + 1)).toEqual(before.slice(0, at + 1));
		expect(after[at + 1]!.stepId).toBe('loose');
	});
	test('where it also belongs to a side that is already over, it is not asked', () => {
		const sequence = sequenceOf([CHEEK, LOOSE, { ...CHEEK, id: 'again' }]);
		const sides: Sequence = {
			...sequence,
			phases: sequence.phases.map((p) => ({
				...p,
				blocks: p.blocks.map((b) => ({
					...b,
					sides: { each: true as const, first: 'left' as const },
					steps: b.steps.map(({ side: _side, ...rest }) => rest)
				}))
			}))
		};
		const events = expand(sides, CONTEXT);
		const [first, second] = [
			events.findIndex((e) => e.stepId === 'cheek' && e.side === 'left'),
			events.findIndex((e) => e.stepId === 'cheek' && e.side === 'right')
		];
		expect(metNow(sides, 'loose', events, first, CONTEXT)).not.toBeNull();
		expect(metNow(sides, 'loose', events, second, CONTEXT)).toBeNull();
	});
});
