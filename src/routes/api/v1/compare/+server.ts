import { json, type RequestHandler } from '@sveltejs/kit';
import { compare } from '$lib/server/flow';

export const POST: RequestHandler = async ({ request }) => {
	const answer = await compare(request);
	return answer instanceof Response ? answer : json(answer);
};
