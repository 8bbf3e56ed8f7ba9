import type { Photo } from '../core/records/photo';
import type { SequenceRecord } from '../core/records/sequenceRecord';
import type { Session } from '../core/records/session';
import type { ClientId } from '../core/step/common.schema';
import { liveRows, type LiveRows } from '../store/liveRows.svelte';
import { useApp } from './app.svelte';

// What many pages read. Each must be called during component initialisation.

type OfClient<T> = LiveRows<ClientId | null, readonly T[]>;

/** All sessions of a client, the earliest first; none of nobody. */
export function useSessionsOf(clientId: () => ClientId | null): OfClient<Session> {
	const { repo } = useApp();
	return liveRows(clientId, async (id) => (id ? repo.sessionsOf(id) : []));
}

/** All photographs of a client, the earliest first; none of nobody. */
export function usePhotosOf(clientId: () => ClientId | null): OfClient<Photo> {
	const { repo } = useApp();
	return liveRows(clientId, async (id) => (id ? repo.photos.of(id) : []));
}

/** All sequences, those changed last first. */
export function useSequences(): LiveRows<null, readonly SequenceRecord[]> {
	const { repo } = useApp();
	return liveRows(
		() => null,
		() => repo.sequences()
	);
}
