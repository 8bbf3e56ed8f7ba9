import { liveRows } from '../store/liveRows.svelte';
import { useApp } from './app.svelte';

/** The kept versions of a sequence, latest first. Must be called during component initialisation. */
export function useVersions(sequenceId: () => string) {
	const app = useApp();
	return liveRows(sequenceId, (id) => app.repo.versionsOf(id));
}
