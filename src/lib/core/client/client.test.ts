import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { ClientSchema } from '../records/client';
import { NOW } from '../testing';
import { AnswerSchema, ClearanceSchema } from './answer.schema';
import { dayAfter, daysBetween } from './days';
import { DaySchema, MarkSchema } from './common.schema';
import { MARK_KINDS, markRow, placesOfMark } from './marks';
import { latestAnswers } from './answers';
import { saidDay } from './saidDay';
import { SIDED_ZONES, sided, sidedWords, sideIn, zoneIn } from './sidedZone';

const anyDay = fc
	.date({ min: new Date('1950-01-01'), max: new Date('2090-12-31'), noInvalidDate: true })
	.map((d) => d.toISOString().slice(0, 10));

describe('calendar days', () => {
	test('going some days on and counting them is the same, over every month, year and leap day', () => {
		fc.assert(
			fc.property(anyDay, fc.integer({ min: -4000, max: 4000 }), (day, days) => {
				expect(daysBetween(day, dayAfter(day, days))).toBe(days);
				expect(DaySchema.safeParse(dayAfter(day, days)).success).toBe(true);
			})
		);
	});
	test('later days are greater, as texts too: they are compared so', () => {
		fc.assert(fc.property(anyDay, anyDay, (a, b) => void expect(a < b).toBe(daysBetween(a, b) > 0)));
	});
	test('a day is said with its month', () => expect(saidDay('2026-03-09')).toBe('9 March 2026'));
	test('what is no day is refused', () => {
		for (const text of ['2026-02-30', '2026-3-9', 'yesterday', '2026-03-09T08:00:00Z'])
			expect(DaySchema.safeParse(text).success).toBe(false);
	});
});

describe('zones with their sides', () => {
	test('taken apart and put together they are the same', () => {
		for (const place of SIDED_ZONES) expect(sided(zoneIn(place), sideIn(place))).toBe(place);
		expect(new Set(SIDED_ZONES).size).toBe(68);
	});
	test('are said together: both sides once, then left, then right', () => {
		expect(sidedWords(['chin:left', 'throat:left', 'throat:right', 'nape:left', 'nape:right'])).toEqual([
			'throat and nape, both sides',
			'chin, left'
		]);
		expect(sidedWords([])).toEqual([]);
	});
});

describe('marks', () => {
	test('every kind says what it asks, and one on the midline lies on both sides', () => {
		for (const kind of MARK_KINDS) expect(markRow(kind).asks.length).toBeGreaterThan(5);
		expect(placesOfMark({ zone: 'chin', side: 'midline' })).toEqual(['chin:left', 'chin:right']);
		expect(placesOfMark({ zone: 'chin', side: 'left' })).toEqual(['chin:left']);
	});
	test('one off the face, of no size or of another kind is refused', () => {
		const good = { id: 'm', kind: 'mole', zone: 'chin', side: 'left', sizeMm: 4 };
		expect(MarkSchema.parse(good)).toMatchObject({ since: null, note: '' });
		for (const bad of [{ zone: 'elbow' }, { sizeMm: 0 }, { sizeMm: 900 }, { kind: 'star' }, { side: 'both' }])
			expect(MarkSchema.safeParse({ ...good, ...bad }).success).toBe(false);
	});
});

describe('a record', () => {
	const bare = { id: 'c', revision: 0, updatedAt: NOW, name: 'Quay 3' };
	test('needs a name and nothing else', () => {
		expect(ClientSchema.parse(bare)).toMatchObject({
			answers: [],
			marks: [],
			goals: [],
			preferences: { pressure: 'usual' }
		});
		expect(ClientSchema.safeParse({ ...bare, name: '' }).success).toBe(false);
	});
	test('a slip is refused at its field', () => {
		const slips = [
			{ birthYear: 1066 },
			{ goals: ['fly'] },
			{ skinTone: 'green' },
			{ preferences: { pressure: 'harder' } },
			{ consents: [{ id: 'x', what: '', on: '2026-01-01' }] },
			{ answers: [{ flag: 'fever', says: 'perhaps', day: '2026-01-01', at: NOW }] },
			{ unknown: 1 }
		];
		for (const slip of slips) {
			const read = ClientSchema.safeParse({ ...bare, ...slip });
			expect(read.success).toBe(false);
			if (!read.success) expect(JSON.stringify(read.error.issues)).toContain(Object.keys(slip)[0]!);
		}
	});
	test('an answer to a question of another version is kept', () => {
		const answer = { flag: 'asked-in-2030', says: 'yes', day: '2026-01-01', at: NOW };
		expect(AnswerSchema.parse(answer)).toMatchObject({ places: [], since: null, until: null });
		expect(ClearanceSchema.safeParse({ id: 'c', flag: 'fever', by: '', on: '2026-01-01' }).success).toBe(false);
	});
	test('of several answers to a question the last one holds, in whatever order the others stand', () => {
		const said = (flag: string, says: 'yes' | 'no') => AnswerSchema.parse({ flag, says, day: '2026-01-01', at: NOW });
		const latest = latestAnswers([said('fever', 'yes'), said('lump', 'no'), said('fever', 'no')]);
		expect([...latest].map(([flag, a]) => [flag, a.says])).toEqual([
			['fever', 'no'],
			['lump', 'no']
		]);
	});
});
