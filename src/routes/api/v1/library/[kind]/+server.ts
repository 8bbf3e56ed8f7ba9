import type { RequestHandler } from '@sveltejs/kit';
import { problemAnswer, responseOf } from '$lib/server/answer';
import { constantJson } from '$lib/server/constant';
import { libraryOf, LIBRARY_KINDS } from '$lib/server/library';

export const GET: RequestHandler = ({ params }) => {
	const kind = LIBRARY_KINDS.find((k) => k === params.kind);
	if (kind) return constantJson(`library ${kind}`, 'application/json', () => libraryOf(kind));
	const known = LIBRARY_KINDS.join(', ');
	return responseOf(problemAnswer(404, 'Unknown list', `There is no list of this name. Known: ${known}.`));
};
