import type { Answer } from './answer.schema';
import type { Person } from './person.schema';

type Given = Pick<Answer, 'flag' | 'says' | 'day' | 'at'> & Partial<Answer>;
/** An answer with what was told beside it; nothing where nothing was. */
export const newAnswer = (given: Given): Answer => ({ places: [], since: null, until: null, note: '', ...given });

/** The latest answer to each question. */
export function latestAnswers(answers: Person['answers']): ReadonlyMap<string, Person['answers'][number]> {
	return new Map(answers.map((answer) => [answer.flag, answer]));
}

/** One answer, found again: by its question, its moment and what it says. */
export const sameAnswer = (a: Answer, b: Pick<Answer, 'flag' | 'at' | 'says'>): boolean =>
	a.flag === b.flag && a.at === b.at && a.says === b.says;

/** The answers with one more; further details of the answer that holds take its place. */
export function withAnswer(stored: Person['answers'], answer: Answer): Person['answers'] {
	const last = stored.findLast((a) => a.flag === answer.flag);
	return last && sameAnswer(last, answer) ? stored.map((a) => (a === last ? answer : a)) : [...stored, answer];
}

/** The answers without some: what was said before them holds again. */
export const withoutAnswers = (stored: Person['answers'], gone: readonly Answer[]): Person['answers'] =>
	stored.filter((a) => !gone.some((g) => sameAnswer(a, g)));

/**
 * The answers with a "no" each to questions that were passed over together. Nobody said it of the single question, so it
 * never comes after anything but a "no", whatever was stored since the questions were looked at.
 */
export function withNos(stored: Person['answers'], nos: readonly Answer[]): Person['answers'] {
	const latest = latestAnswers(stored);
	return [...stored, ...nos.filter(({ flag }) => (latest.get(flag)?.says ?? 'no') === 'no')];
}
