import basic from './data/basic.json' with { type: 'json' };
import { shipped } from './defaultTechnique';
import type { Technique } from './technique.schema';

/** The few techniques that fixes and drain policies are made of: always at hand, the rest of the library comes on demand. */
export const BASICS: readonly Technique[] = shipped(basic);

export type BasicId =
	'open-nodes' | 'closing-pump' | 'light-stroke' | 'closing-sweep' | 'remove-oil' | 'clean-hands' | 'clean-tool';

/** @throws {Error} never for the ids of `BasicId`: a test asks for each of them */
export function basicTechnique(id: BasicId): Technique {
	const technique = BASICS.find((t) => t.id === id);
	if (!technique) throw new Error(`no basic technique: ${id}`);
	return technique;
}
