import { problemAnswer, responseOf } from './answer';

/** What a page of another site can send without being asked whether it may. */
const SENT_UNASKED = ['application/x-www-form-urlencoded', 'multipart/form-data', 'text/plain'];
const CHANGING = ['POST', 'PUT', 'PATCH', 'DELETE'];

/** Refuses what a page of another site sends in a visitor’s name. A program says no origin, and is served. */
export function fromElsewhere(request: Request, url: URL): Response | null {
	const origin = request.headers.get('origin');
	const type = (request.headers.get('content-type') ?? '').split(';')[0]!.trim().toLowerCase();
	if (origin === null || origin === url.origin) return null;
	if (!CHANGING.includes(request.method) || !SENT_UNASKED.includes(type)) return null;
	return responseOf(problemAnswer(403, 'From another site', 'Send it from a program, or from a page of this server.'));
}
