import { liveQuery } from 'dexie';

/**
 * Rows that follow the database. Must be called during component initialisation.
 * @param key read first, outside the query, so that a change of it asks again
 */
export function liveRows<K, T>(key: () => K, query: (key: K) => Promise<T>, initial: T) {
	let rows = $state.raw(initial);
	let loaded = $state.raw(false);
	let error = $state.raw<unknown>(null);
	$effect(() => {
		const k = key();
		const subscription = liveQuery(() => query(k)).subscribe({
			next: (value) => {
				rows = value;
				loaded = true;
			},
			error: (e) => (error = e)
		});
		return () => subscription.unsubscribe();
	});
	return {
		get current() {
			return rows;
		},
		get loaded() {
			return loaded;
		},
		get error() {
			return error;
		}
	};
}
