import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anySequence, pump, sequenceOf, step } from '../testing';
import { differences } from './difference';
import { applyEdit, insertStep, moveStep, removeSteps, setStep } from './edits';
import type { Sequence } from './sequence.schema';
import { stepsOf } from './walk';

const base = sequenceOf([pump('o', 'terminus'), step('a', ['malar', 'zygoma']), step('b', ['chin', 'jawline'])]);
const after = (edit: Parameters<typeof applyEdit>[1]) =>
	differences(base, applyEdit(base, edit)).map((d) => `${d.kind} ${d.number}: ${d.text}`);

describe('in words', () => {
	test('a changed part says what it is and was', () => {
		expect(after(setStep(base, 'a', { pressure: 2, mouth: 'parted' }))).toEqual([
			'changed 2: pressure medium (2), was light (1)',
			'changed 2: mouth lips parted, was mouth closed'
		]);
	});
	test('a step that is new, and one that is gone', () => {
		expect(after(insertStep(base, step('n', ['temple']), { before: 'a' }))).toEqual(['added 2: Temple, 5 ×']);
		expect(after(removeSteps(base, ['a']))).toEqual(['removed 2: Apple of the cheek to cheekbone']);
	});
	test('one step moved is one difference, not all that shifted', () => {
		expect(after(moveStep(base, 'b', -1)!)).toHaveLength(1);
	});
});

test('nothing differs from itself; each added and removed step is named once', () => {
	fc.assert(
		fc.property(anySequence, anySequence, (a, b: Sequence) => {
			expect(differences(a, a)).toEqual([]);
			const ids = (s: Sequence) => stepsOf(s).map((x) => x.step.id);
			const of = (kind: string) => differences(a, b).filter((d) => d.kind === kind);
			expect(of('added').map((d) => d.stepId)).toEqual(ids(b).filter((id) => !ids(a).includes(id)));
			expect(of('removed').map((d) => d.stepId)).toEqual(ids(a).filter((id) => !ids(b).includes(id)));
		}),
		{ numRuns: 60 }
	);
});
