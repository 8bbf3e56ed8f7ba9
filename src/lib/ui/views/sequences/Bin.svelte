<script lang="ts">
	import type { Kept } from '$lib/core/records/kept';

	import { shortDay } from '../../parts/dates';

	interface Props {
		kept: readonly Kept[];
		onback: (kept: Kept) => void;
		ondiscard: (kept: Kept) => void;
	}
	let { kept, onback, ondiscard }: Props = $props();
	let sure = $state<string | null>(null);
</script>

<p class="text-ink2 max-w-[60ch] py-2 leading-[18px]">What was removed lies here until it is deleted for good.</p>
<ul class="border-hair border-t" aria-label="Bin">
	{#each kept as item (item.id)}
		<li class="border-hair flex flex-wrap items-center gap-3 border-b py-2">
			<span class="min-w-0 flex-1"
				><b class="block truncate font-[560]">{item.sequence.title}</b><span class="text-ink2 text-xs"
					>removed on {shortDay(item.keptAt)}, {item.sequence.phases.flatMap((p) => p.blocks.flatMap((b) => b.steps)).length} steps</span
				></span
			>
			<button type="button" class="btn" onclick={() => onback(item)}>Put it back</button>
			{#if sure === item.id}<button type="button" class="btn btn-primary" onclick={() => ondiscard(item)}>Yes, for good</button>
			{:else}<button type="button" class="btn" onclick={() => (sure = item.id)}>Delete …</button>{/if}
		</li>
	{:else}
		<li class="text-ink2 py-3">The bin is empty.</li>
	{/each}
</ul>
