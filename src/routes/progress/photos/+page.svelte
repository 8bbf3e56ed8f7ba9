<script lang="ts">
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import type { Photo } from '$lib/core/records/photo';
	import ClientChooser from '$lib/ui/parts/shell/ClientChooser.svelte';
	import { useApp } from '$lib/state/app.svelte';
	import { PhotoBook } from '$lib/state/photoBook.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import { pairOf, photosOf, progressOf } from '$lib/ui/parts/shell/addresses';
	import { longDay } from '$lib/ui/parts/dates';
	import Question from '$lib/ui/parts/shell/Question.svelte';
	import PhotoCard from '$lib/ui/views/photos/PhotoCard.svelte';
	import TakeForm from '$lib/ui/views/photos/TakeForm.svelte';

	const app = useApp();
	const clientId = $derived(page.url.searchParams.get('client') ?? app.current.orFirst?.id ?? null);
	const client = $derived(app.current.byId(clientId));
	const photos = liveRows(
		() => clientId,
		(id) => (id ? app.repo.photos.of(id) : Promise.resolve([])),
		[]
	);
	const sessions = liveRows(
		() => clientId,
		(id) => (id ? app.repo.sessionsOf(id) : Promise.resolve([])),
		[]
	);
	const book = new PhotoBook(app.repo.photos);
	onMount(() => () => book.close());

	/** The latest day first; within it as they were taken. */
	const days = $derived.by(() => {
		const groups = new Map<string, Photo[]>();
		for (const photo of photos.current) {
			const day = longDay(photo.takenAt);
			groups.set(day, [...(groups.get(day) ?? []), photo]);
		}
		return [...groups].toReversed();
	});
	let chosen = $state.raw<readonly string[]>([]);
	const pair = $derived(photos.current.filter((p) => chosen.includes(p.id)));
	const why = $derived(
		pair.length !== 2
			? 'Choose two photographs of one side of the face.'
			: pair[0]!.view !== pair[1]!.view
				? 'Both must be taken from the same side.'
				: ''
	);
	const toggle = (id: string) => (chosen = chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen.slice(-1), id]);
	let removing = $state<Photo | null>(null);
	function remove() {
		const { id } = removing!;
		removing = null;
		chosen = chosen.filter((c) => c !== id);
		void app.run(() => app.repo.photos.remove(id));
	}
</script>

<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-6">
	<div class="border-hair flex flex-wrap items-center gap-x-3 gap-y-2 border-b py-2.5">
		<h1 class="flex-1 text-xl leading-7 font-[520]">
			{client ? `Photographs of ${client.name}` : 'Photographs'}
		</h1>
		{#if client}<a class="dotted text-[13px]" href={progressOf(client.id)}>Grades and tape</a>{/if}
		<ClientChooser {clientId} addressOf={photosOf} onchoose={() => (chosen = [])} />
	</div>
	{#if client}
		<div class="grid grid-cols-1 gap-x-8 gap-y-6 pt-4 lg:grid-cols-[300px_minmax(0,1fr)]">
			<div class="space-y-6">
				<TakeForm
					{book}
					clientId={client.id}
					sessions={sessions.current}
					sessionId={page.url.searchParams.get('session')}
					now={() => app.repo.stamp().now}
				/>
				<section class="space-y-2" aria-label="Compare two">
					<h2 class="text-[13.5px] font-semibold">Compare two</h2>
					{#if why}<p class="text-ink2 text-[12.5px] leading-4">{why}</p>
					{:else}<a class="btn btn-primary" href={pairOf(pair[0]!.id, pair[1]!.id)}>Compare the two chosen</a>{/if}
				</section>
			</div>
			<div class="space-y-5">
				{#each days as [day, list] (day)}
					<section>
						<h2 class="pb-1.5 text-[13.5px] font-semibold">{day}</h2>
						<ul class="flex flex-wrap gap-3">
							{#each list as photo (photo.id)}<PhotoCard
									{book}
									{photo}
									chosen={chosen.includes(photo.id)}
									onchoose={() => toggle(photo.id)}
									onremove={() => (removing = photo)}
								/>{/each}
						</ul>
					</section>
				{:else}
					{#if photos.loaded}<p class="text-ink2 max-w-[56ch] text-[13.5px] leading-5">
							No photograph yet. Two from the same place, in the same light and with the head held alike can be measured against one
							another; two at one moment tell how exactly you measure. To try it without anybody’s picture, take some with the simulated
							camera.
						</p>{/if}
				{/each}
			</div>
		</div>
	{:else}<p class="text-ink2 py-10 text-[13.5px]">Choose or add a client first. <a class="dotted" href="/clients">Clients</a></p>{/if}
</div>
{#if removing}<Question
		open
		title="Remove this photograph?"
		words="The picture, its points and what was measured on it go for good. Other photographs stay."
	>
		{#snippet answers()}<button class="btn" onclick={() => (removing = null)}>Not now</button><button
				class="btn btn-primary"
				onclick={remove}>Remove it</button
			>{/snippet}
	</Question>{/if}
