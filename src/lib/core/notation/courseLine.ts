import { CourseSchema } from '../sequence/sequence.schema';
import type { Course, Rhythm } from '../sequence/course';
import { Misread, readerOf, type Reader } from './reader';

const PER = ['day', 'week', 'month'] as const;
const HOURS = ['morning', 'noon', 'evening', 'night'] as const;
const WORDS: readonly (readonly [word: string, times: number])[] = [
	['once', 1],
	['twice', 2]
];

function readOften(reader: Reader): Rhythm {
	if (reader.eat('daily')) return { times: 1, per: 'day' };
	// Every other day is three or four times a week.
	if (reader.eat('every', 'other', 'day')) return { times: 3, most: 4, per: 'week' };
	const times = WORDS.find(([word]) => reader.eat(word))?.[1] ?? reader.number('how often');
	const most = reader.eat('-') || reader.eat('to') ? reader.number('how often at most') : undefined;
	if (!reader.eat('times')) reader.eat('×');
	if (!reader.eat('a')) reader.need('per');
	const per = PER.find((word) => reader.eat(word)) ?? reader.fail(PER);
	return { times, most, per };
}

/** How often, and for how long. */
function readRhythm(reader: Reader): Rhythm {
	const often = readOften(reader);
	if (!reader.eat('for')) return often;
	const long = reader.number('for how long');
	if (reader.eat('days') || reader.eat('day')) return { ...often, days: long };
	if (!reader.eat('weeks') && !reader.eat('week')) reader.fail(['days', 'weeks']);
	return { ...often, weeks: long };
}

/** What was said, nothing of what was not. */
const said = <T extends object>(all: T): T =>
	Object.fromEntries(Object.entries(all).filter(([, v]) => v !== undefined)) as T;

/**
 * How often a sequence is done, in the words of `courseText` and in some more.
 * @throws {Misread} with the column of what cannot be understood
 */
export function readCourse(rest: string, from: number): Course {
	const since = /\s+since\s+(\d{4}-\d{2}-\d{2})\s*$/i.exec(rest)?.[1];
	const reader = readerOf(since ? rest.replace(/\s+since\s+\S+\s*$/i, '') : rest, from);
	const first = readRhythm(reader);
	const then: Rhythm[] = [];
	while (reader.eat(',', 'then') || reader.eat('then')) then.push(said(readRhythm(reader)));
	let restDays: number | undefined;
	if (reader.eat('with')) {
		restDays = reader.number('how many days of rest');
		reader.need('rest');
		if (!reader.eat('days')) reader.need('day');
		reader.need('a', 'week');
	}
	if (!reader.eat('in', 'the')) reader.eat('at');
	const hour = HOURS.find((word) => reader.eat(word));
	reader.end();
	const course = CourseSchema.safeParse(
		said({ ...first, then: then.length ? then : undefined, restDays, hour, since })
	);
	if (!course.success) throw new Misread(`${course.error.issues[0]!.message}.`, from + 2, from + rest.length + 1);
	return course.data;
}

/** A course from its words, as a field takes them; empty words take it away. */
export function courseOf(text: string): { readonly course: Course | undefined } | { readonly trouble: string } {
	if (!text.trim()) return { course: undefined };
	try {
		return { course: readCourse(text.trim(), 0) };
	} catch (error) {
		if (!(error instanceof Misread)) throw error;
		const expected = error.expected.length ? ` Expected: ${error.expected.join(', or ')}.` : '';
		return {
			trouble: `${error.message}${expected} Such as: 1 a day for 10 days, then 2 a week with 1 rest day a week.`
		};
	}
}
