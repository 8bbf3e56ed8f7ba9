<script lang="ts">
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import type { Photo } from '$lib/core/records/photo';
	import { VIEW_LABELS } from '$lib/core/records/photoViews';
	import { useApp } from '$lib/state/app.svelte';
	import { PhotoBook } from '$lib/state/photoBook.svelte';
	import { PhotoPoints } from '$lib/state/photoPoints.svelte';
	import { idIn, photosOf } from '$lib/ui/parts/shell/addresses';
	import { dayAndHour } from '$lib/ui/parts/dates';
	import PlaceRoom from '$lib/ui/views/photos/PlaceRoom.svelte';

	const app = useApp();
	const id = $derived(idIn(page.params.id));
	const book = new PhotoBook(app.repo.photos);
	onMount(() => () => book.close());
	let opened = $state.raw<PhotoPoints | null>(null);
	let at = $state<'opening' | 'open' | 'missing'>('opening');
	$effect(() => {
		const wanted = id;
		at = 'opening';
		void app
			.run(() => PhotoPoints.open(app.repo.photos, book, wanted, (work) => app.run(work)))
			.then((found) => {
				if (wanted !== id) return;
				opened = found;
				at = found ? 'open' : 'missing';
			});
		return () => void opened?.settle();
	});
	const photo = $derived<Photo | null>(opened?.photo ?? null);
	const client = $derived(photo ? app.current.byId(photo.clientId) : null);
</script>

{#if opened && photo}
	<div class="flex min-h-0 flex-1 flex-col">
		<div class="flex flex-wrap items-center gap-x-3 px-4 py-2.5">
			<h1 class="w-full text-lg leading-7 font-[520] sm:w-auto sm:flex-1">
				{client?.name ?? ''}, {VIEW_LABELS[photo.view].toLowerCase()}
				<span class="text-ink2 pl-2 text-[13px] font-normal">{photo.when} the session, {dayAndHour(photo.takenAt)}</span>
			</h1>
			<p class="text-ink2 text-[12.5px]" role="status">{opened.saving ? 'Saving' : 'Each point is kept at once'}</p>
			<a class="btn" href={photosOf(photo.clientId)}>Photographs</a>
		</div>
		{#key photo.id}<PlaceRoom
				{photo}
				url={opened.url}
				placing={opened.placing}
				suggesting={opened.suggesting}
				onsuggest={photo.view === 'front' ? () => opened?.suggest() : undefined}
			/>{/key}
	</div>
{:else}<p class="text-ink2 p-6 text-[13.5px]" role="status">
		{#if at === 'missing'}This photograph is not here: it was removed, or belongs to another browser.
			<a class="dotted" href="/progress/photos">Photographs</a>{:else}Opening …{/if}
	</p>{/if}
