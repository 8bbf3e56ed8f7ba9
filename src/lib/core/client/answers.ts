import type { Answer } from './answer.schema';
import type { Person } from './person.schema';

type Given = Pick<Answer, 'flag' | 'says' | 'day' | 'at'> & Partial<Answer>;
/** An answer with what was told beside it; nothing where nothing was. */
export const newAnswer = (given: Given): Answer => ({ places: [], since: null, until: null, note: '', ...given });

/** The latest answer to each question. */
export function latestAnswers(answers: Person['answers']): ReadonlyMap<string, Person['answers'][number]> {
	return new Map(answers.map((answer) => [answer.flag, answer]));
}
