import { clipped, firstOf, problemOf, type Problem } from '../formats/problem';

/** An answer as it crosses from a thread: its status and its JSON, as bytes that are handed over and not copied. */
export interface Answer {
	readonly status: number;
	readonly body: Uint8Array<ArrayBuffer>;
	/** Seconds after which it is worth asking again. */
	readonly retryAfterSeconds?: number;
}

const bytesOf = (value: object): Uint8Array<ArrayBuffer> => new TextEncoder().encode(JSON.stringify(value));

export const answerOf = (value: object): Answer => ({ status: 200, body: bytesOf(value) });

/** An RFC 9457 answer: what is wrong, and where in the body. Its length is bounded, whatever was sent. */
export function problemAnswer(
	status: number,
	title: string,
	detail: string,
	problems: readonly Problem[] = []
): Answer {
	const errors = firstOf(problems.map((p) => problemOf(p.path, p.message, p.remedy)));
	const body = { type: 'about:blank', title, status, detail: clipped(detail), ...(errors.length ? { errors } : {}) };
	return { status, body: bytesOf(body) };
}

/** The answer as it goes out. */
export function responseOf({ status, body, retryAfterSeconds }: Answer): Response {
	const headers = new Headers({ 'content-type': status < 400 ? 'application/json' : 'application/problem+json' });
	if (retryAfterSeconds !== undefined) headers.set('retry-after', String(retryAfterSeconds));
	return new Response(body, { status, headers });
}
