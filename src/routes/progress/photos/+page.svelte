<script lang="ts">
	import { page } from '$app/state';
	import { useApp } from '$lib/state/app.svelte';
	import { together } from '$lib/state/rows';
	import { usePhotosOf, useSessionsOf } from '$lib/state/read.svelte';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import ClientChooser from '$lib/ui/parts/shell/ClientChooser.svelte';
	import { photosOf, progressOf } from '$lib/ui/parts/shell/addresses';
	import PhotosOf from '$lib/ui/views/photos/PhotosOf.svelte';

	const app = useApp();
	const clientId = $derived(app.current.asked(page.url));
	const client = $derived(app.current.byId(clientId));
	const photos = usePhotosOf(() => clientId);
	const sessions = useSessionsOf(() => clientId);
	const read = $derived(together({ clients: app.current.read, photos: photos.current, sessions: sessions.current }));
</script>

<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-6">
	<div class="border-hair flex flex-wrap items-center gap-x-3 gap-y-2 border-b py-2.5">
		<h1 class="flex-1 text-xl leading-7 font-[520]">
			{client ? `Photographs of ${client.name}` : 'Photographs'}
		</h1>
		{#if client}<a class="dotted text-[13px]" href={progressOf(client.id)}>Grades and tape</a>{/if}
		<ClientChooser {clientId} addressOf={photosOf} />
	</div>
	<Awaited of={read} what="The photographs of {client?.name ?? 'the client'}">
		{#snippet children(rows)}
			{#if client}{#key client.id}<PhotosOf
						{client}
						photos={rows.photos}
						sessions={rows.sessions}
						sessionId={page.url.searchParams.get('session')}
					/>{/key}
			{:else}<p class="text-ink2 py-10 text-[13.5px]">Choose or add a client first. <a class="dotted" href="/clients">Clients</a></p>{/if}
		{/snippet}
	</Awaited>
</div>
