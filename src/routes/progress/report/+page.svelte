<script lang="ts">
	import { page } from '$app/state';
	import { useApp } from '$lib/state/app.svelte';
	import { together } from '$lib/state/rows';
	import { usePhotosOf, useSessionsOf } from '$lib/state/read.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import ClientReport from '$lib/ui/views/progress/ClientReport.svelte';

	const app = useApp();
	const clientId = $derived(app.current.asked(page.url));
	const client = $derived(app.current.byId(clientId));
	const sessions = useSessionsOf(() => clientId);
	const photos = usePhotosOf(() => clientId);
	const read = $derived(together({ clients: app.current.read, sessions: sessions.current, photos: photos.current }));
</script>

<Awaited of={read} what="The record of {client?.name ?? 'the client'}">
	{#snippet children(rows)}
		{#if client}{#key client.id}<ClientReport {client} sessions={rows.sessions} photos={rows.photos} />{/key}
		{:else}<p class="p-6">Choose or add a client first. <a class="dotted" href="/clients">Clients</a></p>{/if}
	{/snippet}
</Awaited>
