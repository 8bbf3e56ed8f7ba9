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

/** Problems reported at once; more would help nobody. */
export const MAX_PROBLEMS = 20;

export const refuse = (message: string, remedy: string, path = ''): { ok: false; problems: Problem[] } => ({
	ok: false,
	problems: [{ path, message, remedy }]
});

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
			return `Remove ${issue.keys.join(', ')}, or open the file with the version that wrote it.`;
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

export function problemsOf(error: z.core.$ZodError): Problem[] {
	return error.issues.slice(0, MAX_PROBLEMS).map((issue) => ({
		path: pathText(issue.path),
		message: issue.message,
		remedy: remedyFor(issue)
	}));
}
