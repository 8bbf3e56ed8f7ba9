<script lang="ts">
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import type { Supplies } from '$lib/core/perform/supplies';
	import AskedStep from './AskedStep.svelte';

	interface Props {
		asks: readonly PlacedStep[];
		supplies: Supplies;
		onmet: (stepId: string) => void;
	}
	let { asks, supplies, onmet }: Props = $props();
</script>

<!-- What is done next only if it is so: one touch, no answer needed where it is not. -->
{#if asks.length}
	<ul class="space-y-1 pb-1 text-[20px] leading-6" aria-label="Asked now">
		{#each asks as placed, i (placed.step.id)}
			<li class="flex flex-wrap items-center gap-x-3">
				<button
					type="button"
					class="btn min-h-12 shrink-0 px-4 text-[18px]"
					aria-label="It is so: {placed.step.onlyIf}"
					onclick={() => onmet(placed.step.id)}
					>It is so{#if i === 0}<kbd class="text-ink2 pl-2 text-[14px]">Y</kbd>{/if}</button
				>
				<span class="min-w-[6em] flex-1"><AskedStep {placed} {supplies} /></span>
			</li>
		{/each}
	</ul>
{/if}
