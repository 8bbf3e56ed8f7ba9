import type { Problem } from '../formats/problem';

/** An RFC 9457 answer: what is wrong, and where in the body. */
export function problemResponse(
	status: number,
	title: string,
	detail: string,
	problems: readonly Problem[] = []
): Response {
	const body = {
		type: 'about:blank',
		title,
		status,
		detail,
		...(problems.length ? { errors: problems } : {})
	};
	return new Response(JSON.stringify(body), {
		status,
		headers: { 'content-type': 'application/problem+json' }
	});
}
