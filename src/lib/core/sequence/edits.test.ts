import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anySequence, anyStep, sequenceOf, step } from '../testing';
import {
	addPhase,
	duplicateStep,
	insertStep,
	moveStep,
	relocateStep,
	removePhase,
	removeSteps,
	renamePhase,
	setHead,
	setStep,
	swappedSide
} from './edits';
import { newPhase } from './newPhase';
import { applyEdit, revertEdit } from './applyEdit';
import type { Edit } from './edit.schema';
import { commit, EMPTY_HISTORY, redo, soundHistory, undo, type Draft } from './history';
import { HistorySchema } from './history.schema';
import { SequenceSchema, type Sequence } from './sequence.schema';
import { stepsOf } from './walk';

const ids = (sequence: Sequence) => stepsOf(sequence).map((s) => s.step.id);
const abc = () => sequenceOf(['a', 'b', 'c'].map((id) => step(id, ['chin', 'jawline'])));

/** A move down, or up, where there is room for it; a step of one side never goes into a block of both. */
function moving(sequence: Sequence, id: string) {
	try {
		return moveStep(sequence, id, 1) ?? moveStep(sequence, id, -1) ?? setStep(sequence, id, { note: 'alone' });
	} catch (error) {
		expect(String(error)).toMatch(/Let the step work both sides first/);
		return setStep(sequence, id, { note: 'stays' });
	}
}

/** A random edit that fits a sequence. */
const anyEdit = (sequence: Sequence) => {
	const known = ids(sequence);
	const inserting = anyStep('new').map((s) => insertStep(sequence, s, { phase: sequence.phases[0]!.id }));
	if (!known.length) return inserting;
	const id = fc.constantFrom(...known);
	return fc.oneof(
		inserting,
		id.map((i) => removeSteps(sequence, [i])),
		id.map((i) => duplicateStep(sequence, i, 'copy')),
		id.map((i) => setStep(sequence, i, { note: 'both thumbs', optional: true })),
		id.map((i) => moving(sequence, i))
	);
};

describe('edits', () => {
	test('undo after any edit gives back the same sequence, redo the changed one; all survives JSON', () => {
		fc.assert(
			fc.property(
				anySequence.chain((s) => fc.tuple(fc.constant(s), anyEdit(s))),
				([sequence, edit]) => {
					const stored = JSON.parse(JSON.stringify(edit)) as typeof edit;
					const after = applyEdit(sequence, stored);
					expect(SequenceSchema.safeParse(after).success).toBe(true);
					expect(revertEdit(after, stored)).toEqual(sequence);
					const done = commit({ sequence, history: EMPTY_HISTORY }, stored);
					const back = undo(done);
					expect(back.sequence).toEqual(sequence);
					expect(redo(back).sequence).toEqual(done.sequence);
					expect(HistorySchema.safeParse(back.history).success).toBe(true);
				}
			),
			{ numRuns: 200 }
		);
	});
	test('an edit leaves the old sequence and untouched steps as they are', () => {
		const before = abc();
		const after = applyEdit(before, setStep(before, 'b', { pressure: 2 }));
		expect(stepsOf(before)[1]!.step.pressure).toBe(1);
		expect(stepsOf(after)[1]!.step.pressure).toBe(2);
		expect(stepsOf(after)[0]!.step).toBe(stepsOf(before)[0]!.step);
	});
	test('labels name the step as the user sees it', () => {
		expect(setStep(abc(), 'b', { pressure: 2 }).label).toBe('Change pressure of step 2, Chin to jawline');
		expect(removeSteps(abc(), ['a', 'b']).label).toBe('Remove 2 steps');
	});
	test('a change that breaks the sequence is refused with the field', () => {
		const before = abc();
		expect(() => applyEdit(before, setStep(before, 'b', { side: undefined }))).toThrow(/a side is needed/);
	});
	test('moves within and across phases; the ends are ends', () => {
		let sequence = applyEdit(abc(), addPhase(abc(), newPhase('p2', 'Close')));
		sequence = applyEdit(sequence, moveStep(sequence, 'c', 1)!);
		expect(sequence.phases.map((p) => p.blocks[0]!.steps.length)).toEqual([2, 1]);
		expect(moveStep(sequence, 'c', 1)).toBeNull();
		sequence = applyEdit(sequence, relocateStep(sequence, 'c', { before: 'a' }));
		expect(ids(sequence)).toEqual(['c', 'a', 'b']);
		sequence = applyEdit(sequence, renamePhase(sequence, 'p2', 'End'));
		expect(sequence.phases[1]!.title).toBe('End');
		expect(applyEdit(sequence, removePhase(sequence, 'p2')).phases).toHaveLength(1);
	});
	test('a step moved into a block done side by side loses its own side, and gets one on the way out', () => {
		const base = abc();
		const { side: _side, ...bare } = step('x', ['malar', 'zygoma']);
		const phases = [
			...base.phases,
			{
				id: 'p2',
				title: 'Sides',
				exitAfter: false,
				blocks: [{ id: 'e', title: '', sides: { each: true as const, first: 'left' as const }, steps: [bare] }]
			}
		];
		const inside = applyEdit({ ...base, phases }, relocateStep({ ...base, phases }, 'a', { after: 'x' }));
		expect(stepsOf(inside).find((s) => s.step.id === 'a')!.step.side).toBeUndefined();
		const outside = applyEdit(inside, relocateStep(inside, 'a', { before: 'b' }));
		expect(stepsOf(outside)[0]!.step.side).toBe('both');
	});
	test('an edit that changes nothing is not remembered; a new one drops what was undone', () => {
		const draft = { sequence: abc(), history: EMPTY_HISTORY };
		expect(commit(draft, setHead(draft.sequence, { title: 'Untitled' }, 'Rename'))).toBe(draft);
		const once = commit(draft, setHead(draft.sequence, { title: 'One' }, 'Rename'));
		const other = commit(undo(once), setHead(draft.sequence, { title: 'Two' }, 'Rename'));
		expect(other.history.future).toEqual([]);
		expect(redo(other)).toBe(other);
		expect(undo(draft)).toBe(draft);
	});
	test('the other side of a choice', () => {
		expect(swappedSide('left')).toBe('right');
		expect(swappedSide('both')).toBe('both');
		expect(swappedSide({ each: true, first: 'left' })).toEqual({ each: true, first: 'right' });
	});
});

describe('the schema refuses, and names the field', () => {
	const refused = (change: object, message: RegExp) => {
		const base = sequenceOf([step('a', ['chin', 'jawline'])]);
		const broken = { ...base.phases[0]!.blocks[0]!.steps[0]!, ...change };
		const phases = [{ ...base.phases[0]!, blocks: [{ ...base.phases[0]!.blocks[0]!, steps: [broken] }] }];
		const result = SequenceSchema.safeParse({ ...base, phases });
		expect(result.success).toBe(false);
		expect(result.error!.issues.map((i) => `${i.path.join('.')}: ${i.message}`).join('\n')).toMatch(message);
	};
	test.each([
		[{ places: ['knee'] }, /steps\.0\.places\.0/],
		[{ dose: { kind: 'reps', min: -3, target: 5, max: 8 } }, /dose\.min/],
		[{ dose: { kind: 'reps', min: 9, target: 5, max: 8 } }, /min ≤ target ≤ max/],
		[{ levels: [1, 1] }, /not both/],
		[{ side: 'midline' }, /midline/],
		[{ tool: { id: 'spoon' } }, /tool/],
		[{ stations: { places: ['brow'], hold: { kind: 'seconds', amount: 2 } } }, /must lie on the path/],
		[{ colour: 'red' }, /colour|Unrecognized/],
		[{ note: 'x'.repeat(2001) }, /at most 2000 characters/]
	])('%j', (change, message) => refused(change, message));
	test('two steps with one id', () => {
		const twice = sequenceOf([step('a', ['chin', 'jawline']), step('a', ['chin', 'jawline'])]);
		expect(SequenceSchema.safeParse(twice).error!.issues[0]!.message).toMatch(/id of its own: a/);
	});
});

describe('a history that is stored beside a sequence', () => {
	const base = sequenceOf([step('a', ['chin', 'jawline']), step('b', ['malar', 'zygoma'])]);
	const edited = ['One', 'Two', 'Three'].reduce<Draft>(
		(draft, title) => commit(draft, setHead(draft.sequence, { title }, title)),
		{ sequence: base, history: EMPTY_HISTORY }
	);
	test('is kept as it is where every edit fits, back and forth', () => {
		const back = undo(undo(edited));
		expect(soundHistory(back)).toEqual({ history: back.history, dropped: 0 });
	});
	test.each([
		['reaches for another field', { op: 'replace', path: ['id'], value: 'other' }],
		['reaches for the prototype', { op: 'add', path: ['phases', '__proto__', 'x'], value: 1 }],
		['replaces the whole', { op: 'replace', path: [], value: {} }],
		['has no place to go', { op: 'replace', path: ['phases', 7, 'title'], value: 'x' }]
	] as const)('one that %s is dropped, with all that lie behind it', (_, patch) => {
		const [one, two, three] = edited.history.past;
		const bad = { ...two!, inverse: [patch as unknown as Edit['patch'][number]] };
		const found = soundHistory({ ...edited, history: { past: [one!, bad, three!], future: [] } });
		expect(found.history.past.map((e) => e.label)).toEqual(['Three']);
		expect(found.dropped).toBe(2);
		expect(({} as { x?: number }).x).toBeUndefined();
		const forth = soundHistory({
			sequence: base,
			history: { past: [], future: [{ ...one!, patch: [patch as never] }, two!] }
		});
		expect(forth).toEqual({ history: EMPTY_HISTORY, dropped: 2 });
	});
});
