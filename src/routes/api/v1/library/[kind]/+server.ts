import { json, type RequestHandler } from '@sveltejs/kit';
import { libraryOf, LIBRARY_KINDS } from '$lib/server/library';
import { problemResponse } from '$lib/server/problemDetails';

export const GET: RequestHandler = ({ params }) => {
	const kind = LIBRARY_KINDS.find((k) => k === params.kind);
	if (kind) return json(libraryOf(kind));
	return problemResponse(404, 'Unknown list', `There is no list ${params.kind}. Known: ${LIBRARY_KINDS.join(', ')}.`);
};
