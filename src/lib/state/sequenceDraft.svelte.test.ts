// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { EMPTY_HISTORY } from '../core/sequence/history';
import { checked } from '../core/sequence/applyEdit';
import { setHead, setStep } from '../core/sequence/edits';
import { CONTEXT, NOW, pump, sequenceOf, step } from '../core/testing';
import { makeDb, type SoftTideDb } from '../store/db';
import type { SequenceRecord } from '../core/records/sequenceRecord';
import { Repository } from '../store/repository';
import { composeKeys } from './composeKeys';
import { SaveLoop } from './saveLoop.svelte';
import { SequenceDraft } from './sequenceDraft.svelte';
import { SessionDraft } from './sessionDraft.svelte';

let db: SoftTideDb;
let repo: Repository;
let n = 0;
beforeEach(() => {
	db = makeDb(`draft-${n++}`);
	repo = new Repository(
		db,
		() => new Date(NOW),
		() => `id-${n++}`
	);
});
afterEach(() => db.delete());

const SEQUENCE = sequenceOf([
	pump('o', 'terminus'),
	step('a', ['malar', 'zygoma']),
	step('b', ['masseter'], { aim: 'release', pressure: 2 })
]);
async function draftOf(sequence = SEQUENCE) {
	const { record } = await repo.saveSequence(sequence);
	return new SequenceDraft({ sequence: record.sequence, history: EMPTY_HISTORY }, CONTEXT, repo);
}
const settled = (draft: SequenceDraft) => vi.waitFor(() => expect(draft.saving.state).toBe('saved'));
const rename = (draft: SequenceDraft, title: string) =>
	draft.do(setHead(draft.sequence, { title }, `Call it ${title}`));

describe('the draft of a sequence', () => {
	test('every edit is stored with its history, as plain records', async () => {
		const draft = await draftOf();
		rename(draft, 'One');
		rename(draft, 'Two');
		await settled(draft);
		const stored = (await repo.sequence('s1'))!;
		expect(stored.sequence.title).toBe('Two');
		expect(stored.history.past.map((e) => e.label)).toEqual(['Call it One', 'Call it Two']);
		draft.undo();
		await settled(draft);
		expect((await repo.sequence('s1'))!.sequence.title).toBe('One');
		expect(draft.redoLabel).toBe('Call it Two');
		draft.redo();
		expect(draft.sequence.title).toBe('Two');
		expect(draft.said).toBe('Done again: Call it Two');
	});
	test('a value that is not allowed is refused; before that could be known, it is taken back as soon as it is', async () => {
		const draft = await draftOf();
		const lanes = (n: number) => draft.do(setStep(draft.sequence, 'a', { lanes: n }));
		expect([rename(draft, 'Kept'), lanes(99)]).toEqual([true, true]);
		draft.checkBy(checked);
		expect(draft.byId.get('a')!.step.lanes).toBe(1);
		expect([draft.sequence.title, draft.redoLabel]).toEqual(['Kept', null]);
		expect(draft.refusal).toMatch(/cannot be done/);
		expect([lanes(99), lanes(3)]).toEqual([false, true]);
		await settled(draft);
		expect((await repo.sequence('s1'))!.sequence).toEqual(draft.sequence);
	});
	test('what is judged follows at once', async () => {
		const draft = await draftOf();
		const before = draft.judgement.timing.expectedSeconds;
		draft.do(setStep(draft.sequence, 'a', { paceSeconds: 4 }));
		expect(draft.judgement.timing.expectedSeconds).toBe(before + 10);
		const stranded = draft.judgement.findings.find((f) => f.ruleId === 'stranded')!;
		draft.do(draft.fixOf(stranded));
		expect(draft.judgement.findings.map((f) => f.key)).not.toContain(stranded.key);
	});
	test('an edit that breaks the sequence is refused in a sentence, and nothing changes', async () => {
		const draft = await draftOf();
		expect(draft.do(setStep(draft.sequence, 'a', { side: undefined }))).toBe(false);
		expect(draft.refusal).toMatch(/^This cannot be done: a side is needed/);
		expect(draft.undoLabel).toBeNull();
		rename(draft, 'Fine');
		expect(draft.refusal).toBe('');
		expect(draft.do(null)).toBe(false);
	});
	test('selection and cursor go together; a removed step is let go', async () => {
		const draft = await draftOf();
		draft.select('a');
		expect(draft.cursorSeconds).toBe(7);
		draft.scrub(3);
		expect(draft.selectedId).toBe('o');
		expect(draft.walk(1)!.id).toBe('a');
		expect(draft.walk(1)!.id).toBe('b');
		expect(draft.walk(1)!.id).toBe('b');
		draft.select(null);
		expect(draft.walk(1)!.id).toBe('o');
		draft.select('b');
		const { removeSteps } = await import('../core/sequence/edits');
		draft.do(removeSteps(draft.sequence, ['b']));
		expect(draft.selectedId).toBeNull();
	});
	test('under a quick hand the cursor goes at once and the step lights up a moment later', async () => {
		const draft = await draftOf();
		draft.scrub(3);
		draft.scrub(9);
		expect([draft.cursorSeconds, draft.selectedId]).toEqual([9, 'o']);
		await vi.waitFor(() => expect(draft.selectedId).toBe('a'));
		draft.scrub(3);
		draft.select('b');
		await new Promise((done) => setTimeout(done, 150));
		expect(draft.selectedId).toBe('b');
	});
	test('a save from another window makes this one a second version', async () => {
		const mine = await draftOf();
		const { sequence, history } = (await repo.sequence('s1'))!;
		const yours = new SequenceDraft({ sequence, history }, CONTEXT, repo);
		rename(yours, 'Yours');
		await settled(yours);
		rename(mine, 'Mine');
		await vi.waitFor(() => expect(mine.saving.state).toBe('second-version'));
		expect((await repo.sequence('s1'))!.sequence.title).toBe('Yours');
		const [second] = await repo.secondVersionsOf('s1');
		expect((second!.record as SequenceRecord).sequence.title).toBe('Mine');
	});
});

const STORED = { outcome: 'saved', record: null } as const;
const TAKEN = () => {};
describe('saving', () => {
	test('one at a time; what changes meanwhile is saved next', async () => {
		let running = 0;
		let saves = 0;
		const loop = new SaveLoop(async () => {
			expect(++running).toBe(1);
			await new Promise((resolve) => setTimeout(resolve, 120));
			running--;
			saves++;
			return STORED;
		}, TAKEN);
		void loop.changed();
		void loop.changed();
		await vi.waitFor(() => expect(running).toBe(1));
		void loop.changed();
		void loop.changed();
		await vi.waitFor(() => expect(loop.state).toBe('saved'));
		expect(saves).toBe(2);
	});
	test('trouble is told, and the next change tries again', async () => {
		let broken = true;
		const loop = new SaveLoop(async () => {
			if (broken) throw Object.assign(new Error('x'), { name: 'QuotaExceededError' });
			return STORED;
		}, TAKEN);
		await loop.changed();
		expect([loop.state, loop.trouble]).toEqual(['trouble', expect.stringMatching(/full/)]);
		broken = false;
		await loop.changed();
		expect([loop.state, loop.trouble]).toEqual(['saved', '']);
	});
	test('a session keeps each entry, however quickly they come', async () => {
		await repo.saveClient({ id: 'c', revision: 0, updatedAt: NOW, name: 'Bo' });
		const base = { id: 'x', revision: 0, updatedAt: NOW, clientId: 'c', startedAt: NOW };
		const before = { takenAt: NOW, entries: [] };
		const { record } = await repo.saveSession({ ...base, before });
		const draft = new SessionDraft(record, repo);
		void draft.change({ note: 'one' });
		void draft.change({ sideEffects: 'two' });
		await draft.change({ workedSeconds: 3 });
		await vi.waitFor(() => expect(draft.saving.state).toBe('saved'));
		expect(await repo.session('x')).toMatchObject({ note: 'one', sideEffects: 'two', workedSeconds: 3 });
		expect(await repo.secondVersionsOf('x')).toEqual([]);
	});
});

describe('keys', () => {
	const press = (key: string, init: KeyboardEventInit = {}, target: EventTarget = document.body) =>
		target.dispatchEvent(new KeyboardEvent('keydown', { key, code: key, bubbles: true, cancelable: true, ...init }));
	async function keyed() {
		const draft = await draftOf();
		const called: string[] = [];
		const call = (name: string) => () => void called.push(name);
		const stop = composeKeys({
			draft: () => draft,
			newId: () => `new-${n++}`,
			toMap: call('map'),
			wholeFace: call('whole'),
			findings: call('findings'),
			text: call('text'),
			command: call('command'),
			play: call('play'),
			sheet: call('sheet'),
			print: call('print'),
			letGo: call('letGo'),
			room: (preset) => void called.push(preset),
			fold: call('fold')
		});
		return { draft, called, stop };
	}
	const selected = (draft: SequenceDraft) => draft.selected!.step;

	test('walk, change, move, duplicate, remove, undo', async () => {
		const { draft, stop } = await keyed();
		press('ArrowDown');
		press('ArrowDown');
		expect(draft.selectedId).toBe('a');
		press('+');
		press('-');
		press('-');
		expect(selected(draft).dose.target).toBe(4);
		press('2');
		expect(selected(draft).pressure).toBe(2);
		press('s');
		expect(selected(draft).side).toEqual({ each: true, first: 'left' });
		press('s');
		expect(selected(draft).side).toEqual({ each: true, first: 'right' });
		press('l');
		expect(selected(draft).end.kind).toBe('link');
		press('l');
		expect(selected(draft).end.kind).toBe('none');
		press('ArrowUp', { altKey: true });
		expect(draft.steps.map((s) => s.step.id)).toEqual(['a', 'o', 'b']);
		press('.');
		expect(selected(draft).pressure).toBe(3);
		press(',');
		press('c');
		expect(draft.said).toBe('1 step of the aim drain');
		draft.chosen.clear();
		press('d');
		expect(draft.steps).toHaveLength(4);
		press('Delete');
		expect(draft.steps.map((s) => s.step.id)).not.toContain('a');
		press('z', { code: 'KeyZ', ctrlKey: true });
		expect(draft.steps.map((s) => s.step.id)).toContain('a');
		press('z', { code: 'KeyZ', ctrlKey: true, shiftKey: true });
		expect(draft.steps.map((s) => s.step.id)).not.toContain('a');
		stop();
	});
	test('on several steps they do the same to all, and as one edit', async () => {
		const { draft, stop } = await keyed();
		draft.select('a');
		press('ArrowDown', { shiftKey: true });
		expect([...draft.chosen.ids]).toEqual(['a', 'b']);
		press('2');
		expect(['a', 'b'].map((id) => draft.byId.get(id)!.step.pressure)).toEqual([2, 2]);
		expect(draft.undoLabel).toBe('Set the pressure of 2 steps');
		press('g');
		expect(draft.sequence.phases[0]!.blocks.map((b) => b.steps.length)).toEqual([1, 2]);
		press('g');
		expect(draft.refusal).toMatch(/in a block already/);
		press('z', { code: 'KeyZ', ctrlKey: true });
		press('a', { code: 'KeyA', ctrlKey: true });
		expect(draft.chosen.ids.size).toBe(3);
		press('d');
		expect(draft.steps).toHaveLength(6);
		press('Backspace');
		expect(draft.steps).toHaveLength(3);
		stop();
	});
	test('repeat a one-sided step on the other side, mirror it, and say where there is no other side', async () => {
		const { draft, stop } = await keyed();
		draft.do(setStep(draft.sequence, 'a', { side: 'left', reason: 'fuller' }));
		draft.select('a');
		press('m');
		expect(selected(draft).side).toBe('right');
		press('o');
		expect(draft.steps.filter((s) => s.step.side === 'left')).toHaveLength(1);
		draft.select('o');
		press('o');
		expect(draft.refusal).toMatch(/works both sides already/);
		draft.select('a');
		press('ArrowUp', { shiftKey: true });
		press('ArrowDown', { altKey: true });
		expect(draft.undoLabel).toBe('Move 2 steps');
		stop();
	});
	test('letters open their places; keys in a field stay there', async () => {
		const { draft, called, stop } = await keyed();
		for (const key of ['a', 'w', 'f', 'p', '?', 'Escape', 't', 'r', '/']) press(key);
		expect(called).toEqual(['map', 'whole', 'findings', 'print', 'sheet', 'letGo', 'text', 'play', 'command']);
		const field = document.body.appendChild(document.createElement('input'));
		draft.select('a');
		press('Delete', {}, field);
		press('4', {}, field);
		expect(draft.steps).toHaveLength(3);
		expect(selected(draft).pressure).toBe(1);
		field.remove();
		stop();
		press('f');
		expect(called).toHaveLength(9);
	});
});
