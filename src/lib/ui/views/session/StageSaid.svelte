<script lang="ts">
	import { sideCall } from '$lib/core/perform/instruction/words';
	import type { Performing } from '$lib/state/performing.svelte';

	interface Props {
		performing: Performing;
		/** What of the menu of the feet is at hand; empty where it is closed. */
		menu: string;
		onyes: () => void;
	}
	let { performing, menu, onyes }: Props = $props();
	/** How long a line stays. */
	const STAYS_MS = 6000;
	$effect(() => {
		if (!performing.said) return;
		const gone = setTimeout(() => (performing.said = ''), STAYS_MS);
		return () => clearTimeout(gone);
	});
	const uneven = $derived(performing.uneven);
</script>

<!-- Over the foot of the face: nothing moves when something is said. -->
{#if performing.said || uneven || menu}
	<div class="said">
		{#if menu}<p class="bg-ink text-paper rounded-2xl px-4 py-3" role="status">
				<b class="text-[1.4em] font-semibold">{menu}</b><br />right pedal takes it, left pedal goes on
			</p>{/if}
		{#if performing.said}<p class="bg-paper border-hair flex items-center gap-3 rounded-2xl border px-4 py-2">
				<span class="min-w-0">{performing.said}</span>
				{#if performing.undoWords && !performing.said.startsWith('Undone')}<button
						type="button"
						class="btn min-h-11 shrink-0 px-4 text-[18px]"
						aria-keyshortcuts="U"
						onclick={() => performing.undo()}>Undo</button
					>{/if}
			</p>{/if}
		{#if uneven}
			<p class="bg-paper border-hair flex flex-wrap items-center gap-x-3 gap-y-1 rounded-2xl border px-4 py-1.5">
				<span>{uneven.missing} more, {sideCall(uneven.side, performing.sequence.performer)}, too?</span>
				<button type="button" class="btn btn-primary min-h-11 px-4" aria-keyshortcuts="Y" onclick={onyes}>Yes</button>
				<button type="button" class="btn min-h-11 px-4" onclick={() => performing.leaveUneven()}>Leave it so</button>
			</p>
		{/if}
	</div>
{/if}

<style>
	.said {
		position: absolute;
		z-index: 2;
		left: 12px;
		bottom: 12px;
		display: grid;
		gap: 6px;
		max-width: calc(100% - 24px);
		font-size: clamp(15px, 2.8dvh, 22px);
		line-height: 1.35;
	}
</style>
