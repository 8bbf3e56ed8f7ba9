// @vitest-environment happy-dom
import { beforeEach, describe, expect, test } from 'vitest';
import type { Answer } from '../core/client/answer.schema';
import { newAnswer } from '../core/client/answers';
import { ClientSchema, type Client } from '../core/records/client';
import { FLAGS } from '../core/screening/flags';
import { effectsOf } from '../core/screening/allowed';
import { techniqueById } from '../core/technique/library';
import { makeStep } from '../core/technique/makeStep';
import { NOW } from '../core/testing';
import { Intake } from './intake.svelte';

const TODAY = '2026-03-01';
let client = $state.raw(ClientSchema.parse({ id: 'c', revision: 1, updatedAt: NOW, name: 'Kite 3' })) as Client;
const blank = client;
beforeEach(() => (client = blank));
const told = (flag: string, change: Partial<Answer> = {}): Answer =>
	newAnswer({
		flag,
		says: 'yes',
		day: '2026-02-20',
		at: '2026-02-20T08:00:00Z',
		...change
	});
const begin = (answers: readonly Answer[] = [], steps = [] as ReturnType<typeof makeStep>[]) => {
	client = { ...blank, answers: [...answers] };
	return new Intake({
		client: () => client,
		today: () => TODAY,
		now: () => NOW,
		steps: () => steps,
		keep: async (more) => void (client = { ...client, answers: [...client.answers, ...more] })
	});
};
const asked = (intake: Intake) => intake.question?.flag.id ?? null;

describe('one question at a time', () => {
	test('somebody new is asked everything, somebody known what can have changed', () => {
		expect(begin().mode).toBe('intake');
		expect(begin([told('fever', { says: 'no' })]).mode).toBe('visit');
	});
	test('a no is recorded at once and leads on; each answer stands in the record with its day', async () => {
		const intake = begin();
		expect(asked(intake)).toBe('fever');
		intake.look('no');
		await Promise.resolve();
		expect(client.answers).toMatchObject([{ flag: 'fever', says: 'no', day: TODAY, at: NOW }]);
		expect(asked(intake)).toBe('acute-infection');
		expect(intake.answered).toBe(1);
		expect(intake.said).toBe('Fever: no');
	});
	test('a yes waits for its details, says what it would do, and is recorded by a word', async () => {
		const intake = begin();
		intake.goTo('filler');
		expect(effectsOf(intake.wouldDo('yes'))).toEqual(['Left out: the face, as long as the place is not told']);
		expect(intake.wouldDo('no')).toEqual([]);
		intake.look('yes');
		expect(client.answers).toEqual([]);
		expect(intake.asksPlace).toBe(true);
		intake.togglePlace('chin:left');
		intake.togglePlace('malar:left');
		intake.togglePlace('malar:left');
		intake.since = '2026-02-20';
		intake.note = ' a little, here ';
		expect(effectsOf(intake.ghost)).toEqual(['Waits: chin, left, and around']);
		await intake.record();
		expect(client.answers).toMatchObject([
			{ flag: 'filler', says: 'yes', places: ['chin:left'], since: '2026-02-20', note: 'a little, here' }
		]);
		// The next one begins with nothing filled in.
		expect([intake.says, intake.places, intake.since, intake.note]).toEqual([null, [], null, '']);
	});
	test('what cannot be is not recorded, and says why', async () => {
		const intake = begin();
		intake.goTo('filler');
		intake.look('yes');
		intake.since = '2026-03-02';
		expect(intake.problems.map((p) => p.field)).toEqual(['Since']);
		await intake.record();
		expect(client.answers).toEqual([]);
		intake.since = '2026-03-01';
		intake.until = '2026-02-01';
		expect(intake.problems.map((p) => p.field)).toEqual(['Until']);
		intake.until = null;
		await intake.record();
		expect(client.answers).toHaveLength(1);
	});
	test('nothing is recorded without an answer', async () => {
		const intake = begin();
		await intake.record();
		expect(client.answers).toEqual([]);
	});
	test('what was told last time stands in the fields already', () => {
		const intake = begin([told('filler', { places: ['chin:left'], since: '2026-02-18', note: 'by a doctor' })]);
		expect(asked(intake)).toBe('filler');
		expect(intake.question?.because).toBe('waits');
		intake.look('yes');
		expect([intake.places, intake.since, intake.note]).toEqual([['chin:left'], '2026-02-18', 'by a doctor']);
		expect(intake.asksPlace).toBe(false);
	});
});

describe('ways through it', () => {
	test('back, later, a chapter by its number, and any question by its name', async () => {
		const intake = begin();
		intake.later();
		expect(asked(intake)).toBe('acute-infection');
		intake.back();
		expect(asked(intake)).toBe('fever');
		intake.chapter(3);
		expect(intake.question?.flag.chapter).toBe('neck');
		intake.chapter(99);
		expect(intake.question?.flag.chapter).toBe('neck');
		intake.goTo('goitre');
		expect(asked(intake)).toBe('goitre');
		intake.look('no');
		await Promise.resolve();
		// On with the first that is open; what was left for later comes at the end.
		expect(asked(intake)).toBe('acute-infection');
	});
	test('no to the rest of a chapter answers that chapter alone', async () => {
		const intake = begin();
		await intake.noToRest('today');
		const today = FLAGS.filter((f) => f.chapter === 'today').map((f) => f.id);
		expect(client.answers.map((a) => a.flag)).toEqual(today);
		expect(client.answers.every((a) => a.says === 'no')).toBe(true);
		expect(intake.question?.flag.chapter).toBe('history');
		expect(intake.said).toBe(`${today.length} answered with no`);
	});
	test('nothing else is new: no is not assumed of what came up before', async () => {
		const intake = begin([told('pregnancy')]);
		await intake.noToRest();
		expect(client.answers.filter((a) => a.day === TODAY).map((a) => a.flag)).not.toContain('pregnancy');
		expect(asked(intake)).toBe('pregnancy');
		intake.look('no');
		await Promise.resolve();
		expect(asked(intake)).toBeNull();
		expect(intake.questions.every((q) => q.done)).toBe(true);
		// From the end, back leads to the last one.
		intake.back();
		expect(asked(intake)).not.toBeNull();
	});
	test('a plan with a thumb inside asks what belongs to it', () => {
		const inside = makeStep(techniqueById('thumb-inside')!, { id: 'x' });
		const ids = begin([told('fever', { says: 'no' })], [inside]).questions.map((q) => q.flag.id);
		expect(ids).toEqual(expect.arrayContaining(['gag', 'no-inside-consent']));
	});
	test('from the visit to the whole intake and back, with nothing half filled in', () => {
		const intake = begin([told('fever', { says: 'no' })]);
		intake.look('yes');
		intake.switchTo('intake');
		expect(intake.says).toBeNull();
		expect(intake.questions.length).toBeGreaterThan(80);
		intake.switchTo('visit');
		expect(intake.questions.length).toBeLessThan(60);
	});
});
