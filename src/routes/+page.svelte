<script lang="ts">
	import { useApp } from '$lib/state/app.svelte';
	import { ifHere, together, type Read } from '$lib/state/rows';
	import { useSequences, useSessionsOf } from '$lib/state/read.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import TodayRoom from '$lib/ui/views/today/TodayRoom.svelte';

	const app = useApp();
	/** The shore shows two weeks. */
	const SHORE_MS = 14 * 86_400_000;
	const now = new Date();
	const since = new Date(now.getTime() - SHORE_MS).toISOString();
	const client = $derived(app.current.orFirst);
	const records = useSequences();
	const recent = liveRows(
		() => null,
		() => app.repo.sessionsSince(since)
	);
	const open = liveRows(
		() => null,
		() => app.repo.openSessions()
	);
	const sessions = useSessionsOf(() => client?.id ?? null);
	const lasts = liveRows(
		() => null,
		() => app.repo.lastVisits()
	);
	/** So many clients that the one who is next does not wait until the last visits of all the others are read. */
	const MANY_CLIENTS = 30;
	const first = $derived(
		together({
			clients: app.current.read,
			records: records.current,
			recent: recent.current,
			open: open.current,
			sessions: sessions.current
		})
	);
	const waits = () => app.current.all.length <= MANY_CLIENTS && lasts.current.state === 'pending';
	const wanted = $derived<Read<unknown>>(waits() && first.state === 'here' ? lasts.current : first);
</script>

<!-- All of it at once: nothing is pushed down by what comes a moment later. -->
<Awaited of={wanted} what="The records of today">
	{#if first.state === 'here'}
		{@const rows = first.rows}
		{#if lasts.current.state === 'failed'}<Awaited of={lasts.current} what="The last visits of the others" />{/if}
		<TodayRoom
			clients={rows.clients}
			{client}
			sessions={rows.sessions}
			records={rows.records}
			recent={rows.recent}
			open={rows.open}
			lasts={ifHere(lasts.current)}
			{now}
		/>
	{/if}
</Awaited>
