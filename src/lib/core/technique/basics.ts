import { TechniqueSchema, type Technique } from './technique.schema';
import { BASIC_ENTRIES } from './entries/basic';

/** The few techniques that fixes and drain policies are made of: always at hand, the rest of the library comes on demand. */
const BASICS: ReadonlyMap<string, Technique> = new Map(BASIC_ENTRIES.map((e) => [e.id, TechniqueSchema.parse(e)]));

export type BasicId =
	'open-nodes' | 'closing-pump' | 'light-stroke' | 'closing-sweep' | 'remove-oil' | 'clean-hands' | 'clean-tool';

/** @throws {Error} never for the ids of `BasicId`: a test asks for each of them */
export function basicTechnique(id: BasicId): Technique {
	const technique = BASICS.get(id);
	if (!technique) throw new Error(`no basic technique: ${id}`);
	return technique;
}
