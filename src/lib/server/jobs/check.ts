import { ClientFactsSchema } from '../../core/screening/clientFacts.schema';
import { LicenceSchema } from '../../core/screening/licence.schema';
import { checkAnswer } from '../../core/rules/answer';
import { SCHOOLS } from '../../core/school/schools';
import type { Sequence } from '../../core/sequence/sequence.schema';
import { DEFAULT_WORKING } from '../../core/working/defaultWorking';
import { WorkingSchema } from '../../core/working/working.schema';
import { problemOf } from '../../formats/problem';
import { answerOf, problemAnswer, type Answer } from '../answer';
import { readBody, readPart, readSequence, readText, type Read } from '../reading';
import type { Manner } from './index';

/** A file sent as plain text, as a browser sends a string: no line of the notation begins so. */
const isJson = (bytes: Uint8Array): boolean => /^\s*\{/.test(new TextDecoder().decode(bytes.subarray(0, 200)));

/** The school that judges instead of the sequence’s own, where the address names one. */
function bySchool(sequence: Sequence, school: string | undefined): Read<Sequence> {
	if (school === undefined) return { ok: true, value: sequence };
	const found = SCHOOLS.find((s) => s.id === school);
	if (found) return { ok: true, value: { ...sequence, school: found } };
	const remedy = `Ask for one of ${SCHOOLS.map((s) => s.id).join(', ')}.`;
	const error = problemOf('school', `${school} is no school that we know`, remedy);
	return { ok: false, answer: problemAnswer(422, 'Not a school', error.message, [error]) };
}

/**
 * Timing, balance and findings of a sequence file, or of a text of the notation; `{ sequence, working, client, licence }`
 * gives other working values, what is known of the client and what the licence covers with it, and `?school=` judges by another school.
 */
export function check(bytes: Uint8Array, _gone: () => boolean, { type, school }: Manner): Answer {
	if (type === 'text' && !isJson(bytes)) {
		const read = readText(bytes);
		const judged = read.ok ? bySchool(read.value, school) : read;
		return judged.ok ? answerOf(checkAnswer(judged.value, { working: DEFAULT_WORKING, client: null })) : judged.answer;
	}
	const body = readBody(bytes);
	if (!body.ok) return body.answer;
	const { working: wish, client: who, licence: code, ...bare } = body.value;
	const wrapped = typeof bare.sequence === 'object' && bare.sequence !== null;
	const read = wrapped ? readSequence(bare.sequence, 'sequence') : readSequence(bare, '');
	const sequence = read.ok ? bySchool(read.value, school) : read;
	if (!sequence.ok) return sequence.answer;
	const working = readPart(WorkingSchema, wish ?? {}, 'working', 'Not valid working values');
	if (!working.ok) return working.answer;
	const client = readPart(ClientFactsSchema.nullable(), who ?? null, 'client', 'Not what is known of a client');
	if (!client.ok) return client.answer;
	const licence = readPart(LicenceSchema, code ?? [], 'licence', 'Not what a licence covers');
	if (!licence.ok) return licence.answer;
	const given = { working: working.value, client: client.value, licence: licence.value };
	return answerOf(checkAnswer(sequence.value, given));
}
