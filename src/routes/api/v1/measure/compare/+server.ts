import type { RequestHandler } from '@sveltejs/kit';
import { ask } from '$lib/server/ask';

export const POST: RequestHandler = (event) => ask('measure', event);
