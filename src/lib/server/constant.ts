/** Answers that never change while the server runs: made at the first question, and sent as they are after that. */
const made = new Map<string, string>();

export function constantJson(name: string, contentType: string, make: () => unknown): Response {
	const text = made.get(name) ?? JSON.stringify(make());
	made.set(name, text);
	return new Response(text, { headers: { 'content-type': contentType } });
}
