// @vitest-environment happy-dom
import { flushSync } from 'svelte';
import { afterEach, describe, expect, test, vi } from 'vitest';
import type { Answer } from '$lib/core/client/answer.schema';
import { newAnswer } from '$lib/core/client/answers';
import { ClientSchema, type Client, type ClientChange } from '$lib/core/records/client';
import type { Session } from '$lib/core/records/session';
import { allowedLines } from '$lib/core/screening/allowed';
import { factsOf } from '$lib/core/screening/clientFacts';
import { TEMPLATES } from '$lib/core/template/templates';
import { CONTEXT, NOW } from '$lib/core/testing';
import { planOfToday } from '$lib/core/visit/planOfToday';
import { NO_WISHES } from '$lib/core/visit/wishes';
import { Intake } from '$lib/state/intake.svelte';
import { all, button, clear, click, press, show } from '../../testing';
import AboutHer from './AboutHer.svelte';
import AllowedList from './AllowedList.svelte';
import ClearanceForm from './ClearanceForm.svelte';
import ClientList from './ClientList.svelte';
import ConsentForm from './ConsentForm.svelte';
import FollowUps from './FollowUps.svelte';
import HerPlan from './HerPlan.svelte';
import MarksForm from './MarksForm.svelte';
import QuestionColumn from './QuestionColumn.svelte';

afterEach(clear);
const TODAY = '2026-03-01';
const answer = (flag: string, change: Partial<Answer> = {}): Answer =>
	newAnswer({
		flag,
		says: 'yes',
		day: TODAY,
		at: NOW,
		...change
	});
const person = (change: Partial<Client> = {}): Client =>
	ClientSchema.parse({ id: 'c', revision: 1, updatedAt: NOW, name: 'Kite 3', ...change });
/** What a change makes of a client. */
const made = (client: Client, change: ClientChange): Client => ({
	...client,
	...(typeof change === 'function' ? change(client) : change)
});
const type = (el: HTMLInputElement | HTMLTextAreaElement | null | undefined, text: string) => {
	el!.value = text;
	el!.dispatchEvent(new Event('input', { bubbles: true }));
	flushSync();
};
const words = (root: Element) => root.textContent!.replace(/\s+/g, ' ');

describe('what today allows', () => {
	const list = (client: Client, cleared: { name: string; words: string }[] = []) =>
		show(AllowedList, {
			lines: allowedLines(factsOf(client, TODAY)!.limits, TODAY),
			cleared,
			asked: client.answers.length > 0
		});
	test('effects first, then why, with the days that have passed and the day on which it opens', () => {
		const root = list(
			person({ answers: [answer('filler', { places: ['chin:left'], since: '2026-02-20' }), answer('carotid')] })
		);
		expect(all(root, 'li')).toHaveLength(2);
		expect(words(root)).toContain('Waits: chin, left, and around');
		expect(words(root)).toContain('9 of 28 days opens 20 March 2026');
		expect(all(root, 'i')).toHaveLength(28);
	});
	test('weeks instead of days where it is long', () => {
		const root = list(
			person({ answers: [answer('eye-surgery', { places: ['upper-eyelid:left'], since: '2026-02-01' })] })
		);
		expect(all(root, 'i')).toHaveLength(13);
	});
	test('nothing that limits, and nothing asked, are two things', () => {
		expect(words(list(person({ answers: [answer('fever', { says: 'no' })] })))).toContain(
			'Nothing that was answered limits'
		);
		expect(words(list(person()))).toContain('Nothing was asked yet');
	});
	test('what is cleared stays in sight', () => {
		expect(words(list(person(), [{ name: 'Epilepsy', words: 'cleared by Dr. Aune' }]))).toContain(
			'Epilepsy cleared by Dr. Aune'
		);
	});
});

describe('the list of clients', () => {
	const many = Array.from({ length: 500 }, (_, i) =>
		person({ id: `c${i}`, name: `Lamp ${i}`, note: i === 77 ? 'Rows at dawn, Élodie’s sister' : '', archived: i === 3 })
	);
	const open = (clients = many, visits = new Map<string, { count: number; lastAt: string }>()) =>
		show(ClientList, { clients, loaded: true, visits, currentId: 'c0', today: TODAY });
	test('search by name and note, without accents or order', () => {
		const root = open();
		type(root.querySelector('input'), 'sister elodie');
		expect(all(root, 'li a').map((a) => a.getAttribute('href'))).toEqual(['/clients/c77']);
		type(root.querySelector('input'), 'nobody of that name');
		expect(words(root)).toContain('Nobody is called so.');
		click(button(root, 'Show all'));
		expect(all(root, 'li a').length).toBeGreaterThan(10);
	});
	test('archived ones stand apart', () => {
		const root = open(many.slice(0, 5));
		expect(words(root)).not.toContain('Lamp 3');
		click(button(root, /Archived, 1/) ?? all(root, '[role=radio]').at(-1));
		expect(words(root)).toContain('Lamp 3');
	});
	test('says what is to be heeded, who ends the day, and who was never asked', () => {
		const root = open([
			person({ id: 'a', name: 'A', answers: [answer('fever')] }),
			person({ id: 'b', name: 'B', answers: [answer('glaucoma')] }),
			person({ id: 'd', name: 'D' })
		]);
		const rows = all(root, 'li').map(words);
		expect(rows[0]).toContain('no massage today');
		expect(rows[1]).toContain('1 to heed');
		expect(rows[2]).toContain('not asked yet');
	});
	test('nobody yet', () => expect(words(open([]))).toContain('Nobody yet.'));
});

describe('marks and clearances', () => {
	const changes: ClientChange[] = [];
	const onchange = (change: ClientChange) => changes.push(change);
	afterEach(() => changes.splice(0));
	const marks = (places: string[], client = person()) =>
		show(MarksForm, { client, today: TODAY, newId: () => 'new', places, ontoggle: vi.fn(), onchange });
	test('a mark needs its place, a size, and a day that was', () => {
		let root = marks([]);
		click(button(root, 'Add the mark'));
		expect(words(root)).toContain('What lies off the face is no mark.');
		clear();
		root = marks(['chin:left']);
		type(root.querySelector('input[type=number]'), '900');
		click(button(root, 'Add the mark'));
		expect(words(root)).toContain('Size: give 1 to 200 mm');
		type(root.querySelector('input[type=number]'), '8');
		type(root.querySelector('input[type=date]'), '2026-03-02');
		click(button(root, 'Add the mark'));
		expect(words(root)).toContain('lies ahead');
		expect(changes).toEqual([]);
	});
	test('it is added to what is stored, on the midline where both halves were chosen', () => {
		click(button(marks(['chin:left', 'chin:right']), 'Add the mark'));
		expect(made(person(), changes[0]!).marks).toMatchObject([
			{ id: 'new', kind: 'mole', zone: 'chin', side: 'midline', sizeMm: 5 }
		]);
	});
	test('one is taken out by its name', () => {
		const client = person({
			marks: [{ id: 'm', kind: 'scar', zone: 'chin', side: 'left', sizeMm: 9, since: null, note: '' }]
		});
		click(button(marks([], client), 'Take out: Scar, chin, left'));
		expect(made(client, changes[0]!).marks).toEqual([]);
	});
	test('a clearance is offered for what wants a word, and needs a name', () => {
		const form = (client: Client) => show(ClearanceForm, { client, today: TODAY, newId: () => 'new', onchange });
		expect(button(form(person()), 'Note the clearance')).toBeUndefined();
		clear();
		const client = person({ answers: [answer('epilepsy')] });
		const root = form(client);
		expect(words(root)).toContain('Are fits under control');
		click(button(root, 'Note the clearance'));
		expect(words(root)).toContain('By: say who gave it, by name.');
		type(root.querySelector('input[maxlength="200"]'), 'Dr. Aune');
		click(button(root, 'Note the clearance'));
		expect(made(client, changes.at(-1)!).clearances).toMatchObject([
			{ flag: 'epilepsy', by: 'Dr. Aune', on: TODAY, until: null }
		]);
	});
	test('consent is noted in words and withdrawn with its day', () => {
		const client = person({ consents: [{ id: 'k', what: 'Face and neck', on: '2026-01-01', withdrawn: null }] });
		const root = show(ConsentForm, { client, today: TODAY, newId: () => 'new', onchange });
		click(button(root, 'Note it'));
		expect(words(root)).toContain('write it down as it was said');
		type(root.querySelector('input'), 'No photographs');
		click(button(root, 'Note it'));
		expect(made(client, changes[0]!).consents).toMatchObject([{ id: 'k' }, { what: 'No photographs', on: TODAY }]);
		click(button(root, 'Withdrawn'));
		expect(made(client, changes[1]!).consents[0]).toMatchObject({ withdrawn: TODAY });
	});
});

describe('the question', () => {
	const column = (client: Client) => {
		let now = client;
		const intake = new Intake({
			client: () => now,
			today: () => TODAY,
			now: () => NOW,
			steps: () => [],
			keep: async (change) => void (now = { ...now, answers: change(now.answers) })
		});
		const onredflags = vi.fn();
		return { root: show(QuestionColumn, { intake, today: TODAY, onredflags }), intake, onredflags, client: () => now };
	};
	test('keys answer, lead back and on, and do nothing while one types', () => {
		const { root, intake } = column(person());
		press(document.body, 'y');
		expect(intake.says).toBe('yes');
		expect(button(root, /^Y Yes/)?.getAttribute('aria-pressed')).toBe('true');
		press(document.body, 'ArrowRight');
		expect(intake.question!.flag.id).toBe('acute-infection');
		press(document.body, '2');
		expect(intake.question!.flag.chapter).toBe('history');
		press(root.querySelector('input') ?? document.body, 'ArrowUp');
		intake.look('yes');
		flushSync();
		press(root.querySelector('input')!, 'n');
		expect(intake.says).toBe('yes');
	});
	test('each answer says beforehand what it would do, and red flags are one press away', () => {
		const { root, onredflags } = column(person());
		expect(words(root)).toContain('No massage today, refer.');
		expect(words(root)).toContain('Counts as yes until it is known.');
		click(button(root, 'What makes one stop and refer'));
		expect(onredflags).toHaveBeenCalledOnce();
	});
});

test('what was noted after a session is asked until it is answered', () => {
	const session = { id: 's', startedAt: NOW, zoneOffsetMinutes: 0, sideEffects: 'A bruise at the jaw.' } as Session;
	const onanswer = vi.fn();
	const root = show(FollowUps, { sessions: [session], followUps: [], today: TODAY, now: () => NOW, onanswer });
	expect(words(root)).toContain('A bruise at the jaw.');
	click(button(root, 'Gone'));
	expect(onanswer).toHaveBeenCalledWith({ sessionId: 's', went: 'gone', note: '', day: TODAY, at: NOW });
});

test('her plan says how much of it changes, and is not begun on a day that is refused', () => {
	const plan = (client: Client) => {
		const sequence = TEMPLATES[0]!;
		const made = planOfToday({ client, today: TODAY, sequence, wishes: NO_WISHES, given: CONTEXT });
		return show(HerPlan, { clientId: client.id, chosen: { sequence, because: 'last' }, plan: made, onlook: vi.fn() });
	};
	expect(words(plan(person()))).toContain('as it is.');
	clear();
	const root = plan(person({ answers: [answer('glaucoma')] }));
	expect(words(root)).toMatch(/\d+ (step|steps)? ?(falls|fall|is|are)/);
	expect(all(root, 'a').map((a) => a.textContent)).toContain('Make it fit her');
	clear();
	expect(all(plan(person({ answers: [answer('fever')] })), 'a.btn')).toEqual([]);
});

test('goals, wishes and consent in short', () => {
	const client = person({
		goals: ['tension-head', 'wind-down'],
		consents: [{ id: 'k', what: 'Face only', on: '2026-01-01', withdrawn: null }],
		asymmetry: { places: ['brow:left'], note: 'higher', since: null }
	});
	const root = show(AboutHer, {
		client: { ...client, preferences: { ...client.preferences, pressure: 'lighter', dislikes: ['balm'] } },
		media: []
	});
	expect(words(root)).toContain('Tight head, then Wind-down for sleep');
	expect(words(root)).toContain('A little lighter than planned. Not balm.');
	expect(words(root)).toContain('1 January 2026: Face only');
	expect(words(root)).toContain('brow, left: higher');
});
