<script lang="ts">
	import { page } from '$app/state';
	import { useApp } from '$lib/state/app.svelte';
	import { together } from '$lib/state/rows';
	import { useSequences, useSessionsOf } from '$lib/state/read.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import { idIn } from '$lib/ui/parts/shell/addresses';
	import ClientRoom from '$lib/ui/views/clients/ClientRoom.svelte';

	const app = useApp();
	const id = $derived(idIn(page.params.id));
	const client = $derived(app.current.byId(id));
	const sessions = useSessionsOf(() => id);
	const records = useSequences();
	const read = $derived(together({ clients: app.current.read, sessions: sessions.current, records: records.current }));
</script>

<Awaited of={read} what="The record of {client?.name ?? 'the client'}">
	{#snippet children(rows)}
		{#if client}{#key client.id}<ClientRoom {client} sessions={rows.sessions} records={rows.records} />{/key}
		{:else}<p class="p-6 text-[15px]">This client is not here. <a class="dotted" href="/clients">All clients</a></p>{/if}
	{/snippet}
</Awaited>
