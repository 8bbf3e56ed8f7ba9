import { checkAnswer, type CheckAnswer } from '../core/rules/answer';
import { ClientFactsSchema } from '../core/client/clientFacts';
import { WorkingSchema } from '../core/working/working.schema';
import { readBody, readPart, readSequence } from './reading';

/** Timing, balance and findings of a sequence file; `{ sequence, working, client }` gives other working values and what is known of the client with it. */
export async function answerCheck(request: Request): Promise<CheckAnswer | Response> {
	const body = await readBody(request);
	if (!body.ok) return body.response;
	const { working: wish, client: who, ...bare } = body.value;
	const wrapped = typeof bare.sequence === 'object' && bare.sequence !== null;
	const sequence = wrapped ? readSequence(bare.sequence, 'sequence') : readSequence(bare, '');
	if (!sequence.ok) return sequence.response;
	const working = readPart(WorkingSchema, wish ?? {}, 'working', 'Not valid working values');
	if (!working.ok) return working.response;
	const client = readPart(ClientFactsSchema.nullable(), who ?? null, 'client', 'Not what is known of a client');
	if (!client.ok) return client.response;
	return checkAnswer(sequence.value, { working: working.value, client: client.value });
}
