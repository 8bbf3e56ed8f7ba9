import type { z } from 'zod';
import type { CourseSchema } from './sequence.schema';

/** How often a sequence is done, over how long, and when. */
export type Course = z.infer<typeof CourseSchema>;
/** One part of a course: how often, and for how long. */
export type Rhythm = Pick<Course, 'times' | 'most' | 'per' | 'weeks' | 'days'>;

const counted = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;

function rhythmText({ times, most, per, weeks, days }: Rhythm): string {
	const long =
		weeks !== undefined ? ` for ${counted(weeks, 'week')}` : days !== undefined ? ` for ${counted(days, 'day')}` : '';
	return `${times}${most === undefined ? '' : `–${most}`} a ${per}${long}`;
}

/**
 * A course in words, as they are written in the notation.
 * @example courseText(course) // => '1 a day for 10 days, then 1–2 a week at evening since 2026-03-01'
 */
export function courseText({ then = [], restDays, hour, since, ...first }: Course): string {
	return [
		[first, ...then].map(rhythmText).join(', then '),
		restDays === undefined ? '' : `with ${counted(restDays, 'rest day')} a week`,
		hour === undefined ? '' : `at ${hour}`,
		since === undefined ? '' : `since ${since}`
	]
		.filter(Boolean)
		.join(' ');
}

const DAYS_OF: Record<Course['per'], number> = { day: 1, week: 7, month: 30 };
/** The most often that a course has it done in a week, days of rest taken off: at its busiest part. */
export function mostAWeek(course: Course): number {
	const { restDays = 0, then = [] } = course;
	return Math.max(
		...[course, ...then].map(({ times, most = times, per }) =>
			per === 'day' ? most * (7 - restDays) : (most * 7) / DAYS_OF[per]
		)
	);
}
