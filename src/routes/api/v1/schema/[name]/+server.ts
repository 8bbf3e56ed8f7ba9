import { json, type RequestHandler } from '@sveltejs/kit';
import { jsonSchemaOf, PUBLISHED_SCHEMAS } from '$lib/formats/jsonSchema';
import { problemResponse } from '$lib/server/problemDetails';

export const GET: RequestHandler = ({ params }) => {
	const name = PUBLISHED_SCHEMAS.find((n) => n === params.name);
	if (!name) {
		const known = PUBLISHED_SCHEMAS.join(', ');
		return problemResponse(404, 'Unknown schema', `There is no schema ${params.name}. Known: ${known}.`);
	}
	return json(jsonSchemaOf(name), { headers: { 'content-type': 'application/schema+json' } });
};
