<script lang="ts">
	import type { Learnt } from '$lib/core/visit/learnt';

	interface Props {
		learnt: readonly Learnt[];
		title?: string;
	}
	let { learnt, title = 'From last time' }: Props = $props();
	/** What was left out may be long: it is folded. */
	const said = $derived(learnt.filter((l) => l.what !== 'left-out'));
	const out = $derived(learnt.filter((l) => l.what === 'left-out'));
</script>

{#if learnt.length}
	<section aria-label={title}>
		<h2 class="mb-1 text-[15px] font-semibold">{title}</h2>
		<ul class="text-[13px] leading-[18px]">
			{#each said as l (l.words + l.stepId)}<li>{l.words}</li>{/each}
			{#if out.length === 1}<li>{out[0]!.words}</li>{/if}
		</ul>
		{#if out.length > 1}<details class="text-[13px] leading-[18px]">
				<summary class="min-h-6 cursor-pointer">{out.length} steps were left out</summary>
				<ul>
					{#each out as l (l.stepId)}<li>{l.words}</li>{/each}
				</ul>
			</details>{/if}
	</section>
{/if}
