<script lang="ts">
	import { untrack } from 'svelte';
	import type { FitRest } from '$lib/core/perform/adapting/rest';
	import { clock } from '$lib/core/step/describe';
	import type { Performing } from '$lib/state/performing.svelte';

	interface Props {
		performing: Performing;
		fit: FitRest;
		/** Seconds that are left of her time, by the clock. */
		timeLeft: () => number;
	}
	let { performing, fit, timeLeft }: Props = $props();
	/** Whole minutes that are left: by the clock, or as she says. */
	let minutes = $state(untrack(() => Math.max(1, Math.round(timeLeft() / 60))));
	const refused = $derived('refused' in fit.adapted ? fit.adapted.refused : '');
</script>

<h2 class="text-[1.15em] font-semibold">Fit what is left</h2>
<label class="flex flex-wrap items-center gap-2"
	>Minutes left
	<input
		autocomplete="off"
		class="field w-20"
		type="number"
		min="1"
		max="240"
		step="1"
		bind:value={minutes}
		oninput={() => minutes >= 1 && performing.askFit(60 * minutes)}
	/></label
>
{#if refused}<p class="text-flag" role="alert">{refused}</p>
{:else if fit.changes.length}
	<ul class="min-h-0 flex-1 overflow-y-auto">
		{#each fit.changes as change (change.stepId)}<li>{change.number}. {change.text}</li>{/each}
	</ul>
	<p class="text-ink2">{clock(fit.leftSeconds)} to go then. {fit.why}</p>
{:else}<p>It fits as it is: {clock(fit.leftSeconds)} to go.</p>{/if}
<p class="flex flex-wrap gap-2">
	{#if fit.changes.length && !refused}<button type="button" class="btn btn-large btn-primary" onclick={() => performing.takeFit()}
			>Apply <kbd>Y</kbd></button
		>{/if}
	<button type="button" class="btn btn-large" onclick={() => (performing.fit = null)}>Leave it as planned <kbd>Esc</kbd></button>
</p>
