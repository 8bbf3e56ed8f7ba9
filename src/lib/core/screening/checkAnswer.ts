import type { Answer, Clearance } from '../client/answer.schema';
import { daysBetween, type Day } from '../client/days';
import type { Mark } from '../client/common.schema';

/** A field that cannot stand as it is, and what to do about it. */
export interface FieldProblem {
	readonly field: string;
	readonly words: string;
}

/** Days between a record and what it speaks of that are taken for a slip, such as a year mistyped. */
const VERY_LONG_DAYS = 366 * 120;

const dateProblems = (field: string, day: Day | null, today: Day, birthYear: number | null): FieldProblem[] => {
	if (!day) return [];
	if (day > today)
		return [{ field, words: `${field}: ${day} lies ahead. Give the day on which it was done or began.` }];
	if (birthYear !== null && Number(day.slice(0, 4)) < birthYear)
		return [{ field, words: `${field}: ${day} lies before the year of birth, ${birthYear}. One of the two is wrong.` }];
	if (daysBetween(day, today) > VERY_LONG_DAYS)
		return [{ field, words: `${field}: ${day} is too long ago. Check the year.` }];
	return [];
};

/** What is wrong with an answer as it is about to be recorded; empty where nothing is. */
export function problemsOfAnswer(
	answer: Pick<Answer, 'since' | 'until'>,
	{ today, birthYear }: { readonly today: Day; readonly birthYear: number | null }
): FieldProblem[] {
	const { since, until } = answer;
	const order =
		since && until && until < since
			? [{ field: 'Until', words: `Until: ${until} lies before ${since}. Give the day from which it is over.` }]
			: [];
	return [...dateProblems('Since', since, today, birthYear), ...order];
}

/** What is wrong with a clearance; one that has run out is kept, and acts as the stop that it is. */
export function problemsOfClearance(clearance: Clearance, today: Day): FieldProblem[] {
	const { on, until, by } = clearance;
	return [
		...(by.trim() ? [] : [{ field: 'By', words: 'By: say who gave it, by name.' }]),
		...(on > today ? [{ field: 'On', words: `On: ${on} lies ahead. Give the day on which it was given.` }] : []),
		...(until && until <= on ? [{ field: 'Until', words: `Until: ${until} does not lie after ${on}.` }] : [])
	];
}

export const problemsOfMark = (mark: Mark, today: Day, birthYear: number | null): FieldProblem[] =>
	dateProblems('Since', mark.since, today, birthYear);
