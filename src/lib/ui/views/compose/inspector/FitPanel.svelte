<script lang="ts">
	import { clock } from '$lib/core/step/describe';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';

	interface Props {
		draft: SequenceDraft;
	}
	let { draft }: Props = $props();
	let open = $state(false);
	const fit = $derived(open ? draft.fitTo(draft.sequence.budgetSeconds) : null);
	const WORDS = { fewer: 'fewer', more: 'more', 'left-out': 'left out' } as const;
</script>

<button type="button" class="btn" aria-expanded={open} onclick={() => (open = !open)}>Fit to {clock(draft.sequence.budgetSeconds)} …</button
>
{#if fit}
	<div class="border-edge bg-sheet mt-2 rounded-lg border p-2.5 text-xs leading-4" role="region" aria-label="What fitting would change">
		<p class="text-ink2">
			{#if fit.fits}<b class="text-ink">{clock(fit.seconds)}</b> then. {fit.why}{:else}<b class="text-flag">It does not fit.</b>
				{fit.why}{/if}
		</p>
		{#if fit.changes.length}
			<ul class="my-1.5 max-h-36 overflow-y-auto">
				{#each fit.changes as change (change.stepId)}<li>
						<b>{change.number}</b>
						{change.text} <span class="sr-only">({WORDS[change.kind]})</span>
					</li>{/each}
			</ul>
		{/if}
		{#if fit.edit}
			<button
				type="button"
				class="btn btn-primary"
				onclick={() => {
					draft.do(fit.edit);
					open = false;
				}}>Apply</button
			>
		{/if}
		<button type="button" class="btn" onclick={() => (open = false)}>Cancel</button>
	</div>
{/if}
