import type { z } from 'zod';

/** One thing that is wrong with a file: where, what, and what to do about it. */
export interface Problem {
	/** Place in the file, for example `phases[0].blocks[0].steps[3].dose.min`; empty for the whole file. */
	readonly path: string;
	readonly message: string;
	readonly remedy: string;
}
export type Parsed<T> =
	{ readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };

/** Something read, or what is wrong with it: `mendable` where it can be read without some of its parts. */
export type Mendable<T> =
	| { readonly ok: true; readonly value: T }
	| { readonly ok: false; readonly problems: readonly Problem[]; readonly mendable: boolean };

/** Problems reported at once; more would help nobody. */
export const MAX_PROBLEMS = 20;
/** Longest text of a problem, characters: what was sent is never sent back. */
const MAX_WORDS = 400;
/** Unknown names that are said. */
const MAX_NAMES = 5;

/** A text of at most so many characters; what was cut off is shown as …. */
export const clipped = (text: string, most = MAX_WORDS): string =>
	text.length <= most ? text : `${text.slice(0, most - 1)}…`;

/** A problem in texts of bounded length. */
export const problemOf = (path: string, message: string, remedy: string): Problem => ({
	path: clipped(path, 200),
	message: clipped(message),
	remedy: clipped(remedy)
});

/** The first problems, and how many more there are. */
export const firstOf = (problems: readonly Problem[], count = problems.length): Problem[] => {
	const rest = count - MAX_PROBLEMS;
	const more = `${rest.toLocaleString('en')} more ${rest === 1 ? 'problem follows' : 'problems follow'}.`;
	return rest > 0
		? [...problems.slice(0, MAX_PROBLEMS), problemOf('', more, 'Correct these first.')]
		: problems.slice(0, MAX_PROBLEMS);
};

export const refuse = (message: string, remedy: string, path = ''): { ok: false; problems: Problem[] } => ({
	ok: false,
	problems: [problemOf(path, message, remedy)]
});

/** The first names of a list, and how many more. */
const names = (list: readonly string[]): string => {
	const said = list.slice(0, MAX_NAMES).map((name) => clipped(name, 40));
	return list.length > MAX_NAMES ? `${said.join(', ')} and ${list.length - MAX_NAMES} more` : said.join(', ');
};

export function pathText(path: readonly PropertyKey[]): string {
	return path.reduce<string>(
		(text, part) => (typeof part === 'number' ? `${text}[${part}]` : text ? `${text}.${String(part)}` : String(part)),
		''
	);
}

/** JSON Pointer (RFC 6901) of a path, as problem details want it. */
export const pointerText = (path: readonly PropertyKey[]): string =>
	path.map((part) => `/${String(part).replaceAll('~', '~0').replaceAll('/', '~1')}`).join('');

function remedyFor(issue: z.core.$ZodIssue): string {
	switch (issue.code) {
		case 'unrecognized_keys':
			return `Remove ${names(issue.keys)}, or open the file with the version that wrote it.`;
		case 'invalid_value':
			return issue.values.length <= 12
				? `Use one of: ${issue.values.map(String).join(', ')}.`
				: 'Use one of the ids listed in docs/formats.md.';
		case 'too_small':
			return `Use a value of at least ${String(issue.minimum)}.`;
		case 'too_big':
			return `Use at most ${String(issue.maximum)}.`;
		case 'invalid_type':
			return `Give a value of the type ${issue.expected}.`;
		default:
			return 'Correct the field and try again.';
	}
}

/** Sizes in plain words, by what has them. */
const SIZES: Record<string, string> = { string: ' characters', array: ' entries', set: ' entries' };

/** What is wrong in plain words; a sentence that a schema gives itself stands as it is. */
function messageOf(issue: z.core.$ZodIssue): string {
	if (issue.code === 'unrecognized_keys') return `unknown here: ${names(issue.keys)}`;
	const own = !/^(Too (small|big)|Invalid)/.test(issue.message);
	if (own) return issue.message;
	if (issue.code === 'too_small')
		return issue.origin === 'string' && Number(issue.minimum) === 1
			? 'it must not be empty'
			: `less than ${issue.minimum}${SIZES[issue.origin] ?? ''}`;
	if (issue.code === 'too_big') return `more than ${issue.maximum}${SIZES[issue.origin] ?? ''}`;
	if (issue.code === 'invalid_type')
		return /received undefined$/.test(issue.message) ? 'it is missing' : `it is no ${issue.expected}`;
	if (issue.code === 'invalid_value') return 'it is none of the possible values';
	return issue.message;
}

/** The first problems of a check, and how many more there are. */
export const problemsOf = ({ issues }: Pick<z.core.$ZodError, 'issues'>): Problem[] =>
	firstOf(
		issues.slice(0, MAX_PROBLEMS).map((issue) => problemOf(pathText(issue.path), messageOf(issue), remedyFor(issue))),
		issues.length
	);
