import { GOALS } from '$lib/core/goal/goals';
import { secondsOf, type ExpandContext } from '$lib/core/sequence/expand';
import type { Sequence } from '$lib/core/sequence/sequence.schema';

/** One sequence in the overview. */
export interface OverviewRow {
	readonly sequence: Sequence;
	readonly archived: boolean;
	readonly seconds: number;
	/** Goals in words. */
	readonly goals: string;
	/** ISO date and time of its last session; null where it was never used. */
	readonly lastUsed: string | null;
	readonly updatedAt: string;
}
export const SORTS = {
	used: 'Last used',
	changed: 'Last changed',
	title: 'Title',
	length: 'Length'
} as const;
export type Sort = keyof typeof SORTS;
export interface Wish {
	readonly words: string;
	/** Id of a school; empty for all. */
	readonly school: string;
	readonly sort: Sort;
	/** Show what is archived instead. */
	readonly archived: boolean;
}

export const rowOf = (
	{ sequence, archived = false, updatedAt }: { sequence: Sequence; archived?: boolean; updatedAt: string },
	lastUsed: ReadonlyMap<string, string>,
	context: ExpandContext
): OverviewRow => ({
	sequence,
	archived,
	seconds: secondsOf(sequence, context, 'target').total,
	goals: sequence.goals.map((g) => GOALS[g.id].label.toLowerCase()).join(', '),
	lastUsed: lastUsed.get(sequence.id) ?? null,
	updatedAt
});

const COMPARE: Record<Sort, (a: OverviewRow, b: OverviewRow) => number> = {
	used: (a, b) => (b.lastUsed ?? '').localeCompare(a.lastUsed ?? '') || b.updatedAt.localeCompare(a.updatedAt),
	changed: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
	title: (a, b) => a.sequence.title.localeCompare(b.sequence.title),
	length: (a, b) => a.seconds - b.seconds
};

/** The rows that a wish asks for, sorted: every word must stand in title, goals, school or notes. */
export function wishedRows(rows: readonly OverviewRow[], wish: Wish): OverviewRow[] {
	const words = wish.words.toLowerCase().split(/\s+/).filter(Boolean);
	const text = ({ sequence, goals }: OverviewRow) =>
		`${sequence.title} ${goals} ${sequence.school.title} ${sequence.notes}`.toLowerCase();
	return rows
		.filter((r) => r.archived === wish.archived && (!wish.school || r.sequence.school.id === wish.school))
		.filter((r) => words.every((w) => text(r).includes(w)))
		.sort(COMPARE[wish.sort]);
}
