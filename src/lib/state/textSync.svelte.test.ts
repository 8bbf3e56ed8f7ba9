// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { setStep } from '../core/sequence/edits';
import { EMPTY_HISTORY } from '../core/sequence/history';
import { stepsOf } from '../core/sequence/walk';
import { TECHNIQUES } from '../core/technique/library';
import { CONTEXT, NOW, pump, sequenceOf, step } from '../core/testing';
import { makeDb, type SoftTideDb } from '../store/db';
import { Repository } from '../store/repository';
import { copiedText, pasteText, removed, stepsFromText, typeLine } from './clipboard';
import { SequenceDraft } from './sequenceDraft.svelte';
import { TextSync } from './textSync.svelte';

let db: SoftTideDb;
let n = 0;
const newId = () => `new-${n++}`;
const SEQUENCE = sequenceOf([
	pump('o', 'terminus'),
	step('a', ['malar', 'zygoma']),
	step('b', ['chin', 'jawline'], { side: 'left', reason: 'fuller' })
]);
let draft: SequenceDraft;
beforeEach(async () => {
	db = makeDb(`text-${n++}`);
	const repo = new Repository(db, () => new Date(NOW), newId);
	const { record } = await repo.saveSequence(SEQUENCE);
	draft = new SequenceDraft({ sequence: record.sequence, history: EMPTY_HISTORY }, CONTEXT, repo);
});
afterEach(async () => {
	await vi.waitFor(() => expect(draft.saving.state).toBe('saved'));
	await db.delete();
});
const ids = () => stepsOf(draft.sequence).map((s) => s.step.id);

describe('the text beside the steps', () => {
	const open = () => new TextSync(draft, newId, () => TECHNIQUES);
	test('what is typed becomes the sequence, ids stay, and a burst of keys is one edit', () => {
		const sync = open();
		for (const dose of ['6', '61', '6'])
			sync.typed(sync.text.replace(/(drain apple of the cheek > cheekbone, )\d+( \(3 to 8\))?/, `$1${dose}`));
		expect(ids()).toEqual(['o', 'a', 'b']);
		expect(draft.byId.get('a')!.step.dose.target).toBe(6);
		expect(draft.history.past.map((e) => e.label)).toEqual(['Edit the text']);
		draft.settle();
		sync.typed(`${sync.text}open n:tonsillar\n`);
		expect(draft.history.past).toHaveLength(2);
		draft.undo();
		draft.undo();
		expect(draft.sequence.phases).toEqual(SEQUENCE.phases);
	});
	test('while it cannot be read the last sequence stays, and nothing of the text is lost', () => {
		const sync = open();
		const before = draft.sequence;
		sync.typed(`${sync.text}rub it\n`);
		expect(draft.sequence).toBe(before);
		expect([sync.troubles.length, sync.text.includes('rub it')]).toEqual([1, true]);
		draft.do(setStep(draft.sequence, 'a', { optional: true }));
		sync.follow();
		expect([sync.behind, sync.text.includes('rub it')]).toEqual([true, true]);
		sync.takeSteps();
		expect([sync.behind, sync.text.includes('optional'), sync.text.includes('rub it')]).toEqual([false, true, false]);
	});
	test('follows the steps, and knows which line is which step', () => {
		const sync = open();
		draft.do(setStep(draft.sequence, 'a', { note: 'slowly' }));
		sync.follow();
		const lines = sync.text.split('\n');
		expect(lines[sync.lineOf('a')! - 1]).toMatch(/^drain apple of the cheek/);
		expect(sync.stepAt(sync.lineOf('a')! + 1)).toBe('a');
		expect([sync.stepAt(1), sync.lineOf('nothing')]).toEqual([null, null]);
	});
});

describe('the clipboard', () => {
	test('carries steps as text, also out of a block, and puts copies in after the chosen one', () => {
		const text = copiedText(draft.sequence, new Set(['a', 'b']));
		expect(text).toMatch(/^soft-tide notation 2\ndrain apple of the cheek > cheekbone/);
		draft.select('o');
		expect(pasteText(draft, text, TECHNIQUES, newId)).toBe(true);
		expect(ids().slice(0, 1)).toEqual(['o']);
		expect(ids()).toHaveLength(5);
		expect(draft.chosen.ids.size).toBe(2);
		expect(stepsOf(draft.sequence)[2]!.step).toMatchObject({ side: 'left', reason: 'fuller' });
		const block = {
			...SEQUENCE.phases[0]!.blocks[0]!,
			sides: { each: true as const, first: 'right' as const },
			steps: [{ ...step('x', ['chin', 'jawline']), side: undefined }]
		};
		const inBlock = { ...SEQUENCE, phases: [{ ...SEQUENCE.phases[0]!, blocks: [block] }] };
		expect(copiedText(inBlock, new Set(['x']))).toMatch(/each side from right/);
		expect(removed(draft.sequence, new Set(['a'])).label).toMatch(/^Remove step/);
	});
	test.each([
		['Dear Ines, shall we meet', /Line 1, column 1: “Dear”/],
		['', /The clipboard is empty/],
		['soft-tide notation 9\ndrain chin', /newer version/],
		['title Only a head', /There is no step in this text/]
	])('refuses %j in a sentence and changes nothing', (text, words) => {
		const before = draft.sequence;
		expect(pasteText(draft, text, TECHNIQUES, newId)).toBe(false);
		expect(draft.refusal).toMatch(words);
		expect(draft.sequence).toBe(before);
	});
	test('a typed line of a phase begins it, once, and takes the lines that follow in their order', () => {
		draft.select('a');
		const first = typeLine(draft, '~ Jaw, may end here as Short one', TECHNIQUES, newId, null)!;
		const phase = () => draft.sequence.phases.find((p) => p.id === first.into)!;
		expect(phase()).toMatchObject({ title: 'Jaw', exitAfter: true, exitTitle: 'Short one' });
		for (const line of ['release masseter', 'open n:submandibular', 'drain jawline > n:submandibular'])
			expect(typeLine(draft, line, TECHNIQUES, newId, first.into)).toEqual(first);
		expect(phase().blocks[0]!.steps.map((s) => s.aim)).toEqual(['release', 'open', 'drain']);
		expect(typeLine(draft, '~ jaw', TECHNIQUES, newId, null)).toEqual(first);
		expect(typeLine(draft, '~', TECHNIQUES, newId, null)).toBeNull();
		expect(draft.refusal).toMatch(/A title is missing here/);
	});
	test('takes a whole sequence apart, and refuses more than there is room for', () => {
		const read = stepsFromText(
			'~ A\n~~ side by side from right\nrelease masseter\n~ B\nopen n:terminus',
			draft.sequence,
			TECHNIQUES,
			newId
		);
		expect('steps' in read && read.steps.map((s) => s.side)).toEqual([{ each: true, first: 'right' }, 'both']);
		expect(pasteText(draft, 'drain chin\n'.repeat(1999), TECHNIQUES, newId)).toBe(false);
		expect(draft.refusal).toMatch(/At most 2000 steps.*3 are there, 1999 were to come/);
	});
});

describe('choosing several', () => {
	test('by range, one by one and all; the selected one is always among them', () => {
		draft.select('o');
		expect([draft.chosen.many, [...draft.chosen.ids]]).toEqual([false, ['o']]);
		draft.chosen.extendTo('b');
		expect([...draft.chosen.ids]).toEqual(['o', 'a', 'b']);
		draft.chosen.toggle('a');
		expect([...draft.chosen.ids]).toEqual(['o', 'b']);
		draft.chosen.all();
		expect(draft.chosen.ids.size).toBe(3);
		draft.select('a');
		expect(draft.chosen.many).toBe(false);
	});
});

describe('history', () => {
	test('goes to any edit and back; what is dragged is one edit until the hand lets go', () => {
		for (const target of [6, 7, 9])
			draft.adjust((base) => setStep(base, 'a', { dose: { kind: 'reps', min: 3, target, max: 9 } }));
		expect(draft.history.past).toHaveLength(1);
		draft.settle();
		draft.do(setStep(draft.sequence, 'b', { note: 'x' }));
		draft.goTo(0);
		expect(draft.sequence.phases).toEqual(SEQUENCE.phases);
		draft.goTo(2);
		expect([draft.byId.get('a')!.step.dose.target, draft.byId.get('b')!.step.note]).toEqual([9, 'x']);
		expect(
			draft.attempt(() => {
				throw new Error('It cannot go there.');
			})
		).toBe(false);
		expect(draft.refusal).toBe('It cannot go there.');
	});
});
