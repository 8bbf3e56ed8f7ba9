import { problemAnswer, responseOf, type Answer } from './answer';
import { bodyOf } from './body';
import { poolFor, type JobPool } from './jobPool';
import { whenGone } from './gone';
import type { JobName, Manner } from './jobs';

/** Seconds after which a busy server is worth asking again. */
const RETRY_SECONDS = 5;
/** Nobody reads it: who asked has gone. */
const CLIENT_GONE = 499;

function answerFor(error: unknown): Answer {
	const { name, message } = error instanceof Error ? error : new Error(String(error));
	if (name === 'PoolBusy') return { ...problemAnswer(503, 'Busy', message), retryAfterSeconds: RETRY_SECONDS };
	if (name === 'PoolTimeout') return problemAnswer(504, 'Took too long', message);
	if (name === 'Gone') return problemAnswer(CLIENT_GONE, 'Gone', 'Nobody waits for this answer any more.');
	const code = (error as { code?: unknown } | null)?.code;
	if (code === 'ERR_WORKER_OUT_OF_MEMORY')
		return problemAnswer(422, 'Too much work', 'This asks for more memory than one question may have. Ask for less.');
	throw error;
}

interface Asked {
	readonly request: Request;
	/** Where the request came from; absent where there is no server beneath. */
	readonly platform?: Readonly<App.Platform> | undefined;
}

/** What the head of a request says: a text of the notation instead of JSON, and another school in its address. */
export function mannerOf(request: Request): Manner {
	const text = /^text\/plain\b/i.test(request.headers.get('content-type') ?? '');
	const school = new URL(request.url).searchParams.get('school');
	return { type: text ? 'text' : 'json', ...(school === null ? {} : { school }) };
}

/** Hands the bytes of a request to a job of the pool, and its answer back. */
export async function ask(
	name: JobName,
	{ request, platform }: Asked,
	pool: JobPool = poolFor(name)
): Promise<Response> {
	const body = await bodyOf(request);
	if (!(body instanceof Uint8Array)) return responseOf(body);
	const { signal, forget } = whenGone(platform?.req?.socket);
	try {
		return responseOf(await pool.ask(name, body, AbortSignal.any([signal, request.signal]), mannerOf(request)));
	} catch (error) {
		return responseOf(answerFor(error));
	} finally {
		forget();
	}
}
