import { goto } from '$app/navigation';
import type { AppState } from '$lib/state/app.svelte';
import { touring } from './addresses';

/** To the tour, over a sequence that has what it speaks of. */
export async function showAround(app: AppState): Promise<void> {
	const { exampleToShow } = await import('$lib/state/example');
	const id = await app.run(() => exampleToShow(app.repo));
	if (id) await goto(touring(id));
}
