import { underSchool, VARIANTS, variantOf, variantsFor, type VariantId } from '$lib/core/flow/variants';
import type { School } from '$lib/core/school/school.schema';
import type { Sequence } from '$lib/core/sequence/sequence.schema';
import type { Working } from '$lib/core/working/working.schema';

/** What those that are compared are called beside their titles, in order. */
export const LETTERS = 'ABCDEF';

/** A sequence as it is, done otherwise, or under another school. */
export type Way = 'as-is' | VariantId | `school:${string}`;
/** One of those that are compared. */
export interface Entry {
	readonly key: string;
	readonly sequenceId: string;
	readonly way: Way;
}

/** The ways in which a sequence can be done, each with its words: none that would change nothing. */
export const waysOf = (
	sequence: Sequence | undefined,
	schools: readonly School[],
	working: Working
): { value: Way; label: string }[] => [
	{ value: 'as-is', label: 'As it is' },
	...(sequence ? variantsFor(sequence, working) : []).map((value) => ({ value, label: VARIANTS[value] })),
	...schools.map((s) => ({ value: `school:${s.id}` as const, label: `School: ${s.title.toLowerCase()}` }))
];

/**
 * The sequence of an entry. Each gets an id of its own, for one may stand there in several ways.
 * @throws {ZodError} if a way makes no valid sequence
 */
export function sequenceOfEntry(
	entry: Entry,
	sequence: Sequence,
	schools: readonly School[],
	working: Working
): Sequence {
	if (entry.way === 'as-is') return sequence;
	const id = `${sequence.id}-${entry.way.replace(':', '-')}`.slice(0, 80);
	const school = schools.find((s) => entry.way === `school:${s.id}`);
	return school ? underSchool(sequence, school, id, working) : variantOf(sequence, entry.way as VariantId, id, working);
}

/** The ids of a page's address, and what to set against one that stands alone: the same steps in reverse order. */
export function entriesOf(ids: readonly string[], newKey: () => string): Entry[] {
	const entries = ids.slice(0, 6).map((sequenceId): Entry => ({ key: newKey(), sequenceId, way: 'as-is' }));
	return entries.length === 1 ? [entries[0]!, { ...entries[0]!, key: newKey(), way: 'reverse-order' }] : entries;
}
