import type { z } from 'zod';
import type { CourseSchema } from './sequence.schema';

/** How often a sequence is done, over how long, and when. */
export type Course = z.infer<typeof CourseSchema>;

/** A course in words, as they are written in the notation: "3 a week for 6 weeks in the evening since 2026-03-01". */
export function courseText({ times, per, weeks, hour, since }: Course): string {
	return [
		`${times} a ${per}`,
		weeks === undefined ? '' : `for ${weeks} ${weeks === 1 ? 'week' : 'weeks'}`,
		hour === undefined ? '' : `at ${hour}`,
		since === undefined ? '' : `since ${since}`
	]
		.filter(Boolean)
		.join(' ');
}
