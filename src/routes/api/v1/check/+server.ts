import { json, type RequestHandler } from '@sveltejs/kit';
import { answerCheck } from '$lib/server/check';

export const POST: RequestHandler = async ({ request }) => {
	const answer = await answerCheck(request);
	return answer instanceof Response ? answer : json(answer);
};
