import type { Handle } from '@sveltejs/kit';
import { fromElsewhere } from '$lib/server/origin';
import headers from '$lib/server/headers.json';

/** Headers that every answer carries, files too (scripts/server.mjs); the content policy is set by the framework. */
export const handle: Handle = async ({ event, resolve }) => {
	const response = fromElsewhere(event.request, event.url) ?? (await resolve(event));
	for (const [name, value] of Object.entries(headers)) response.headers.set(name, value);
	return response;
};
