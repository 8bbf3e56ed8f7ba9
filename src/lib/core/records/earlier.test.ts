import { describe, expect, test } from 'vitest';
import { emptyAssessment, withValue } from '../assess/assessment';
import { withReading } from '../assess/repeats';
import { entryDifferences, saidDifferences, withdrawnReactions, withEarlier, MOST_EARLIER } from './earlier';
import { SessionSchema, type Session } from './session';

const before = withValue(emptyAssessment('2026-03-01T08:00:00.000Z'), 'tragus-mouth-corner', { side: 'left' }, 100);
const corrected = { before: withValue(before, 'tragus-mouth-corner', { side: 'left' }, 101) };
const session = (more: Partial<Session> = {}): Session =>
	SessionSchema.parse({
		id: 's',
		revision: 1,
		updatedAt: '2026-03-01T08:00:00.000Z',
		clientId: 'c',
		startedAt: '2026-03-01T08:00:00.000Z',
		endedAt: '2026-03-01T09:00:00.000Z',
		before,
		...more
	});

describe('what stood before a change', () => {
	test('is kept once for an hour of putting right, and only of a session that is long over', () => {
		const now = '2026-03-02T09:00:00.000Z';
		expect(withEarlier(session(), corrected, now).earlier).toMatchObject([{ at: now, before, after: null }]);
		expect(withEarlier(session(), corrected, '2026-03-01T09:30:00.000Z')).toEqual(corrected);
		expect(withEarlier(session({ endedAt: null }), corrected, now)).toEqual(corrected);
		// Texts, corrections and minutes like measurements; what stays the same is no change.
		for (const change of [{ note: 'n' }, { sideEffects: 'Redness' }, { workedSeconds: 60 }, { told: 't' }])
			expect(withEarlier(session(), change, now).earlier, JSON.stringify(change)).toHaveLength(1);
		expect(withEarlier(session(), { note: '' }, now).earlier).toBeUndefined();
		const again = session({ ...withEarlier(session(), corrected, now) });
		expect(withEarlier(again, corrected, '2026-03-02T09:30:00.000Z').earlier).toBeUndefined();
		expect(withEarlier(again, corrected, '2026-03-02T11:00:00.000Z').earlier).toHaveLength(2);
	});
	test('a reaction that is taken back stays readable as withdrawn, however soon that was', () => {
		const said = session({ sideEffects: 'Redness at the jaw' });
		const emptied = session({
			...said,
			sideEffects: '',
			...withEarlier(said, { sideEffects: '' }, '2026-03-01T09:05:00.000Z')
		});
		expect(withdrawnReactions(emptied)).toEqual(['Redness at the jaw']);
		expect(saidDifferences(emptied.earlier[0]!, emptied)).toEqual([
			{ what: 'Side effects', was: 'Redness at the jaw', is: '' }
		]);
		expect(withdrawnReactions(said)).toEqual([]);
	});
	test('is no more than so many: the latest', () => {
		const earlier = Array.from({ length: MOST_EARLIER }, (_, i) => ({
			at: new Date(Date.UTC(2026, 2, 2 + i)).toISOString(),
			before,
			after: null
		}));
		const made = withEarlier(session({ earlier }), corrected, '2026-06-01T09:00:00.000Z').earlier!;
		expect(made).toHaveLength(MOST_EARLIER);
		expect(made.at(-1)!.at).toBe('2026-06-01T09:00:00.000Z');
		expect(SessionSchema.safeParse(session({ earlier: made })).success).toBe(true);
	});
});

test('differences name the place, the side and the reading, with both values', () => {
	const grade = { place: 'malar', side: 'right' } as const;
	const is = withReading(
		withValue(corrected.before, 'puffiness', grade, 2),
		'tragus-mouth-corner',
		{ side: 'left' },
		2,
		99
	);
	expect(entryDifferences(before, is)).toEqual([
		{ what: 'Tragus to mouth corner, left', was: '100.0 mm', is: '101.0 mm' },
		{ what: 'Puffiness, right apple of the cheek', was: '', is: '2' },
		{ what: 'Tragus to mouth corner, left, reading 2', was: '', is: '99.0 mm' }
	]);
	expect(entryDifferences(before, before)).toEqual([]);
	expect(entryDifferences(null, null)).toEqual([]);
});
