import { z } from 'zod';
import { MediumSchema } from '../medium/medium.schema';
import { GOAL_IDS, type GoalId } from '../goalIds';
import { SCHOOL_IDS, SchoolSchema, type School } from '../school/school.schema';
import { schoolById, SCHOOLS } from '../school/schools';
import { clock } from '../step/describe';
import { dequal } from 'dequal';
import type { Sequence } from '../sequence/sequence.schema';
import { TechniqueSchema } from '../technique/technique.schema';
import { courseText } from '../sequence/course';
import { readCourse } from './courseLine';
import { inQuotes, mediumWord, nameWord, readMedium } from './clause';
import { clausesOf, Misread, readerOf } from './reader';

/** What stands at the head of a sequence, apart from what the store counts. */
export type Head = Pick<
	Sequence,
	| 'title'
	| 'school'
	| 'budgetSeconds'
	| 'leastSeconds'
	| 'choices'
	| 'course'
	| 'changed'
	| 'performer'
	| 'orientation'
	| 'medium'
	| 'links'
	| 'goals'
	| 'notes'
	| 'comment'
	| 'techniques'
	| 'media'
>;

/** One kind of line of the head. */
export interface HeadLine {
	readonly key: string;
	readonly form: string;
	readonly says: string;
	readonly example: string;
	/** Stands once in a text: a second one would say otherwise. */
	readonly once?: true;
	/** @param rest the line after its key; @param from index at which it begins in the line; @param media of the text itself */
	readonly read: (rest: string, from: number, media?: readonly string[]) => Partial<Head>;
	/** The lines of this kind, without their key. */
	readonly write: (head: Head) => string[];
}

/** A title as it stands in a line: bare where it would be read back the same, else in quotes. */
export const titleWord = (title: string): string =>
	title && title.trim() === title && !/[",“”„«»\\\p{Cc}\u2028\u2029]/u.test(title) ? title : inQuotes(title);
/** @throws {Misread} with the column of what cannot be understood */
export function readTitle(rest: string, from: number): string {
	const text = rest.trim();
	if (!text) throw new Misread('A title is missing here.', from + 1, from + 1, ['a title']);
	if (!/^["“„«]/.test(text)) return text;
	const reader = readerOf(rest, from);
	const title = reader.text('a title');
	reader.end();
	return title;
}

/**
 * A line of one word out of a few.
 * @throws {Misread} with the column of what cannot be understood
 */
function choice<F extends 'performer' | 'orientation' | 'links'>(
	key: string,
	field: F,
	values: readonly Head[F][],
	says: string
): HeadLine {
	return {
		key,
		form: `${key} ${values.join(' | ')}`,
		says: `${says} Without this line: ${values[0]}.`,
		example: `${key} ${values[1]}`,
		read: (rest, from) => {
			const value = values.find((v) => v === rest.trim().toLowerCase());
			if (value === undefined)
				throw new Misread(`“${rest.trim()}” is not possible here.`, from + 2, from + rest.length + 1, values);
			return { [field]: value } as Partial<Head>;
		},
		write: (head) => (head[field] === values[0] ? [] : [head[field]])
	};
}

/**
 * A value as JSON, checked.
 * @throws {Misread} with the column of what cannot be understood
 */
function readJson<T>(schema: z.ZodType<T>, rest: string, from: number): T {
	let value: unknown;
	try {
		value = JSON.parse(rest);
	} catch {
		throw new Misread('This is no JSON.', from + 2, from + rest.length + 1, [
			'an object as this application writes it'
		]);
	}
	const parsed = schema.safeParse(value);
	if (parsed.success) return parsed.data;
	const issue = parsed.error.issues[0]!;
	throw new Misread(`${issue.path.join('.') || 'it'}: ${issue.message}.`, from + 2, from + rest.length + 1);
}

const isShipped = (school: School): boolean => SCHOOLS.some((s) => s.id === school.id && dequal(s, school));
/** @throws {Misread} with the column of what cannot be understood */
function readGoals(rest: string, from: number): Head['goals'] {
	return clausesOf(readerOf(rest, from).tokens).map((reader) => {
		const name = reader.name('a goal').toLowerCase() as GoalId;
		if (!GOAL_IDS.includes(name))
			throw new Misread(`“${name}” is no goal that we know.`, reader.column, reader.endColumn, GOAL_IDS);
		const weight = reader.done ? 1 : reader.number('a weight from 0 to 1');
		reader.end();
		if (weight > 1) throw new Misread('A weight lies between 0 and 1.', reader.column, reader.endColumn, ['0 to 1']);
		return { id: name, weight };
	});
}
const MINUTES = /^(\d{1,3})(?::([0-5]\d))?$/;
const secondsOf = (text: string): number => {
	const [, minutes, seconds = '0'] = MINUTES.exec(text) ?? [];
	return Number(minutes) * 60 + Number(seconds);
};
/** @throws {Misread} with the column of what cannot be understood */
function readTime(rest: string, from: number): Partial<Head> {
	const [first = '', last] = rest
		.trim()
		.replace(/\s*min(utes)?$/i, '')
		.split(/\s*(?:-|–|\bto\b)\s*/);
	const times = (last === undefined ? [first] : [first, last]).map((t) => secondsOf(t.trim()));
	if (!times.every((t) => t >= 30 && t <= 4 * 3600) || (last !== undefined && times[0]! > times[1]!))
		throw new Misread('A time between 0:30 and 240:00 is needed.', from + 2, from + rest.length + 1, [
			'minutes:seconds',
			'the least to the most'
		]);
	return last === undefined ? { budgetSeconds: times[0]! } : { leastSeconds: times[0]!, budgetSeconds: times[1]! };
}

/** @throws {Misread} by the reader of each line */
export const HEAD_LINES: readonly HeadLine[] = [
	{
		key: 'title',
		form: 'title <title>',
		says: 'What the sequence is called.',
		example: 'title Morning ferry',
		read: (rest, from) => ({ title: readTitle(rest, from) }),
		write: (head) => [titleWord(head.title)]
	},
	{
		key: 'school',
		form: 'school <id> | school {…}',
		says: 'Its school; one of one’s own stands here whole, as JSON.',
		example: 'school outlet-first',
		read: (rest, from) => {
			const name = rest.trim();
			if (name.startsWith('{')) return { school: readJson(SchoolSchema, rest, from) };
			const id = SCHOOL_IDS.find((s) => s === name.toLowerCase());
			if (!id) throw new Misread(`“${name}” is no school that we know.`, from + 2, from + rest.length + 1, SCHOOL_IDS);
			return { school: schoolById(id) };
		},
		write: ({ school }) => [isShipped(school) ? school.id : JSON.stringify(school)]
	},
	{
		key: 'time',
		form: 'time [<least> to] <minutes>:<seconds>',
		says: 'How long it may take; before it, how short it may be made.',
		example: 'time 10:00',
		read: readTime,
		write: (head) => [
			`${head.leastSeconds === undefined ? '' : `${clock(head.leastSeconds)} to `}${clock(head.budgetSeconds)}`
		]
	},
	choice('for', 'performer', ['client', 'self'], 'On whom it is done.'),
	choice('stand', 'orientation', ['facing', 'mirror', 'head-end'], 'How one stands, so how the map is turned.'),
	choice('links', 'links', ['hand', 'policy'], 'Who keeps the drain links: the hand, or the policy of the school.'),
	{
		key: 'glide',
		form: 'glide <medium> <n> ml | drops | pumps',
		says: 'What is on the skin from the start.',
		example: 'glide light-oil 0.5 ml',
		read: (rest, from, media) => {
			const reader = readerOf(rest, from);
			const medium = readMedium(reader, { cheekRoute: 'either', media: media ?? [] });
			reader.end();
			return { medium };
		},
		write: ({ medium }) => (medium ? [mediumWord(medium)] : [])
	},
	{
		key: 'goals',
		form: 'goals <goal> <weight>, …',
		says: `What it is for, each with a weight from 0 to 1: ${GOAL_IDS.join(', ')}.`,
		example: 'goals morning-depuff 1, under-eye 0.5',
		read: (rest, from) => ({ goals: readGoals(rest, from) }),
		write: ({ goals }) => (goals.length ? [goals.map((g) => `${g.id} ${g.weight}`).join(', ')] : [])
	},
	{
		key: 'course',
		once: true,
		form: 'course <n>[–<n>] a day | week | month [for <n> days | weeks][, then …] [with <n> rest days a week] [at morning | noon | evening | night] [since <date>]',
		says: 'How often it is done, over how long, what follows, and when. Also: daily, once, twice, every other day.',
		example: 'course 1 a day for 10 days, then 1–2 a week at evening since 2026-03-01',
		read: (rest, from) => ({ course: readCourse(rest, from) }),
		write: ({ course }) => (course ? [courseText(course)] : [])
	},
	{
		key: 'choose',
		form: 'choose <group> <option>',
		says: 'Of steps that are alternatives: which are done. Without this line the option that stands first.',
		example: 'choose tapes fan',
		read: (rest, from) => {
			const reader = readerOf(rest, from);
			const choice = { group: reader.name('a group'), option: reader.name('an option') };
			reader.end();
			return { choices: [choice] };
		},
		write: ({ choices = [] }) => choices.map((c) => `${nameWord(c.group)} ${nameWord(c.option)}`)
	},
	{
		key: 'changed',
		form: 'changed "<text>"',
		says: 'What means something else since it was brought up to date from an older version.',
		example: 'changed "Breaths that are waited for take their time now."',
		read: (rest, from) => {
			const reader = readerOf(rest, from);
			const changed = [reader.text('what changed')];
			reader.end();
			return { changed };
		},
		write: ({ changed = [] }) => changed.map(inQuotes)
	},
	{
		key: 'notes',
		form: 'notes "<text>"',
		says: 'Notes on the whole sequence.',
		example: 'notes "For a face that slept too flat."',
		read: (rest, from) => {
			const reader = readerOf(rest, from);
			const notes = reader.text('the notes');
			reader.end();
			return { notes };
		},
		write: ({ notes }) => (notes ? [inQuotes(notes)] : [])
	},
	{
		key: 'move',
		form: 'move {…}',
		says: 'A move of one’s own that the sequence carries, as JSON.',
		example: '',
		read: (rest, from) => ({ techniques: [readJson(TechniqueSchema, rest, from)] }),
		write: ({ techniques }) => techniques.map((t) => JSON.stringify(t))
	},
	{
		key: 'medium',
		form: 'medium {…}',
		says: 'A medium of one’s own that the sequence carries, as JSON.',
		example: '',
		read: (rest, from) => ({ media: [readJson(MediumSchema, rest, from)] }),
		write: ({ media }) => media.map((m) => JSON.stringify(m))
	}
];

/** What a head without a line of its kind means; title, school and time then stay as they were. */
export const PLAIN_HEAD: Omit<Head, 'title' | 'school' | 'budgetSeconds'> = {
	performer: 'client',
	orientation: 'facing',
	links: 'hand',
	medium: null,
	goals: [],
	notes: '',
	techniques: [],
	media: []
};
