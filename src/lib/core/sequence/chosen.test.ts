import { describe, expect, test } from 'vitest';
import { CONTEXT, sequenceOf, step } from '../testing';
import { asTaken, choiceGroups, conditionalSteps, isDone, withMet } from './chosen';
import { exitsOf } from './exits';
import { expand } from './expand';
import type { Sequence } from './sequence.schema';
import { timingOf } from './timing';
import { stepsOf } from './walk';
import { choose, setExitTitle, setPasses } from './versionEdits';
import { applyEdit, revertEdit } from './applyEdit';

const option = (id: string, name: string) =>
	step(id, ['chin', 'jawline'], { choice: { group: 'tapes', option: name } });
const sequence = sequenceOf([
	step('a', ['malar', 'zygoma']),
	option('fan', 'fan'),
	option('square', 'square'),
	step('loose', ['jawline', 'masseter'], { onlyIf: 'it feels loose' }),
	step('off', ['chin', 'jawline'], { later: true })
]);
const idsIn = (s: typeof sequence) => [...new Set(expand(s, CONTEXT).map((e) => e.stepId))];

test('of a group the first option is done, or the one that is chosen; a choice that is none counts as the first', () => {
	expect(choiceGroups(sequence)).toEqual([{ group: 'tapes', options: ['fan', 'square'], chosen: 'fan' }]);
	expect(idsIn(sequence)).toEqual(['a', 'fan']);
	expect(idsIn(asTaken(sequence, { tapes: 'square' }))).toEqual(['a', 'square']);
	expect(idsIn(asTaken(sequence, { tapes: 'gone' }))).toEqual(['a', 'fan']);
	const edit = choose(sequence, 'tapes', 'square');
	expect(idsIn(applyEdit(sequence, edit))).toEqual(['a', 'square']);
	expect(revertEdit(applyEdit(sequence, edit), edit)).toEqual(sequence);
});

test('a condition is asked, and met it takes its time; what is for later is not asked', () => {
	expect(conditionalSteps(sequence).map((s) => [s.step.id, s.number])).toEqual([['loose', 4]]);
	const met = withMet(sequence, new Set(['loose']));
	expect(idsIn(met)).toEqual(['a', 'fan', 'loose']);
	expect(timingOf(met, CONTEXT).expectedSeconds).toBe(timingOf(sequence, CONTEXT).expectedSeconds + 10);
});

test('an exit says what it leaves out; a phase may be done again', () => {
	const [work] = sequence.phases;
	const more = {
		...work!,
		id: 'p2',
		title: 'More',
		blocks: [{ ...work!.blocks[0]!, id: 'b2', steps: [step('x', ['malar', 'zygoma'])] }]
	};
	const two = { ...sequence, phases: [{ ...work!, exitAfter: true }, more] };
	const named = applyEdit(two, setExitTitle(two, 'p1', 'Five minutes'));
	expect(exitsOf(named, timingOf(named, CONTEXT))).toEqual([
		{ phaseId: 'p1', title: 'Five minutes', seconds: 20, drops: { steps: 1, seconds: 10, phases: ['More'] } }
	]);
	const twice = applyEdit(named, setPasses(named, 'p2', 2));
	expect(timingOf(twice, CONTEXT).expectedSeconds).toBe(40);
	expect(applyEdit(twice, setPasses(twice, 'p2', 1)).phases[1]).not.toHaveProperty('passes');
});

describe('what is done otherwise', () => {
	const tender = step('tender', ['temple'], {
		onlyIf: 'tender',
		dose: { kind: 'seconds', min: 10, target: 20, max: 30 }
	});
	const rest = step('rest', ['temple'], { otherwise: true, dose: { kind: 'seconds', min: 10, target: 10, max: 10 } });
	const sequence = sequenceOf([tender, rest]);
	const done = (of: Sequence, count: 'min' | 'target' | 'max' = 'target') =>
		stepsOf(of)
			.map((s) => s.step)
			.filter(isDone(of, count))
			.map((s) => s.id);
	test('stands in until the condition is met, and gives way then', () => {
		expect(done(sequence)).toEqual(['rest']);
		expect(done(withMet(sequence, new Set(['tender'])))).toEqual(['tender']);
	});
	test('at the longest only the longer of the two is done', () => {
		expect(done(sequence, 'max')).toEqual(['tender']);
		const long = { ...rest, dose: { kind: 'seconds' as const, min: 10, target: 60, max: 90 } };
		expect(done(sequenceOf([tender, long]), 'max')).toEqual(['rest']);
	});
	test('behind a step without a condition it is done as any other', () => {
		const { onlyIf: _if, ...always } = tender;
		expect(done(sequenceOf([always, rest]))).toEqual(['tender', 'rest']);
	});
});
