/** What two sequences can be compared by. */
export const OUTCOMES = {
	all: 'All fluid',
	face: 'Face',
	eyes: 'Under the eyes',
	zones: 'Chosen zones'
} as const;
export type OutcomeId = keyof typeof OUTCOMES;
export const OUTCOME_IDS = Object.keys(OUTCOMES) as OutcomeId[];
