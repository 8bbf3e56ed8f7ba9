import { ZONES } from '../core/atlas/zones';
import { checkAnswer, type CheckAnswer } from '../core/rules/answer';
import { WorkingSchema } from '../core/working/working.schema';
import { problemsOf } from '../formats/problem';
import { readJson } from '../formats/readJson';
import { checkSequenceObject } from '../formats/sequenceFile';
import { bodyOf } from './body';
import { problemResponse } from './problemDetails';

/** Timing, balance and findings of a sequence file; `{ sequence, working }` gives other working values with it. */
export async function answerCheck(request: Request): Promise<CheckAnswer | Response> {
	const text = await bodyOf(request);
	if (text instanceof Response) return text;
	const raw = readJson(text);
	if (!raw.ok) return problemResponse(400, 'Not readable', raw.problems[0]!.message, raw.problems);
	const wrapped = typeof raw.value.sequence === 'object' && raw.value.sequence !== null;
	const { working: wish, ...bare } = raw.value;
	const sequence = checkSequenceObject((wrapped ? raw.value.sequence : bare) as Record<string, unknown>);
	if (!sequence.ok) {
		const errors = sequence.problems.map((p) => ({ ...p, path: wrapped ? `sequence.${p.path}` : p.path }));
		return problemResponse(422, 'Not a valid sequence', errors[0]!.message, errors);
	}
	const working = WorkingSchema.safeParse(wish ?? {});
	if (!working.success) {
		const errors = problemsOf(working.error).map((p) => ({ ...p, path: `working.${p.path}` }));
		return problemResponse(422, 'Not valid working values', errors[0]!.message, errors);
	}
	return checkAnswer(sequence.value, { atlas: ZONES, working: working.data });
}
