import type { z } from 'zod';
import type { Sequence } from '../core/sequence/sequence.schema';
import { problemsOf, type Problem } from '../formats/problem';
import { readJson } from '../formats/readJson';
import { checkSequenceObject } from '../formats/sequenceFile';
import { bodyOf } from './body';
import { problemResponse } from './problemDetails';

/** What was read of a request, or the answer that refuses it. */
export type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly response: Response };
const no = (response: Response) => ({ ok: false as const, response });
const within = (path: string, problems: readonly Problem[]): Problem[] =>
	problems.map((p) => ({ ...p, path: [path, p.path].filter(Boolean).join('.') }));

/** The body as a JSON object. */
export async function readBody(request: Request): Promise<Read<Record<string, unknown>>> {
	const text = await bodyOf(request);
	if (text instanceof Response) return no(text);
	const raw = readJson(text);
	if (!raw.ok) return no(problemResponse(400, 'Not readable', raw.problems[0]!.message, raw.problems));
	return raw;
}

/** @param path where it stands in the body; empty for the body itself */
export function readSequence(raw: unknown, path: string): Read<Sequence> {
	const given = typeof raw === 'object' && raw !== null ? (raw as Record<string, unknown>) : {};
	const checked = checkSequenceObject(given);
	if (checked.ok) return checked;
	const errors = within(path, checked.problems);
	return no(problemResponse(422, 'Not a valid sequence', errors[0]!.message, errors));
}

export function readPart<T>(schema: z.ZodType<T>, raw: unknown, path: string, title: string): Read<T> {
	const read = schema.safeParse(raw);
	if (read.success) return { ok: true, value: read.data };
	const errors = within(path, problemsOf(read.error));
	return no(problemResponse(422, title, errors[0]!.message, errors));
}
