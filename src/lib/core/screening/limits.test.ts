import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Answer, Clearance } from '../client/answer.schema';
import { newAnswer } from '../client/answers';
import { dayAfter, daysBetween } from '../client/days';
import { allowedLines, placeState, placeWords } from './allowed';
import { problemsOfAnswer, problemsOfClearance } from './checkAnswer';
import { contradictionsOf } from './contradictions';
import { doctorNote } from './doctorNote';
import { FLAGS } from './flags';
import { isCleared, limitsOn } from './limits';
import { levelAt } from './meets';
import { intakeQuestions, visitQuestions } from './questions';
import { openReactions } from './reactions';
import { PreferencesSchema } from '../client/person.schema';
import { techniqueById } from '../technique/library';
import { makeStep } from '../technique/makeStep';

const TODAY = '2026-03-01';
const answer = (flag: string, change: Partial<Answer> = {}): Answer =>
	newAnswer({
		flag,
		says: 'yes',
		day: TODAY,
		at: `${TODAY}T08:00:00Z`,
		...change
	});
const on = (today: string, ...answers: Answer[]) => limitsOn({ answers, marks: [], clearances: [] }, today);

describe('waiting periods', () => {
	const filler = answer('filler', { places: ['upper-lip:left'], since: '2026-03-01' });
	test.each([
		['2026-03-28', 27, true],
		['2026-03-29', 28, false],
		['2026-03-30', 29, false]
	])('on %s, %i days after a filler: waits %s', (day, days, waits) => {
		expect(daysBetween('2026-03-01', day)).toBe(days);
		expect(on(day, filler).length > 0).toBe(waits);
	});
	test('the date that the injector gave goes first, earlier or later', () => {
		const told = (until: string) => on('2026-03-10', { ...filler, until });
		expect(told('2026-03-10')).toEqual([]);
		expect(told('2026-05-01')).toMatchObject([{ until: '2026-05-01' }]);
		expect(on('2026-04-20', { ...filler, until: '2026-05-01' })).toHaveLength(1);
	});
	test('a treatment whose day is not known waits until it is', () => {
		expect(on('2030-01-01', answer('filler'))).toMatchObject([{ until: null }]);
	});
	test('a leap day, a change of clocks and a turn of the year are days like all others', () => {
		expect(dayAfter('2028-02-28', 1)).toBe('2028-02-29');
		expect(dayAfter('2026-03-28', 2)).toBe('2026-03-30');
		expect(daysBetween('2026-12-31', '2027-01-01')).toBe(1);
	});
	const waiting = FLAGS.filter((f) => f.effects.every((e) => e.days !== undefined));
	test('a passed date clears exactly its flag', () => {
		fc.assert(
			fc.property(
				fc.uniqueArray(fc.constantFrom(...FLAGS), { minLength: 1, maxLength: 5, selector: (f) => f.id }),
				fc.constantFrom(...waiting),
				(others, passed) => {
					const rest = others.filter((f) => f.id !== passed.id).map((f) => answer(f.id));
					const longest = Math.max(...passed.effects.map((e) => e.days!));
					const done = answer(passed.id, { since: dayAfter(TODAY, -longest) });
					expect(on(TODAY, ...rest, done)).toEqual(on(TODAY, ...rest));
					const still = answer(passed.id, { since: dayAfter(TODAY, 1 - longest) });
					expect(on(TODAY, ...rest, still).length).toBeGreaterThan(on(TODAY, ...rest).length);
				}
			),
			{ numRuns: 200 }
		);
	});
});

describe('clearances', () => {
	const given: Clearance = {
		id: 'c',
		flag: 'epilepsy',
		by: 'Dr. Aune',
		on: '2026-01-10',
		until: '2026-03-02',
		what: ''
	};
	const asked = (today: string) =>
		limitsOn({ answers: [answer('epilepsy')], marks: [], clearances: [given] }, today).filter(
			(l) => l.does === 'clearance'
		);
	test('one holds from its day until the day before its end; then it is a stop that names it', () => {
		expect(asked('2026-01-09')).toHaveLength(1);
		expect(asked('2026-01-10')).toEqual([]);
		expect(asked('2026-03-01')).toEqual([]);
		expect(asked('2026-03-02')).toMatchObject([{ severity: 'stop' }]);
		expect(asked('2026-03-02')[0]!.reason).toContain('The clearance by Dr. Aune ran out on 2026-03-02');
	});
	test('it lifts what wants a word, and leaves the rest of the flag', () => {
		const left = limitsOn({ answers: [answer('epilepsy')], marks: [], clearances: [given] }, TODAY);
		expect(left.map((l) => l.does)).toEqual(['leave-out', 'media']);
	});
	test('the longest counts, and one without an end never runs out', () => {
		expect(isCleared({ ...given, until: null }, '2050-01-01')).toBe(true);
		const both = [given, { ...given, id: 'd', until: '2026-02-01' }];
		expect(limitsOn({ answers: [answer('epilepsy')], marks: [], clearances: both }, TODAY)).toHaveLength(2);
	});
});

describe('marks', () => {
	const mark = (kind: 'mole' | 'scar' | 'filler-site' | 'sore', since: string | null) => ({
		id: 'm',
		kind,
		zone: 'malar' as const,
		side: 'left' as const,
		sizeMm: 5,
		since,
		note: ''
	});
	const held = (m: ReturnType<typeof mark>) =>
		limitsOn({ answers: [], marks: [m], clearances: [] }, TODAY).map((l) => l.does);
	test('a mole is gone round; a fresh scar is left alone and an old one kept light; a filler site settles', () => {
		expect(held(mark('mole', null))).toEqual(['go-round']);
		expect(held(mark('scar', '2026-02-01'))).toEqual(['leave-out', 'level']);
		expect(held(mark('scar', '2020-02-01'))).toEqual(['level']);
		expect(held(mark('filler-site', '2026-02-01'))).toEqual([]);
		expect(held(mark('filler-site', '2026-02-02'))).toEqual(['leave-out']);
	});
});

test('several limits on one place: the strictest counts, all are named, the gravest is drawn', () => {
	const limits = on(
		TODAY,
		answer('jaw-locks'),
		answer('facial-palsy', { places: ['masseter:left'] }),
		answer('filler', { places: ['masseter:right'], since: '2026-02-20' })
	);
	expect(levelAt(limits, 'masseter:left')).toBe(1);
	expect(levelAt(limits, 'masseter:right')).toBe(2);
	expect(levelAt(limits, 'temple:left')).toBeNull();
	expect(placeWords(limits, 'masseter:left')).toBe(
		'limited to level 2: Jaw that locks or clicks with pain; limited to level 1: Facial palsy, earlier'
	);
	expect([
		placeState(limits, 'masseter:left'),
		placeState(limits, 'masseter:right'),
		placeState(limits, 'nape:left')
	]).toEqual(['limited', 'waits', null]);
});

test('the lines of a day: one a source, numbered, with its days', () => {
	const lines = allowedLines(
		on(
			TODAY,
			answer('blood-thinner'),
			answer('filler', { places: ['chin:left'], since: '2026-02-20' }),
			answer('contact-lenses')
		),
		TODAY
	);
	expect(lines.map((l) => [l.number, l.name, l.severity, l.state])).toEqual([
		[1, 'Blood thinner', 'stop', 'limited'],
		[2, 'Filler', 'stop', 'waits'],
		[3, 'Contact lenses', 'advice', 'limited']
	]);
	expect(lines[0]!.effects).toEqual([
		'Only with a doctor’s word',
		'Level 2 at most: everywhere',
		'Without the stone plate, scraping, pinching and lifting a fold and pinching'
	]);
	expect(lines[1]).toMatchObject({
		effects: ['Waits: chin, left, and around'],
		wait: { passed: 9, days: 28 },
		until: '2026-03-20'
	});
	expect(lines[2]!.onlySaid).toBe(true);
});

describe('what is asked', () => {
	test('the intake asks all but what belongs to certain moves, today first', () => {
		const questions = intakeQuestions({ answers: [] });
		expect(questions.length).toBe(FLAGS.filter((f) => typeof f.asked === 'string').length);
		expect(questions[0]!.flag.id).toBe('fever');
		expect(intakeQuestions({ answers: [answer('fever', { says: 'no' })] })[0]!.done).toBe(true);
	});
	test('a visit asks what waits and what came up before first, then what can have changed, and no more of the intake', () => {
		const before = { day: '2026-02-20', at: '2026-02-20T08:00:00Z' };
		const answers = [
			answer('filler', { since: '2026-02-18', ...before }),
			answer('pregnancy', { ...before }),
			answer('carotid', { says: 'no', ...before }),
			answer('epilepsy', { says: 'unsure', ...before }),
			answer('past-clot', { since: '2025-01-01', ...before })
		];
		const asked = visitQuestions({ answers }, TODAY);
		expect(asked.slice(0, 3).map((q) => [q.flag.id, q.because])).toEqual([
			['filler', 'waits'],
			['epilepsy', 'last-time'],
			['pregnancy', 'last-time']
		]);
		const ids = asked.map((q) => q.flag.id);
		expect(ids).not.toContain('carotid');
		// Its half year is over: it is not asked again.
		expect(ids).not.toContain('past-clot');
		expect(ids).not.toContain('gag');
		expect(asked.every((q) => !q.done)).toBe(true);
	});
	test('a plan with such a move asks once what belongs to it', () => {
		const inside = makeStep(techniqueById('thumb-inside')!, { id: 'x' });
		const ids = (answers: Answer[]) => visitQuestions({ answers }, TODAY, [inside]).map((q) => q.flag.id);
		expect(ids([])).toEqual(expect.arrayContaining(['gag', 'no-inside-consent']));
		expect(ids([answer('gag', { says: 'no', day: '2026-01-01', at: '2026-01-01T08:00:00Z' })])).not.toContain('gag');
	});
	test('what was noted after a session comes back until it is said how it went', () => {
		const sessions = [
			{ id: 'a', sideEffects: 'A bruise at the jaw.' },
			{ id: 'b', sideEffects: '' }
		];
		const told = (went: 'gone' | 'still', day: string) =>
			openReactions(sessions, [{ sessionId: 'a', went, note: '', day, at: `${day}T08:00:00Z` }], TODAY);
		expect(openReactions(sessions, [], TODAY).map((s) => s.id)).toEqual(['a']);
		expect(told('gone', '2026-02-20')).toEqual([]);
		expect(told('still', TODAY)).toEqual([]);
		expect(told('still', '2026-02-20').map((s) => s.id)).toEqual(['a']);
	});
});

describe('what cannot be', () => {
	const known = { today: TODAY, birthYear: 1980 };
	test('dates ahead, before birth, or in the wrong order name the field and the remedy', () => {
		expect(problemsOfAnswer({ since: '2026-03-02', until: null }, known)[0]!.words).toMatch(
			/^Since: 2026-03-02 lies ahead\. Give/
		);
		expect(problemsOfAnswer({ since: '1979-12-31', until: null }, known)[0]!.words).toContain('year of birth, 1980');
		expect(problemsOfAnswer({ since: '2026-02-01', until: '2026-01-01' }, known)[0]!.field).toBe('Until');
		expect(problemsOfAnswer({ since: '2026-02-01', until: '2026-04-01' }, known)).toEqual([]);
		const clearance = { id: 'c', flag: 'epilepsy', by: ' ', on: '2026-03-05', until: '2026-03-05', what: '' };
		expect(problemsOfClearance(clearance, TODAY).map((p) => p.field)).toEqual(['By', 'On', 'Until']);
	});
	test('answers, marks and wishes that contradict each other stand side by side with the question which one holds', () => {
		const person = {
			answers: [
				answer('stroke'),
				answer('blood-thinner', { says: 'no' }),
				answer('filler', { says: 'no' }),
				answer('nut-allergy')
			],
			marks: [
				{
					id: 'm',
					kind: 'filler-site' as const,
					zone: 'chin' as const,
					side: 'left' as const,
					sizeMm: 4,
					since: null,
					note: ''
				}
			],
			preferences: { ...PreferencesSchema.parse({}), likes: ['almond-oil'] }
		};
		expect(contradictionsOf(person).map((c) => [c.one, c.other])).toEqual([
			['Stroke: yes', 'Blood thinner: no'],
			['Filler: no', 'Mark: filler site'],
			['Nut allergy: yes', 'Likes almond oil']
		]);
		expect(
			contradictionsOf({
				...person,
				answers: [answer('stroke'), answer('blood-thinner')],
				preferences: PreferencesSchema.parse({})
			})
		).toEqual([]);
	});
	test('the latest answer to a question holds', () => {
		expect(on(TODAY, answer('fever'), answer('fever', { says: 'no' }))).toEqual([]);
	});
});

test('the note for her doctor asks what is to be asked, and nothing else', () => {
	const text = doctorNote(
		{ name: 'Lamp 14', answers: [answer('epilepsy', { note: 'as a child' }), answer('fever', { says: 'no' })] },
		TODAY
	);
	expect(text).toContain('Lamp 14, 1 March 2026');
	expect(text).toContain('Epilepsy (as a child)\n  Asked: Are fits under control');
	expect(text).not.toContain('Fever');
});
