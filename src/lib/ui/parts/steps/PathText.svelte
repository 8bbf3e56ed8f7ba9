<script lang="ts">
	import { labelOf, placeOf, whereOf } from '$lib/core/atlas/places';
	import { stepTitle } from '$lib/core/step/describe';
	import type { Step } from '$lib/core/step/step.schema';
	import Arrow from '../glyphs/Arrow.svelte';

	interface Props {
		step: Step;
		/** Only the ends of a long path. */
		short?: boolean;
	}
	let { step, short = true }: Props = $props();
	const shown = $derived(short && step.places.length > 2 ? [step.places[0]!, step.places.at(-1)!] : step.places);
</script>

{#if shown.length}
	{#each shown as ref, i (`${ref}${i}`)}{#if i}<Arrow />{/if}<span>{i ? whereOf(placeOf(ref)) : labelOf(placeOf(ref))}</span>{/each}
{:else}{stepTitle(step)}{/if}
