<script lang="ts">
	import { onMount } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { PHOTO_VIEWS, VIEW_LABELS } from '$lib/core/records/photoViews';
	import { useApp } from '$lib/state/app.svelte';
	import { photoBookOf } from '$lib/state/photoBook.svelte';
	import { usePhotosOf } from '$lib/state/read.svelte';
	import { photoAt, photosOf } from '$lib/ui/parts/shell/addresses';
	import Awaited from '$lib/ui/parts/shell/Awaited.svelte';
	import CameraRoom from '$lib/ui/views/photos/CameraRoom.svelte';

	const app = useApp();
	const asked = $derived(page.url.searchParams);
	const clientId = $derived(app.current.asked(page.url));
	const client = $derived(app.current.byId(clientId));
	const view = $derived(PHOTO_VIEWS.find((v) => v === asked.get('view')) ?? 'front');
	const when = $derived(asked.get('when') === 'after' ? 'after' : 'before');
	const simulated = $derived(asked.get('of') === 'simulated');
	const photos = usePhotosOf(() => clientId);
	const book = photoBookOf(app);
	onMount(() => () => book.close());
</script>

{#if client}
	<div class="flex min-h-0 flex-1 flex-col">
		<div class="flex flex-wrap items-center gap-x-3 px-4 py-2.5">
			<h1 class="flex-1 text-lg leading-7 font-[520]">
				{simulated ? 'Simulated camera' : 'Camera'}: {client.name}, {VIEW_LABELS[view].toLowerCase()}, {when}
			</h1>
			<a class="dotted text-[13px]" href={photosOf(client.id)}>Photographs</a>
		</div>
		<Awaited of={photos.current} what="The earlier photographs of {client.name}">
			{#snippet children(rows)}
				{#key `${client.id} ${simulated}`}<CameraRoom
						{book}
						taking={{ clientId: client.id, sessionId: asked.get('session'), when, view }}
						{simulated}
						ghost={rows.findLast((p) => p.view === view) ?? null}
						listens={app.settings?.listens ?? false}
						now={() => app.repo.stamp().now}
						ontaken={(photo) => goto(photoAt(photo.id))}
					/>{/key}
			{/snippet}
		</Awaited>
	</div>
{:else}<p class="text-ink2 p-6 text-[13.5px]">Choose or add a client first. <a class="dotted" href="/clients">Clients</a></p>{/if}
