// @vitest-environment happy-dom
import fc from 'fast-check';
import { beforeEach, describe, expect, test, vi } from 'vitest';
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
/** What a slow store waits for. */
let slow: Promise<void> | null = null;
beforeEach(() => {
	client = blank;
	slow = null;
	vi.useRealTimers();
});
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
		keep: async (change) => {
			if (slow) await slow;
			client = { ...client, answers: change(client.answers) };
		}
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
	test('a yes is stored as it is chosen, says beforehand what it would do, and takes its details as they come', () => {
		const intake = begin();
		intake.goTo('filler');
		expect(effectsOf(intake.wouldDo('yes'))).toEqual(['Left out: the face, as long as the place is not told']);
		expect(intake.wouldDo('no')).toEqual([]);
		intake.look('yes');
		expect(client.answers).toMatchObject([{ flag: 'filler', says: 'yes', places: [] }]);
		expect([asked(intake), intake.asksPlace]).toEqual(['filler', true]);
		intake.togglePlace('chin:left');
		intake.togglePlace('malar:left');
		intake.togglePlace('malar:left');
		intake.since = '2026-02-20';
		intake.note = ' a little, here ';
		intake.record();
		expect(client.answers).toMatchObject([
			{ flag: 'filler', says: 'yes', places: ['chin:left'], since: '2026-02-20', note: 'a little, here' }
		]);
		// The next one begins with nothing filled in.
		expect([intake.says, intake.places, intake.since, intake.note]).toEqual([null, [], null, '']);
	});
	test('a day that cannot be is not stored, says why, and takes nothing of the answer with it', () => {
		const intake = begin();
		intake.goTo('filler');
		intake.look('yes');
		intake.since = '2026-03-02';
		expect(intake.problems.map((p) => p.field)).toEqual(['Since']);
		intake.record();
		expect(asked(intake)).toBe('filler');
		expect(client.answers).toMatchObject([{ flag: 'filler', says: 'yes', since: null }]);
		intake.since = '2026-03-01';
		intake.until = '2026-02-01';
		expect(intake.problems.map((p) => p.field)).toEqual(['Until']);
		intake.until = null;
		intake.record();
		expect(client.answers).toMatchObject([{ flag: 'filler', says: 'yes', since: '2026-03-01', until: null }]);
		expect(asked(intake)).not.toBe('filler');
	});
	test('nothing is recorded without an answer', () => {
		const intake = begin();
		intake.record();
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
	test('no to the rest of a chapter answers that chapter alone', () => {
		const intake = begin();
		intake.noToRest('today');
		const today = FLAGS.filter((f) => f.chapter === 'today').map((f) => f.id);
		expect(client.answers.map((a) => a.flag)).toEqual(today);
		expect(client.answers.every((a) => a.says === 'no')).toBe(true);
		expect(intake.question?.flag.chapter).toBe('history');
		expect(intake.said).toBe(`${today.length} answered with no`);
	});
	test('nothing else is new: no is not assumed of what came up before', async () => {
		const intake = begin([told('pregnancy')]);
		intake.noToRest();
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

describe('what was chosen is never something else', () => {
	const LEAVING: Record<string, (intake: Intake) => void> = {
		record: (i) => i.record(),
		'no to the rest of the chapter': (i) => i.noToRest(i.question?.flag.chapter),
		'no to everything': (i) => i.noToRest(),
		later: (i) => i.later(),
		back: (i) => i.back(),
		'another chapter': (i) => i.chapter(2),
		'another question': (i) => i.goTo('goitre'),
		'the other list': (i) => i.switchTo(i.mode === 'visit' ? 'intake' : 'visit'),
		'the page is left': (i) => i.settle()
	};
	const held = (flag: string) => client.answers.findLast((a) => a.flag === flag)?.says;

	test.each(Object.keys(LEAVING))('a yes, and then: %s', (way) => {
		for (const flag of ['filler', 'pacemaker', 'cancer', 'pregnancy']) {
			const intake = begin();
			intake.goTo(flag);
			intake.look('yes');
			intake.note = 'in these words';
			LEAVING[way]!(intake);
			expect(client.answers.filter((a) => a.flag === flag)).toMatchObject([{ says: 'yes', note: 'in these words' }]);
			intake.noToRest();
			expect(held(flag)).toBe('yes');
		}
	});
	test('a store that is slow makes no "no" of it', async () => {
		let go = () => {};
		slow = new Promise((done) => (go = done));
		const intake = begin();
		intake.goTo('filler');
		intake.look('yes');
		intake.noToRest(intake.question!.flag.chapter);
		go();
		await vi.waitFor(() => expect(client.answers.length).toBeGreaterThan(3));
		expect(held('filler')).toBe('yes');
		expect(client.answers.filter((a) => a.flag === 'filler')).toHaveLength(1);
	});
	test('a yes that came from another window meanwhile stays one', () => {
		const intake = begin();
		const asked = intake.questions;
		expect(asked.find((q) => q.flag.id === 'pacemaker')?.done).toBe(false);
		const answers = [told('pacemaker', { at: NOW })];
		const late = new Intake({
			client: () => blank,
			today: () => TODAY,
			now: () => NOW,
			steps: () => [],
			keep: async (change) => void (client = { ...client, answers: change(answers) })
		});
		late.noToRest();
		expect(held('pacemaker')).toBe('yes');
	});
	test('each answer can be taken back, the latest first, and what was said before holds again', () => {
		const before = [told('filler', { says: 'unsure' })];
		const intake = begin(before);
		intake.switchTo('intake');
		intake.goTo('filler');
		intake.look('yes');
		intake.record();
		intake.noToRest(intake.question!.flag.chapter);
		expect(intake.last).toMatch(/^\d+ answered with no$/);
		intake.undo();
		expect(client.answers).toHaveLength(2);
		expect(intake.last).toBe('Filler: yes');
		intake.undo();
		expect(client.answers).toEqual(before);
		expect([asked(intake), intake.last]).toEqual(['filler', null]);
		intake.undo();
		expect(client.answers).toEqual(before);
	});
	test('an answer that is changed stays readable; one of today can be taken back from its question', () => {
		const intake = begin();
		intake.goTo('filler');
		intake.look('yes');
		intake.look('no');
		intake.goTo('filler');
		expect(intake.history.map((a) => a.says)).toEqual(['no', 'yes']);
		intake.takeBack(intake.history[0]!);
		expect(held('filler')).toBe('yes');
		expect(asked(intake)).toBe('filler');
	});
	test('what was not sure last time and is a lasting yes now stays at hand, with its details, until it is recorded', () => {
		const intake = begin([
			newAnswer({ flag: 'pacemaker', says: 'unsure', day: '2026-01-05', at: '2026-01-05T09:00:00.000Z' })
		]);
		intake.goTo('pacemaker');
		expect(asked(intake)).toBe('pacemaker');
		intake.look('yes');
		expect([asked(intake), intake.says, held('pacemaker')]).toEqual(['pacemaker', 'yes', 'yes']);
		intake.note = 'since spring';
		intake.record();
		expect(client.answers.at(-1)).toMatchObject({ says: 'yes', note: 'since spring' });
		expect(intake.questions.find((q) => q.flag.id === 'pacemaker')?.done).toBe(true);
	});
	test('whatever is pressed in whatever order: what was said last to a question by itself is what holds', () => {
		const ids = ['filler', 'pacemaker', 'fever', 'goitre', 'botulinum'].filter((id) => FLAGS.some((f) => f.id === id));
		const press = fc.oneof(
			fc.record({
				kind: fc.constant('say' as const),
				flag: fc.constantFrom(...ids),
				says: fc.constantFrom('yes' as const, 'no' as const, 'unsure' as const)
			}),
			fc.record({ kind: fc.constant('leave' as const), way: fc.constantFrom(...Object.keys(LEAVING)) }),
			fc.record({ kind: fc.constant('note' as const), words: fc.constantFrom('a', 'b') })
		);
		fc.assert(
			fc.property(fc.array(press, { maxLength: 14 }), (presses) => {
				const intake = begin();
				const said = new Map<string, string>();
				for (const p of presses)
					if (p.kind === 'say') {
						intake.goTo(p.flag);
						// Not every question stands in both lists.
						if (asked(intake) !== p.flag) continue;
						intake.look(p.says);
						said.set(p.flag, p.says);
					} else if (p.kind === 'note') intake.note = p.words;
					else LEAVING[p.way]!(intake);
				for (const [flag, says] of said) expect(held(flag), flag).toBe(says);
			}),
			{ numRuns: 200 }
		);
	});
});
