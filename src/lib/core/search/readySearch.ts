import MiniSearch from 'minisearch';
import { goalInfo, type GoalId } from '../goal/goals';
import type { Sequence } from '../sequence/sequence.schema';
import { stepsOf } from '../sequence/walk';
import { AIMS, TOOLS, type ToolId } from '../vocabulary/vocabulary';
import { EVERYDAY } from './everyday';

/** What a ready sequence is looked for by; `any` leaves a part open. */
export interface ReadyFilter {
	readonly words: string;
	readonly school: string;
	readonly goal: GoalId | 'any';
	readonly tool: ToolId | 'hands' | 'any';
	/** At most so many minutes. */
	readonly minutes: number | 'any';
	readonly performer: Sequence['performer'] | 'any';
}
export const ANY_READY: ReadyFilter = {
	words: '',
	school: 'any',
	goal: 'any',
	tool: 'any',
	minutes: 'any',
	performer: 'any'
};

/** Tools that take the place of a hand; a cloth that wipes and gloves do not. */
export const toolsOf = (sequence: Sequence): ReadonlySet<ToolId> =>
	new Set(
		stepsOf(sequence).flatMap(({ step }) =>
			step.contact === 'tool' && step.tool && step.tool.id !== 'cloth' ? [step.tool.id] : []
		)
	);

const wordsOf = (s: Sequence) => ({
	id: s.id,
	title: s.title,
	notes: s.notes,
	kind: `${s.school.title} ${s.performer === 'self' ? 'oneself myself self' : 'client'} ${[...toolsOf(s)].map((t) => TOOLS[t]).join(' ')} ${[...new Set(stepsOf(s).map((x) => AIMS[x.step.aim]))].join(' ')}`,
	goals: s.goals.map((g) => `${goalInfo(g.id).label} ${EVERYDAY.goals[g.id] ?? ''}`).join(' ')
});

/** An index over ready sequences: in the order of the words where there are some, else as they come. */
export function readyIndex(list: readonly Sequence[]): (filter: ReadyFilter) => Sequence[] {
	const byId = new Map(list.map((s) => [s.id, s]));
	const index = new MiniSearch<ReturnType<typeof wordsOf>>({
		fields: ['title', 'notes', 'kind', 'goals'],
		searchOptions: { boost: { title: 3, goals: 2 }, prefix: true, fuzzy: 0.15, combineWith: 'AND' }
	});
	index.addAll(list.map(wordsOf));
	return ({ words, school, goal, tool, minutes, performer }) => {
		const found = words.trim() ? index.search(words).map((r) => byId.get(r.id as string)!) : [...list];
		return found.filter((s) => {
			const tools = toolsOf(s);
			return (
				(school === 'any' || s.school.id === school) &&
				(goal === 'any' || s.goals.some((g) => g.id === goal)) &&
				(tool === 'any' || (tool === 'hands' ? tools.size === 0 : tools.has(tool))) &&
				(minutes === 'any' || s.budgetSeconds <= 60 * minutes) &&
				(performer === 'any' || s.performer === performer)
			);
		});
	};
}
