import fc from 'fast-check';
import { expect, test } from 'vitest';
import { anyStep, step } from '../testing';
import { FIELDS, fieldsFor } from './fields';

test('what is set is shown; nothing stands twice', () => {
	fc.assert(
		fc.property(anyStep('a'), (any) => {
			const { shown, more } = fieldsFor(any);
			expect(new Set([...shown, ...more]).size).toBe(shown.length + more.length);
			if (any.lanes > 1) expect(shown).toContain('lanes');
			if (any.reverse) expect(shown).toContain('reverse');
			if (any.mouth !== 'closed') expect(shown).toContain('mouth');
			expect([...shown].sort((a, b) => FIELDS.indexOf(a) - FIELDS.indexOf(b))).toEqual(shown);
		}),
		{ numRuns: 100 }
	);
});

test('what would contradict the step is offered nowhere, unless the step has it already', () => {
	const spot = step('a', ['temple'], { aim: 'release', motion: 'pinned-circle' });
	const all = (s: typeof spot) => [...fieldsFor(s).shown, ...fieldsFor(s).more];
	expect(all(spot)).not.toContain('lanes');
	expect(all(spot)).not.toContain('tape');
	expect(all({ ...spot, lanes: 2 })).toContain('lanes');
	expect(fieldsFor(step('t', ['glabella'], { aim: 'fix', motion: 'none' })).shown).toContain('tape');
});
