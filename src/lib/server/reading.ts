import type { z } from 'zod';
import type { Sequence } from '../core/sequence/sequence.schema';
import { problemOf, problemsOf, type Problem } from '../formats/problem';
import { readJson } from '../formats/readJson';
import { checkSequenceObject } from '../formats/sequenceFile';
import { problemAnswer, type Answer } from './answer';

/** What was read of a request, or the answer that refuses it. */
export type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly answer: Answer };
const no = (answer: Answer) => ({ ok: false as const, answer });
const within = (path: string, problems: readonly Problem[]): Problem[] =>
	problems.map((p) => problemOf([path, p.path].filter(Boolean).join('.'), p.message, p.remedy));

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

export function readPart<T>(schema: z.ZodType<T>, raw: unknown, path: string, title: string): Read<T> {
	const read = schema.safeParse(raw);
	if (read.success) return { ok: true, value: read.data };
	const errors = within(path, problemsOf(read.error));
	return no(problemAnswer(422, title, errors[0]!.message, errors));
}
