<script lang="ts">
	import { moveAt } from '../../../parts/shell/addresses';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import type { Step } from '$lib/core/step/step.schema';
	import { useTechniques } from '$lib/state/techniques.svelte';

	interface Props {
		sequence: Sequence;
		step: Step;
	}
	let { sequence, step }: Props = $props();
	const library = useTechniques('later');
	const known = $derived(step.techniqueId ? library.byId(step.techniqueId, sequence.techniques) : undefined);
	const contra = $derived(known ? library.contraOf(known) : []);
</script>

{#if library.loaded && step.techniqueId}
	{#if contra.length}
		<dt class="self-start">Take care</dt>
		<dd class="text-ink2 text-xs leading-4">{contra.join(' ')}</dd>
	{/if}
	<dt class="self-start">From</dt>
	<dd class="text-ink2 text-xs leading-4">
		{#if known}<a class="dotted" href={moveAt(known.id)}>{known.title}</a>
		{:else}a move named “{step.techniqueId}”, which is not in this library. The step is kept, timed and judged as it is.{/if}
	</dd>
{/if}

<style>
	dt {
		color: var(--ink3);
		font-size: 12px;
	}
</style>
