// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { schoolById } from '../core/school/schools';
import { insertStep, setHead, setStep } from '../core/sequence/edits';
import { applyEdit } from '../core/sequence/applyEdit';
import { EMPTY_HISTORY } from '../core/sequence/history';
import { stepsOf } from '../core/sequence/walk';
import { techniqueById } from '../core/technique/library';
import { CONTEXT, NOW, pump, sequenceOf, step } from '../core/testing';
import { makeDb, type SoftTideDb } from '../store/db';
import { Repository } from '../store/repository';
import { addTechniqueTo } from './addTechnique';
import { previewOf } from './previewOf';
import { SequenceDraft } from './sequenceDraft.svelte';

let db: SoftTideDb;
let repo: Repository;
let n = 0;
beforeEach(() => {
	db = makeDb(`library-use-${n++}`);
	repo = new Repository(
		db,
		() => new Date(NOW),
		() => `id-${n++}`
	);
});
afterEach(() => db.delete());

const SEQUENCE = sequenceOf([pump('o', 'terminus'), step('a', ['malar', 'zygoma'], { pressure: 2 })]);
const POLICY = { ...SEQUENCE, school: schoolById('drain-every-move'), links: 'policy' as const };
async function draftOf(sequence = SEQUENCE) {
	const { record } = await repo.saveSequence(sequence);
	return new SequenceDraft({ sequence: record.sequence, history: EMPTY_HISTORY }, CONTEXT, repo);
}
const settled = (draft: SequenceDraft) => vi.waitFor(() => expect(draft.saving.state).toBe('saved'));
const finding = (draft: SequenceDraft, ruleId: string) => draft.judgement.findings.find((f) => f.ruleId === ruleId)!;
const stepOf = (draft: SequenceDraft, id: string) => draft.byId.get(id)!.step;

describe('findings in the editor', () => {
	test('a preview says what a fix would change, and changes nothing', async () => {
		const draft = await draftOf();
		const before = draft.sequence;
		const preview = previewOf(draft, draft.fixOf(finding(draft, 'fluid-cap'))!);
		expect(preview.changes.map((d) => d.text)).toEqual(['pressure light (1), was medium (2)']);
		expect(preview.toSeconds).toBe(preview.fromSeconds);
		expect(draft.sequence).toBe(before);
		draft.do(draft.fixOf(finding(draft, 'fluid-cap')));
		expect(stepOf(draft, 'a').pressure).toBe(1);
		await settled(draft);
	});
	test('one without a fix has no preview', async () => {
		const draft = await draftOf(sequenceOf([step('n', ['throat', 'under-jaw'], { aim: 'lift' })]));
		expect(draft.fixOf(finding(draft, 'neck-direction'))).toBeNull();
	});
	test('set aside without a reason is refused in a sentence; with one it goes and can be taken up again', async () => {
		const draft = await draftOf();
		const hands = finding(draft, 'hands-clean');
		draft.mute(hands, 'Hands', ' ');
		expect(draft.refusal).toMatch(/reason/);
		draft.mute(hands, 'Hands', 'washed outside');
		expect(finding(draft, 'hands-clean')).toBeUndefined();
		await settled(draft);
		expect((await repo.sequence('s1'))!.sequence.mutes).toEqual([{ key: hands.key, reason: 'washed outside' }]);
		draft.unmute(hands.key);
		expect(finding(draft, 'hands-clean')).toBeDefined();
		await settled(draft);
	});
	test('all safe fixes are one edit: one undo takes them back', async () => {
		const draft = await draftOf();
		const edit = draft.safeFixes()!;
		expect(previewOf(draft, edit).toSeconds).toBeGreaterThan(draft.judgement.timing.expectedSeconds);
		draft.do(edit);
		expect(draft.undoLabel).toMatch(/^Fix \d+ findings$/);
		expect(draft.judgement.findings.filter((f) => f.severity !== 'advice')).toEqual([]);
		draft.undo();
		expect(draft.sequence.phases).toEqual(SEQUENCE.phases);
		await settled(draft);
	});
});

describe('links that the school keeps', () => {
	test('are set with the edit that calls for them, moved with the next, and undone with it', async () => {
		const draft = await draftOf(POLICY);
		draft.do(setStep(draft.sequence, 'a', { pressure: 1 }, 'Lower it'));
		expect(stepOf(draft, 'a').end).toMatchObject({ kind: 'link', by: 'policy' });
		const first = stepOf(draft, 'a').end;
		draft.do(setStep(draft.sequence, 'a', { places: ['buccal', 'jawline'] }, 'Lead it elsewhere'));
		expect(stepOf(draft, 'a').end).not.toEqual(first);
		draft.undo();
		expect(stepOf(draft, 'a').end).toEqual(first);
		await settled(draft);
	});
	test('give way to a hand, and go when they are kept by hand again', async () => {
		const draft = await draftOf(POLICY);
		draft.do(setStep(draft.sequence, 'a', { end: { kind: 'wiggle' } }, 'Wiggle'));
		expect(stepOf(draft, 'a').end).toEqual({ kind: 'wiggle' });
		draft.do(insertStep(draft.sequence, step('b', ['jawline', 'under-jaw', 'n:submandibular']), { after: 'a' }));
		expect(stepOf(draft, 'b').end.kind).toBe('link');
		draft.do(setHead(draft.sequence, { links: 'hand' }, 'By hand'));
		expect(stepOf(draft, 'b').end.kind).toBe('none');
		expect(stepOf(draft, 'a').end).toEqual({ kind: 'wiggle' });
		await settled(draft);
	});
});

describe('a move added from the Library', () => {
	test('goes to its stage, as one edit that the editor can undo', async () => {
		await repo.saveSequence(SEQUENCE);
		const { stepId: id } = (await addTechniqueTo(repo, 's1', techniqueById('under-eye-out')!, false))!;
		const stored = (await repo.sequence('s1'))!;
		expect(stepsOf(stored.sequence).map((s) => s.step.id)).toContain(id);
		expect(stored.history.past.map((e) => e.label)).toEqual(['Add Lower eyelid to front of the ear']);
		const draft = new SequenceDraft({ sequence: stored.sequence, history: stored.history }, CONTEXT, repo);
		draft.undo();
		expect(stepsOf(draft.sequence)).toHaveLength(2);
		await settled(draft);
	});
	test('one of her own travels along; where the school keeps links, it gets one', async () => {
		await repo.saveSequence(POLICY);
		const own = { ...techniqueById('apple-out')!, id: 'own-1', title: 'Mine' };
		const { stepId: id } = (await addTechniqueTo(repo, 's1', own, true))!;
		const { sequence } = (await repo.sequence('s1'))!;
		expect(sequence.techniques.map((t) => t.title)).toEqual(['Mine']);
		expect(stepsOf(sequence).find((s) => s.step.id === id)!.step.end).toMatchObject({ kind: 'link', by: 'policy' });
	});
	test('to a sequence that is gone: nothing happens', async () => {
		expect(await addTechniqueTo(repo, 'nowhere', techniqueById('apple-out')!, false)).toBeNull();
	});
});

test('an edit made on a sequence applies to it alone', () => {
	const edit = setStep(SEQUENCE, 'a', { pressure: 1 });
	expect(stepsOf(applyEdit(SEQUENCE, edit))[1]!.step.pressure).toBe(1);
	expect(stepsOf(SEQUENCE)[1]!.step.pressure).toBe(2);
});
