import type { z } from 'zod';
import { withText } from '../core/notation/align';
import { parse } from '../core/notation/parse';
import { SCHOOLS } from '../core/school/schools';
import { newSequence } from '../core/sequence/newSequence';
import type { Sequence } from '../core/sequence/sequence.schema';
import { techniqueByName } from '../core/technique/byName';
import { TECHNIQUES } from '../core/technique/library';
import { problemOf, problemsOf, type Problem } from '../formats/problem';
import { readJson } from '../formats/readJson';
import { checkSequenceObject } from '../formats/sequenceFile';
import { problemAnswer, type Answer } from './answer';

/** What was read of a request, or the answer that refuses it. */
export type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly answer: Answer };
const no = (answer: Answer) => ({ ok: false as const, answer });
const within = (path: string, problems: readonly Problem[]): Problem[] =>
	problems.map((p) => problemOf(joined(path, p.path), p.message, p.remedy));
/** A path within a path: `client.limits[0]`, `licence[0].id`. */
const joined = (path: string, inner: string): string => {
	if (!path || !inner) return path || inner;
	return inner.startsWith('[') ? `${path}${inner}` : `${path}.${inner}`;
};

/** The body as a JSON object. */
export function readBody(bytes: Uint8Array): Read<Record<string, unknown>> {
	const raw = readJson(new TextDecoder().decode(bytes));
	if (!raw.ok) return no(problemAnswer(400, 'Not readable', raw.problems[0]!.message, raw.problems));
	return raw;
}

/** @param path where it stands in the body; empty for the body itself */
export function readSequence(raw: unknown, path: string): Read<Sequence> {
	const given = typeof raw === 'object' && raw !== null ? (raw as Record<string, unknown>) : {};
	const checked = checkSequenceObject(given);
	if (checked.ok) return checked;
	const errors = within(path, checked.problems);
	return no(problemAnswer(422, 'Not a valid sequence', errors[0]!.message, errors));
}

/** When a text says nothing of it: it stands nowhere else. */
const BLANK = { id: 'text', updatedAt: '1970-01-01T00:00:00.000Z' };

/** A text of the notation as a sequence; what cannot be read is named by line and column. */
export function readText(bytes: Uint8Array): Read<Sequence> {
	const parsed = parse(new TextDecoder().decode(bytes), { techniqueOf: (name) => techniqueByName(TECHNIQUES, name) });
	const errors = parsed.troubles.map(({ line, column, message, expected }) =>
		problemOf(
			`line ${line}, column ${column}`,
			message,
			expected.length ? `Expected: ${expected.slice(0, 6).join(', or ')}.` : ''
		)
	);
	if (errors.length) return no(problemAnswer(422, 'Not readable', `${errors[0]!.path}: ${errors[0]!.message}`, errors));
	let n = 0;
	const base = { ...newSequence({ ...BLANK, school: SCHOOLS[0]! }), phases: [] };
	const sequence = withText(base, parsed, () => `s${++n}`);
	if (!sequence.phases.some((p) => p.blocks.some((b) => b.steps.length))) {
		const error = problemOf(
			'line 1, column 1',
			'There is no step in this text',
			'Write a line such as: drain chin > jawline'
		);
		return no(problemAnswer(422, 'Nothing to check', error.message, [error]));
	}
	return readSequence(sequence, '');
}

export function readPart<T>(schema: z.ZodType<T>, raw: unknown, path: string, title: string): Read<T> {
	const read = schema.safeParse(raw);
	if (read.success) return { ok: true, value: read.data };
	const errors = within(path, problemsOf(read.error));
	return no(problemAnswer(422, title, errors[0]!.message, errors));
}
