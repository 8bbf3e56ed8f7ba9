<script lang="ts">
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import type { Photo } from '$lib/core/records/photo';
	import { VIEW_LABELS } from '$lib/core/records/photoViews';
	import { useApp } from '$lib/state/app.svelte';
	import { photoBookOf } from '$lib/state/photoBook.svelte';
	import { PhotoPoints } from '$lib/state/photoPoints.svelte';
	import { idIn, photosOf } from '$lib/ui/parts/shell/addresses';
	import { dayAndHour } from '$lib/ui/parts/dates';
	import GoneDialog from '$lib/ui/parts/shell/GoneDialog.svelte';
	import SecondVersions from '$lib/ui/parts/shell/SecondVersions.svelte';
	import { goto } from '$app/navigation';
	import PlaceRoom from '$lib/ui/views/photos/PlaceRoom.svelte';

	const app = useApp();
	const id = $derived(idIn(page.params.id));
	const book = photoBookOf(app);
	onMount(() => () => book.close());
	let opened = $state.raw<PhotoPoints | null>(null);
	let at = $state<'opening' | 'open' | 'missing' | 'failed'>('opening');
	function open(wanted: string) {
		at = 'opening';
		opened = null;
		void app
			.run(async () => ({ found: await PhotoPoints.open(app.repo.photos, book, wanted) }))
			.then((answer) => {
				if (wanted !== id) return;
				opened = answer?.found ?? null;
				at = !answer ? 'failed' : opened ? 'open' : 'missing';
			});
	}
	$effect(() => {
		open(id);
		return () => void opened?.settle();
	});
	$effect(() => {
		app.tell('photo', opened?.saving.trouble ?? '');
		return () => app.tell('photo', '');
	});
	const photo = $derived<Photo | null>(opened?.photo ?? null);
	const savedWords = $derived(
		opened?.saving.state === 'saving'
			? 'Saving'
			: opened?.saving.state === 'second-version'
				? 'Kept in a second version, until you choose one'
				: opened?.saving.state === 'saved'
					? 'Each point is kept at once'
					: 'Not saved'
	);
	const client = $derived(photo ? app.current.byId(photo.clientId) : null);
</script>

{#if opened && photo}
	<div class="flex min-h-0 flex-1 flex-col">
		<div class="flex flex-wrap items-center gap-x-3 px-4 py-2.5">
			<h1 class="w-full text-lg leading-7 font-[520] sm:w-auto sm:flex-1">
				{client?.name ?? ''}, {VIEW_LABELS[photo.view].toLowerCase()}
				<span class="text-ink2 pl-2 text-[13px] font-normal">{photo.when} the session, {dayAndHour(photo.takenAt)}</span>
			</h1>
			<p class="text-ink2 text-[12.5px]" role="status">{savedWords}</p>
			<a class="btn" href={photosOf(photo.clientId)}>Photographs</a>
		</div>
		<div class="px-4"><SecondVersions kind="photo" id={photo.id} onsettled={() => open(photo.id)} /></div>
		{#key opened}<PlaceRoom
				{photo}
				url={opened.url}
				placing={opened.placing}
				suggesting={opened.suggesting}
				onsuggest={photo.view === 'front' ? () => opened?.suggest() : undefined}
			/>{/key}
	</div>
{:else}<p class="text-ink2 p-6 text-[13.5px]" role="status">
		{#if at === 'missing'}This photograph is not here: it was removed, or belongs to another browser.
			<a class="dotted" href="/progress/photos">Photographs</a>{:else if at === 'failed'}This photograph could not be read. Nothing is lost.
			<button type="button" class="btn" onclick={() => open(id)}>Try again</button>{:else}Opening …{/if}
	</p>{/if}
{#if opened?.saving.gone}<GoneDialog
		{...opened.saving.gone}
		onkeep={() => opened?.keepAsNew()}
		ondrop={() => goto(photosOf(photo?.clientId ?? null))}
	/>{/if}
