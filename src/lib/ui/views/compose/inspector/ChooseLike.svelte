<script lang="ts">
	import { LIKENESS_IDS, LIKENESSES, stepsLike, type LikenessId } from '$lib/core/sequence/likeness';
	import { findStep } from '$lib/core/sequence/walk';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';

	interface Props {
		draft: SequenceDraft;
	}
	let { draft }: Props = $props();
	const placed = $derived(draft.selectedId ? findStep(draft.sequence, draft.selectedId) : undefined);
	const SHORT: Record<LikenessId, string> = { aim: 'aim', phase: 'phase', pressure: 'pressure', side: 'side' };
</script>

<!-- All that are like the chosen step. -->
{#if placed}
	<p class="text-ink2 flex flex-wrap items-center gap-x-2 text-[11.5px]">
		<span>All of this</span>
		{#each LIKENESS_IDS as by (by)}
			{@const count = stepsLike(draft.sequence, placed.step.id, by).length}
			<button
				type="button"
				class="dotted min-h-6"
				title="Choose all {LIKENESSES[by].words(placed)} (C)"
				disabled={count < 2}
				onclick={() => draft.chooseLike(by)}>{SHORT[by]} {count}</button
			>
		{/each}
	</p>
{/if}

<style>
	button:disabled {
		text-decoration: none;
		opacity: 0.6;
	}
</style>
