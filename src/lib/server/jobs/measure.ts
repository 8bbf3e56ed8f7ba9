import { comparePair, ownErrors } from '../../core/measure/compare';
import { PairQuestionSchema } from '../../core/measure/question.schema';
import { pairSentence } from '../../core/measure/pairWording';
import { CAUTION_LINE } from '../../formats/caution';
import { answerOf, type Answer } from '../answer';
import { readBody, readPart } from '../reading';

/** Two photographs as points: measures with their errors and verdicts. No picture is sent. */
export function measure(bytes: Uint8Array): Answer {
	const body = readBody(bytes);
	if (!body.ok) return body.answer;
	const question = readPart(PairQuestionSchema, body.value, '', 'Not two photographs with points');
	if (!question.ok) return question.answer;
	const { view, before, after, primaries, retakes } = question.value;
	const compared = comparePair(before, after, { primaries, own: ownErrors(retakes, view), view });
	return answerOf({ ...compared, sentence: pairSentence(compared), caution: CAUTION_LINE });
}
