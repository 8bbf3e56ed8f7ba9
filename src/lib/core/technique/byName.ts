import type { Technique } from './technique.schema';

/** The library's move of this id or title. */
export function techniqueByName(all: readonly Technique[], name: string): Technique | undefined {
	const wish = name.toLowerCase();
	return all.find((t) => t.id === wish) ?? all.find((t) => t.title.toLowerCase() === wish);
}
