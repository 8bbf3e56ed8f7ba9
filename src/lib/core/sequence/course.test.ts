import fc from 'fast-check';
import { expect, test } from 'vitest';
import { courseOf, readCourse } from '../notation/courseLine';
import { parse } from '../notation/parse';
import { courseText, mostAWeek, type Course, type Rhythm } from './course';
import { CourseSchema } from './sequence.schema';

const read = (text: string) => readCourse(` ${text}`, 6);

test.each([
	['1–2 a day', { times: 1, most: 2, per: 'day' }, 14],
	['2 to 3 a week', { times: 2, most: 3, per: 'week' }, 3],
	['twice a week for 6 weeks', { times: 2, per: 'week', weeks: 6 }, 2],
	['every other day', { times: 3, most: 4, per: 'week' }, 4],
	['once a month', { times: 1, per: 'month' }, 7 / 30],
	['daily with 2 rest days a week', { times: 1, per: 'day', restDays: 2 }, 5],
	[
		'daily for 10 days, then twice a week at evening since 2026-03-01',
		{ times: 1, per: 'day', days: 10, then: [{ times: 2, per: 'week' }], hour: 'evening', since: '2026-03-01' },
		7
	]
] as const)('%s', (text, course, often) => {
	expect(read(text)).toEqual(course);
	expect(mostAWeek(course as unknown as Course)).toBeCloseTo(often, 9);
});

test.each([
	['3-2 a week', /most is more than the least/],
	['1 a day, then 2 a week', /Say for how long/],
	['1 a day for ten days', /was not expected here/],
	['1 a day for 2 years', /was not expected here/],
	['2 a week with 2 rest', /Something is missing/]
])('%s is refused with its reason', (text, reason) => expect(() => read(text)).toThrow(reason));

test('every course is written and read back the same', () => {
	const rhythm = (ends: boolean): fc.Arbitrary<Rhythm> =>
		fc
			.record({
				times: fc.integer({ min: 1, max: 20 }),
				more: fc.integer({ min: 0, max: 5 }),
				per: fc.constantFrom('day' as const, 'week' as const, 'month' as const),
				long: fc.integer({ min: 1, max: 90 }),
				unit: fc.constantFrom('days' as const, 'weeks' as const, null)
			})
			.map(({ times, more, per, long, unit }) => ({
				times,
				...(more ? { most: times + more } : {}),
				per,
				...(unit || ends ? { [unit ?? 'days']: long } : {})
			}));
	const any = fc
		.record({
			phases: fc.array(rhythm(true), { maxLength: 4 }),
			last: rhythm(false),
			restDays: fc.option(fc.integer({ min: 1, max: 6 })),
			hour: fc.option(fc.constantFrom('morning' as const, 'night' as const)),
			since: fc.option(fc.constantFrom('2026-02-28', '2028-02-29'))
		})
		.map(({ phases, last, restDays, hour, since }) => {
			const [first, ...then] = [...phases, last];
			const rest = { restDays, hour, since };
			const said = Object.fromEntries(Object.entries(rest).filter(([, v]) => v !== null));
			return CourseSchema.parse({ ...first, ...(then.length ? { then } : {}), ...said });
		});
	fc.assert(
		fc.property(any, (course) => {
			expect(read(courseText(course))).toEqual(course);
		})
	);
});

test('a second line is an error that names itself', () => {
	const { troubles } = parse(
		'soft-tide notation 2\ntitle Twice\nschool crown-down\ncourse 3 a week\ncourse daily\n\n~ Work\nsettle decollete, 3 breaths\n'
	);
	expect(troubles.map((t) => [t.line, t.message])).toEqual([[5, '“course” was said above already: it stands once.']]);
});

test('a field takes a course in words, gives it up when empty, and says what is wrong with an example', () => {
	expect(courseOf('1–2 a week')).toEqual({ course: { times: 1, most: 2, per: 'week' } });
	expect(courseOf('  ')).toEqual({ course: undefined });
	expect(courseOf('now and then')).toMatchObject({
		trouble: expect.stringMatching(/“now”.*Such as: 1 a day/) as unknown
	});
});
