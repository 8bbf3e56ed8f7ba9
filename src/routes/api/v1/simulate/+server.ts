import { json, type RequestHandler } from '@sveltejs/kit';
import { simulate } from '$lib/server/flow';

export const POST: RequestHandler = async ({ request }) => {
	const answer = await simulate(request);
	return answer instanceof Response ? answer : json(answer);
};
