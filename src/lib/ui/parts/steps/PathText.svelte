<script lang="ts">
	import { stepTitle, wayNames } from '$lib/core/step/describe';
	import type { Step } from '$lib/core/step/step.schema';
	import Arrow from '../glyphs/Arrow.svelte';

	interface Props {
		step: Step;
		/** Only the ends of a long path. */
		short?: boolean;
	}
	let { step, short = true }: Props = $props();
	const names = $derived(wayNames(short && step.places.length > 2 ? [step.places[0]!, step.places.at(-1)!] : step.places));
</script>

{#if names.length}
	{#each names as name, i (`${name}${i}`)}{#if i}<Arrow />{/if}<span>{name}</span>{/each}
{:else}{stepTitle(step)}{/if}
