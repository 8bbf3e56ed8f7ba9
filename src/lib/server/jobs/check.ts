import { ClientFactsSchema } from '../../core/client/clientFacts';
import { checkAnswer } from '../../core/rules/answer';
import { WorkingSchema } from '../../core/working/working.schema';
import { answerOf, type Answer } from '../answer';
import { readBody, readPart, readSequence } from '../reading';

/** Timing, balance and findings of a sequence file; `{ sequence, working, client }` gives other working values and what is known of the client with it. */
export function check(bytes: Uint8Array): Answer {
	const body = readBody(bytes);
	if (!body.ok) return body.answer;
	const { working: wish, client: who, ...bare } = body.value;
	const wrapped = typeof bare.sequence === 'object' && bare.sequence !== null;
	const sequence = wrapped ? readSequence(bare.sequence, 'sequence') : readSequence(bare, '');
	if (!sequence.ok) return sequence.answer;
	const working = readPart(WorkingSchema, wish ?? {}, 'working', 'Not valid working values');
	if (!working.ok) return working.answer;
	const client = readPart(ClientFactsSchema.nullable(), who ?? null, 'client', 'Not what is known of a client');
	if (!client.ok) return client.answer;
	return answerOf(checkAnswer(sequence.value, { working: working.value, client: client.value }));
}
