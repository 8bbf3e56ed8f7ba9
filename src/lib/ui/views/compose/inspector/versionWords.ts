import { differences, headDifferences } from '$lib/core/sequence/difference';
import type { Sequence } from '$lib/core/sequence/sequence.schema';

const KIND = { added: 'new', removed: 'gone', moved: 'moved', changed: 'changed' } as const;

/** What is different between two sequences, a line each. */
export const difference = (before: Sequence, after: Sequence): string[] => [
	...headDifferences(before, after),
	...differences(before, after).map((d) => `${d.number}, ${KIND[d.kind]}: ${d.text}`)
];
