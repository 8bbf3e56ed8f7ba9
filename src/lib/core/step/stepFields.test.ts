import fc from 'fast-check';
import { expect, test } from 'vitest';
import { anyStep, step } from '../testing';
import { OPTIONAL_FIELDS } from '../vocabulary/fields';
import { CLAUSES } from '../notation/clauses';
import { fieldsFor, optionOf, STEP_FIELDS } from './stepFields';

test('what is set is shown; nothing stands twice', () => {
	fc.assert(
		fc.property(anyStep('a'), (any) => {
			const { shown, more } = fieldsFor(any);
			expect(new Set([...shown, ...more]).size).toBe(shown.length + more.length);
			if (any.lanes > 1) expect(shown).toContain('lanes');
			if (any.reverse) expect(shown).toContain('reverse');
			if (any.mouth !== 'closed') expect(shown).toContain('mouth');
			expect([...shown].sort((a, b) => OPTIONAL_FIELDS.indexOf(a) - OPTIONAL_FIELDS.indexOf(b))).toEqual(shown);
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

test('every field is written by the clause that its row names, and every clause writes a field', () => {
	for (const [field, { clause }] of Object.entries(STEP_FIELDS))
		if (clause) expect(CLAUSES.find((c) => c.id === clause)?.fields, field).toContain(field);
	const written = new Set(CLAUSES.flatMap((c) => c.fields));
	// A comment has lines of its own, before the step.
	const begun = ['aim', 'places', 'comment'];
	expect([...written, ...begun].sort()).toEqual(Object.keys(STEP_FIELDS).sort());
});

test('an optional field that is set says so in other words than one that goes without saying', () => {
	const plain = step('a', ['malar', 'zygoma']);
	fc.assert(
		fc.property(anyStep('a'), (any) => {
			for (const field of OPTIONAL_FIELDS)
				if (optionOf(field).isSet(any) && !optionOf(field).isSet(plain))
					expect(STEP_FIELDS[field].says(any), field).not.toBe(STEP_FIELDS[field].says(plain));
		})
	);
});
