import type { Handle } from '@sveltejs/kit';

/** Headers that every answer carries; the content policy is set by the framework. */
export const handle: Handle = async ({ event, resolve }) => {
	const response = await resolve(event);
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('referrer-policy', 'no-referrer');
	response.headers.set('x-frame-options', 'DENY');
	response.headers.set('permissions-policy', 'camera=(self), microphone=(), geolocation=()');
	return response;
};
