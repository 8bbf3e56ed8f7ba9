import { untrack } from 'svelte';
import type { KindId } from '../core/records/tables';
import { liveRows } from '../store/liveRows.svelte';
import { useApp } from './app.svelte';

/**
 * Follows whether a record that is edited is still there: another window may remove it. Must be called during component
 * initialisation.
 * @param id of the record
 * @param edited whether it is the one that is edited just now
 * @param onlost called when it goes
 */
export function followWhetherThere(kind: KindId, id: () => string, edited: () => boolean, onlost: () => void): void {
	const app = useApp();
	const there = liveRows(id, (recordId) => app.repo.has(kind, recordId));
	let seen = false;
	$effect(() => {
		const read = there.current;
		if (read.state !== 'here' || !edited()) return;
		if (!read.rows && seen) untrack(onlost);
		seen = read.rows;
	});
}
