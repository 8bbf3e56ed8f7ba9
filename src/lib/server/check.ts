import { checkAnswer, type CheckAnswer } from '../core/rules/answer';
import { WorkingSchema } from '../core/working/working.schema';
import { readBody, readPart, readSequence } from './reading';

/** Timing, balance and findings of a sequence file; `{ sequence, working }` gives other working values with it. */
export async function answerCheck(request: Request): Promise<CheckAnswer | Response> {
	const body = await readBody(request);
	if (!body.ok) return body.response;
	const { working: wish, ...bare } = body.value;
	const wrapped = typeof bare.sequence === 'object' && bare.sequence !== null;
	const sequence = wrapped ? readSequence(bare.sequence, 'sequence') : readSequence(bare, '');
	if (!sequence.ok) return sequence.response;
	const working = readPart(WorkingSchema, wish ?? {}, 'working', 'Not valid working values');
	if (!working.ok) return working.response;
	return checkAnswer(sequence.value, { working: working.value });
}
