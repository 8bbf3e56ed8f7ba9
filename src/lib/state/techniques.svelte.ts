import type { Technique } from '../core/technique/technique.schema';
import { useApp } from './app.svelte';
import { onceAtRest } from './onceAtRest';

type Library = typeof import('../core/technique/library');
let library = $state.raw<Library | null>(null);
let asked: Promise<void> | null = null;

/** Loads the shipped techniques, once: they are many, and a page without them is open sooner. */
export function loadTechniques(): Promise<void> {
	asked ??= import('../core/technique/library').then(
		(module) => {
			library = module;
		},
		(error: unknown) => {
			asked = null;
			throw error;
		}
	);
	return asked;
}

export type Techniques = ReturnType<typeof useTechniques>;

/**
 * The shipped techniques and one's own. Must be called during component initialisation.
 * @param when `now` where they are what the page is about; `later` where the page is whole without them
 */
export function useTechniques(when: 'now' | 'later' = 'now') {
	const app = useApp();
	$effect(() => {
		if (when === 'later') return onceAtRest(() => void loadTechniques());
		void loadTechniques();
	});
	/** Her own win over a shipped one of the same id, the sequence's copies over both. */
	const own = (carried: readonly Technique[] = []): readonly Technique[] => [
		...carried,
		...app.own.techniques.filter((t) => !carried.some((c) => c.id === t.id))
	];
	return {
		get loaded() {
			return library !== null;
		},
		get all(): readonly Technique[] {
			return library ? [...app.own.techniques, ...library.TECHNIQUES] : [];
		},
		byId: (id: string, carried: readonly Technique[] = []) => library?.techniqueById(id, own(carried)),
		/** What to mind with a move; it comes with the library. */
		contraOf: (technique: Technique): readonly string[] => library?.contraOf(technique) ?? [],
		suiting: (places: Parameters<Library['techniquesFor']>[0], carried: readonly Technique[] = []) =>
			library?.techniquesFor(places, own(carried)) ?? []
	};
}
