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
	const ends = $derived(short && step.places.length > 2 ? [step.places[0]!, step.places.at(-1)!] : step.places);
	const nameAt = (ref: (typeof ends)[number], i: number) => (i ? whereOf(placeOf(ref)) : labelOf(placeOf(ref)));
	/** The nodes of the neck and its side have one name: it is said once. */
	const shown = $derived(ends.filter((ref, i) => !i || nameAt(ref, i).toLowerCase() !== nameAt(ends[i - 1]!, i - 1).toLowerCase()));
</script>

{#if shown.length}
	{#each shown as ref, i (`${ref}${i}`)}{#if i}<Arrow />{/if}<span>{nameAt(ref, i)}</span>{/each}
{:else}{stepTitle(step)}{/if}
