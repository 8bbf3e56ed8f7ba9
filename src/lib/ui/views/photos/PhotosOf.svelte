<script lang="ts">
	import { onMount } from 'svelte';
	import type { Client } from '$lib/core/records/client';
	import type { Session } from '$lib/core/records/session';
	import type { Photo } from '$lib/core/records/photo';
	import { useApp } from '$lib/state/app.svelte';
	import { photoBookOf } from '$lib/state/photoBook.svelte';
	import { pairOf } from '$lib/ui/parts/shell/addresses';
	import { longDay } from '$lib/ui/parts/dates';
	import Question from '$lib/ui/parts/shell/Question.svelte';
	import PhotoCard from '$lib/ui/views/photos/PhotoCard.svelte';
	import TakeForm from '$lib/ui/views/photos/TakeForm.svelte';

	interface Props {
		client: Client;
		photos: readonly Photo[];
		sessions: readonly Session[];
		/** The session that they are taken in. */
		sessionId: string | null;
	}
	let { client, photos, sessions, sessionId }: Props = $props();
	const app = useApp();
	const book = photoBookOf(app);
	onMount(() => () => book.close());

	/** The latest day first; within it as they were taken. */
	const days = $derived.by(() => {
		const groups = new Map<string, Photo[]>();
		for (const photo of photos) {
			const day = longDay(photo.takenAt);
			groups.set(day, [...(groups.get(day) ?? []), photo]);
		}
		return [...groups].toReversed();
	});
	let chosen = $state.raw<readonly string[]>([]);
	const pair = $derived(photos.filter((p) => chosen.includes(p.id)));
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

<div class="grid grid-cols-1 gap-x-8 gap-y-6 pt-4 lg:grid-cols-[300px_minmax(0,1fr)]">
	<div class="space-y-6">
		<TakeForm {book} clientId={client.id} {sessions} {sessionId} now={() => app.repo.stamp().now} />
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
			<p class="text-ink2 max-w-[56ch] text-[13.5px] leading-5">
				No photograph yet. Two from the same place, in the same light and with the head held alike can be measured against one another; two
				at one moment tell how exactly you measure. To try it without anybody’s picture, take some with the simulated camera.
			</p>
		{/each}
	</div>
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
