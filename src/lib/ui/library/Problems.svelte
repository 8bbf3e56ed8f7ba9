<script lang="ts">
	import type { Problem } from '$lib/formats/problem';

	interface Props {
		problems: readonly Problem[];
	}
	let { problems }: Props = $props();
</script>

{#if problems.length}
	<ul class="text-flag my-2 space-y-0.5 text-xs leading-4" role="alert">
		{#each problems as p, i (i)}<li>
				{#if p.path}<b class="font-semibold">{p.path}</b>:
				{/if}{p.message}
			</li>{/each}
	</ul>
{/if}
