import type { RequestHandler } from '@sveltejs/kit';
import { jsonSchemaOf, PUBLISHED_SCHEMAS } from '$lib/formats/jsonSchema';
import { problemAnswer, responseOf } from '$lib/server/answer';
import { constantJson } from '$lib/server/constant';

export const GET: RequestHandler = ({ params }) => {
	const name = PUBLISHED_SCHEMAS.find((n) => n === params.name);
	if (name) return constantJson(`schema ${name}`, 'application/schema+json', () => jsonSchemaOf(name));
	const known = PUBLISHED_SCHEMAS.join(', ');
	return responseOf(problemAnswer(404, 'Unknown schema', `There is no schema of this name. Known: ${known}.`));
};
