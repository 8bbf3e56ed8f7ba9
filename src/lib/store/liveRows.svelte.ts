import { liveQuery } from 'dexie';
import { untrack } from 'svelte';
import type { Rows, RowsKey } from './rows';

export interface LiveRows<K extends RowsKey, T> {
	/** What was read for the key as it is now. */
	readonly current: Rows<K, T>;
}

/**
 * Rows that follow the database. Must be called during component initialisation, or in an effect's root.
 * @param key read first, outside of the query, so that a change of it asks again; from that moment on nothing of another
 * key can be reached, however late it comes
 */
export function liveRows<K extends RowsKey, T>(key: () => K, query: (key: K) => Promise<T>): LiveRows<K, T> {
	let held = $state.raw<Rows<K, T> | null>(null);
	let attempt = $state(0);
	const again = (): void => void attempt++;
	$effect(() => {
		const k = key();
		void attempt;
		if (untrack(() => held?.key) !== k || untrack(() => held?.state) === 'failed') held = { key: k, state: 'pending' };
		const subscription = liveQuery(() => query(k)).subscribe({
			next: (rows) => (held = { key: k, state: 'here', rows }),
			error: (cause) => (held = { key: k, state: 'failed', cause, again })
		});
		return () => subscription.unsubscribe();
	});
	return {
		get current() {
			const k = key();
			return held && held.key === k ? held : ({ key: k, state: 'pending' } as const);
		}
	};
}

/** Follows a query outside of a component. Returns the way to stop. */
export function follow<T>(
	query: () => Promise<T>,
	next: (value: T) => void,
	error: (cause: unknown) => void
): () => void {
	const subscription = liveQuery(query).subscribe({ next, error });
	return () => subscription.unsubscribe();
}
