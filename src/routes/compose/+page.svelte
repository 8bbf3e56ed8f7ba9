<script lang="ts">
	import { toast, Toaster } from 'svelte-sonner';
	import Plus from '@lucide/svelte/icons/plus';
	import { goto } from '$app/navigation';
	import { schoolById } from '$lib/core/school/schools';
	import { expand } from '$lib/core/sequence/expand';
	import { newSequence } from '$lib/core/sequence/newSequence';
	import { useApp } from '$lib/state/app.svelte';
	import { liveRows } from '$lib/store/liveRows.svelte';
	import SequenceCard from '$lib/ui/compose/SequenceCard.svelte';

	const app = useApp();
	const rows = liveRows(
		() => null,
		() => app.repo.sequences(),
		[]
	);
	const longestSeconds = $derived(Math.max(0, ...rows.current.map((r) => expand(r.sequence, app.context).at(-1)?.endSeconds ?? 0)));
	async function remove(id: string) {
		const stored = await app.run(() => app.repo.removeSequence(id));
		if (!stored) return;
		toast(`“${stored.sequence.title}” is removed.`, {
			duration: 15_000,
			action: { label: 'Put it back', onClick: () => void app.run(() => app.repo.putBack(stored)) }
		});
	}
	async function begin() {
		const { now, newId } = app.repo.stamp();
		const sequence = newSequence({ id: newId(), updatedAt: now, school: schoolById('outlet-first') });
		const saved = await app.run(() => app.repo.saveSequence(sequence));
		if (saved) await goto(`/compose/${sequence.id}`);
	}
</script>

<svelte:head><title>Compose · Soft Tide</title></svelte:head>
<Toaster position="bottom-left" />
<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-8">
	<div class="flex items-center gap-3 py-3">
		<h1 class="flex-1 text-xl font-[520]">Sequences</h1>
		<button type="button" class="btn btn-primary" onclick={begin}><Plus size={15} />New sequence</button>
	</div>
	{#if rows.current.length}
		<ul class="border-hair border-t">
			{#each rows.current as { sequence } (sequence.id)}<SequenceCard
					{sequence}
					context={app.context}
					{longestSeconds}
					onremove={() => remove(sequence.id)}
				/>{/each}
		</ul>
	{:else if rows.loaded}
		<p class="text-ink2 max-w-[52ch] py-8 text-[13.5px] leading-5">
			No sequence yet. Begin one: open a few nodes, draw strokes on the face, and see at once how long it takes and what is missing.
		</p>
	{/if}
</div>
