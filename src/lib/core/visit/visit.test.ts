import { describe, expect, test } from 'vitest';
import { emptyAssessment } from '../assess/assessment';
import { newAnswer } from '../client/answers';
import { plannedCounts, sessionAccount } from '../perform/account';
import { ClientSchema } from '../records/client';
import { SequenceRecordSchema } from '../records/sequenceRecord';
import { SessionSchema, type Session } from '../records/session';
import { refTo, snapshotOf } from '../records/snapshot';
import { EMPTY_HISTORY } from '../sequence/history';
import { TEMPLATES } from '../template/templates';
import { CONTEXT, NOW, sequenceOf, step } from '../testing';
import { sessionToBegin, type How } from './beginSession';
import { lastPerformed, learntAt, learntFrom } from './learnt';
import { lookedOn } from './lookedOn';
import { fitWords, planOfToday } from './planOfToday';
import { NO_WISHES } from './wishes';
import { sequenceFor } from './sequenceFor';

const TODAY = '2026-03-01';
const client = (more: object = {}) => ClientSchema.parse({ id: 'c', revision: 1, updatedAt: NOW, name: 'Bo', ...more });
const yes = (flag: string, more: object = {}) =>
	newAnswer({ flag, says: 'yes', day: TODAY, at: `${TODAY}T07:00:00Z`, since: '2026-02-25', ...more });
const record = (id: string, more: object = {}) =>
	SequenceRecordSchema.parse({
		id,
		revision: 1,
		updatedAt: NOW,
		sequence: { ...TEMPLATES[0]!, id, title: id },
		history: EMPTY_HISTORY,
		...more
	});
const session = (more: object = {}): Session =>
	SessionSchema.parse({
		id: 's',
		revision: 1,
		updatedAt: NOW,
		clientId: 'c',
		startedAt: NOW,
		endedAt: NOW,
		before: emptyAssessment(NOW),
		...more
	});
const performedAs = (id: string) => ({ sequence: refTo(snapshotOf({ ...TEMPLATES[0]!, id, title: id })) });

describe('which sequence is the one of today', () => {
	const records = [
		record('newest'),
		record('made-for-c', { clientId: 'c' }),
		record('theirs', { clientId: 'd' }),
		record('old')
	];
	const of = (more: object) => sequenceFor({ clientId: 'c', records, sessions: [], ...more });
	test('wished, else made for the client, else as last time, else the one changed last that is nobody else’s', () => {
		const sessions = [session(performedAs('old')), session()];
		expect(of({ wished: 'theirs', sessions })).toMatchObject({ because: 'wished', sequence: { id: 'theirs' } });
		expect(of({ sessions })).toMatchObject({ because: 'made-for', sequence: { id: 'made-for-c' } });
		expect(of({ clientId: 'e', sessions })).toMatchObject({ because: 'last', sequence: { id: 'old' } });
		expect(of({ clientId: 'e' })).toMatchObject({ because: 'latest', sequence: { id: 'newest' } });
		expect(of({ records: [record('theirs', { clientId: 'd' })] })).toBeNull();
		expect(of({ wished: 'gone', sessions: [session(performedAs('gone'))], clientId: 'e' })?.because).toBe('latest');
		expect(of({ records: [record('a', { archived: true })] })).toBeNull();
	});
});

describe('what is done today, and whether it can be begun', () => {
	const sequence = TEMPLATES[4]!;
	const plan = (c: ReturnType<typeof client> | null, wishes = NO_WISHES, of: typeof sequence | null = sequence) =>
		planOfToday({ client: c, today: TODAY, sequence: of, wishes, given: CONTEXT });
	test('each thing that stands in the way is named, the gravest first', () => {
		expect(plan(null).hindrance).toBe('nobody');
		expect(plan(client({ answers: [yes('fever')] })).hindrance).toBe('refused');
		expect(plan(client(), NO_WISHES, null).hindrance).toBe('no-sequence');
		expect(plan(client(), NO_WISHES, sequenceOf([])).hindrance).toBe('empty');
		expect(plan(client()).hindrance).toBeNull();
	});
	test('a stop of the client’s own wants a reason; fitted, there is none left to give one for', () => {
		const filler = client({ answers: [yes('filler', { places: ['malar:left'] })] });
		expect(plan(filler)).toMatchObject({ hindrance: null, clientStops: [] });
		expect(fitWords(plan(filler))).toMatch(/step/);
		const asPlanned = { ...NO_WISHES, fit: false };
		expect(plan(filler, asPlanned).hindrance).toBe('reason');
		expect(plan(filler, { ...asPlanned, reason: ' ' }).hindrance).toBe('reason');
		expect(plan(filler, { ...asPlanned, reason: 'by telephone' }).hindrance).toBeNull();
	});
	test('a session begins with what was planned, seen and said, and with nothing where it cannot begin', () => {
		const filler = client({ answers: [yes('filler', { places: ['malar:left'] })] });
		const begin = (how: How, c = filler, wishes = NO_WISHES, looked: Session | null = null) =>
			sessionToBegin({
				how,
				client: c,
				today: TODAY,
				plan: plan(c, wishes),
				reason: wishes.reason,
				before: emptyAssessment(NOW),
				context: [],
				told: 'tired',
				lookedToday: looked,
				newId: () => 'new',
				now: '2026-03-01T10:00:00.000Z',
				zoneOffsetMinutes: 60,
				given: CONTEXT
			});
		const stage = begin('stage')!;
		expect(stage.session).toMatchObject({ id: 'new', clientId: 'c', endedAt: null, told: 'tired', done: [] });
		expect(stage.session.screened).toMatchObject({ fitted: true, despite: [] });
		expect(SessionSchema.safeParse({ ...stage.session, sequence: null }).success).toBe(true);
		const written = begin('written')!;
		expect(written.session).toMatchObject({ guided: false, endedAt: '2026-03-01T10:00:00.000Z' });
		expect(Date.parse(written.session.startedAt)).toBeLessThan(Date.parse('2026-03-01T10:00:00.000Z'));
		expect(written.session.done).toEqual(plannedCounts(written.performed!, CONTEXT));
		const despite = begin('stage', filler, { ...NO_WISHES, fit: false, reason: ' by telephone ' })!;
		expect(despite.session.screened!.despite[0]).toMatchObject({ reason: 'by telephone' });
		expect(begin('stage', client({ answers: [yes('fever')] }))).toBeNull();
		expect(begin('looked', client({ answers: [yes('fever')] }))!.performed).toBeNull();
		const looked = session({ id: 'looked' });
		expect(lookedOn([session(performedAs('a')), looked], () => true)).toBe(looked);
		expect(lookedOn([looked], () => false)).toBeNull();
		expect(begin('stage', filler, NO_WISHES, looked)!.session).toMatchObject({ id: 'looked', revision: 1 });
	});
});

describe('what a visit teaches the next one', () => {
	const plan = sequenceOf([step('a', ['chin', 'jawline']), step('b', ['malar', 'zygoma'])]);
	const done = plannedCounts(plan, CONTEXT).map((d) =>
		d.stepId === 'b' ? { ...d, leftReps: 0, rightReps: 0, seconds: 0, skipped: true } : d
	);
	const visit = session({
		...performedAs('s1'),
		done,
		happened: [
			{ mark: 'tender', seconds: 3, stepId: 'a~2', side: 'left', place: 'chin' },
			{ mark: 'tender', seconds: 4, stepId: 'a', side: 'left', place: 'chin' },
			{ mark: 'lighter', seconds: 5, stepId: 'a' },
			{ mark: 'oil', seconds: 6 }
		],
		endedBecause: 'pain',
		note: 'warmer hands'
	});
	const account = sessionAccount(visit, plan, plan, CONTEXT);
	test('tender places, what was pressed otherwise or left out, why it ended, and the note: once each', () => {
		expect(learntFrom(visit, account).map((l) => l.words)).toEqual([
			'warmer hands',
			'Ended early: pain',
			'Tender: chin, left',
			'Pressed lighter',
			expect.stringMatching(/^Left out: /)
		]);
	});
	test('each stands at the step that it belongs to; what is tender also where another step comes to the place', () => {
		const at = (id: string, places: string[]) =>
			learntAt(learntFrom(visit, account), { id, places: places as never }).map((l) => l.what);
		expect(at('a', ['chin'])).toEqual(['tender', 'lighter']);
		expect(at('b', ['malar'])).toEqual(['left-out']);
		expect(at('other', ['chin:right'])).toEqual(['tender']);
		expect(at('other', ['temple'])).toEqual([]);
	});
	test('of the last one that was performed and is over', () => {
		const open = session({ ...performedAs('x'), id: 'open', endedAt: null });
		expect(lastPerformed([visit, session({ id: 'looked' }), open])?.id).toBe('s');
		expect(lastPerformed([visit], 's')).toBeNull();
	});
});
