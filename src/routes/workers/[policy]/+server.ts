import { error } from '@sveltejs/kit';
import { workerAnswer } from '$lib/workers/policy';

export const GET = ({ params, url }) =>
	workerAnswer(params.policy, url.searchParams.get('of')) ?? error(404, 'No such worker.');
