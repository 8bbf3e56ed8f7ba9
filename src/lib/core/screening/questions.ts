import type { Person } from '../client/person.schema';
import { latestAnswers } from '../client/answers';
import type { Answer } from '../client/answer.schema';
import type { Day } from '../client/days';
import type { Step } from '../step/step.schema';
import { strokesOf } from '../step/parts';
import { FLAGS, type ChapterFlag } from './flags';
import { endOf } from './limits';
import { isOf } from './which';

/** Why a question is asked before a visit. */
export type AskedBecause = 'visit' | 'waits' | 'last-time' | 'move' | 'never';
export interface Question {
	readonly flag: ChapterFlag;
	readonly because: AskedBecause;
	/** What was answered last, whenever that was. */
	readonly answer: Answer | null;
	/** It was answered for this visit. */
	readonly done: boolean;
}

/** The whole intake, in its order: everything but what is asked only with certain moves. */
export function intakeQuestions({ answers }: Pick<Person, 'answers'>): Question[] {
	const latest = latestAnswers(answers);
	return FLAGS.filter((flag) => typeof flag.asked === 'string').map((flag) => {
		const answer = latest.get(flag.id) ?? null;
		return { flag, because: answer ? 'visit' : 'never', answer, done: answer !== null };
	});
}

/** Whether a plan has a move that a question is about. */
const planHas = (flag: ChapterFlag, steps: readonly Step[]): boolean => {
	const { asked } = flag;
	return typeof asked === 'object' && steps.some((step) => strokesOf(step).some((stroke) => isOf(stroke, asked.with)));
};

/**
 * Before a visit: what can have changed, what waits, what came up last time, and what the moves of the plan ask for that was
 * never asked. The intake is not asked again.
 * @param today the calendar day of the practice: what was answered on it is done
 * @param steps of the plan; none where there is none yet
 */
export function visitQuestions(
	{ answers }: Pick<Person, 'answers'>,
	today: Day,
	steps: readonly Step[] = []
): Question[] {
	const latest = latestAnswers(answers);
	const asked = FLAGS.flatMap((flag): Question[] => {
		const answer = latest.get(flag.id) ?? null;
		const done = answer !== null && answer.day === today;
		const question = (because: AskedBecause): Question[] => [{ flag, because, answer, done }];
		if (typeof flag.asked === 'object') return planHas(flag, steps) && (!answer || done) ? question('move') : [];
		const holds = answer !== null && answer.says !== 'no';
		if (holds) {
			const ends = flag.effects.map((effect) => endOf(effect, answer));
			// What is over is not asked again unless it is asked each time.
			if (ends.length && ends.every((end) => end !== null && end <= today))
				return flag.asked === 'visit' ? question('visit') : [];
			if (ends.some((end) => end !== null)) return question('waits');
			if (flag.asked === 'visit' || answer.says === 'unsure') return question('last-time');
			return [];
		}
		return flag.asked === 'visit' ? question('visit') : [];
	});
	const rank: Record<AskedBecause, number> = { waits: 0, 'last-time': 1, move: 2, visit: 3, never: 4 };
	return asked.sort((a, b) => rank[a.because] - rank[b.because]);
}

export const BECAUSE_WORDS: Record<AskedBecause, string> = {
	visit: 'Asked each time',
	waits: 'A waiting period runs',
	'last-time': 'Came up last time',
	move: 'The plan has such a move',
	never: 'Not asked yet'
};
