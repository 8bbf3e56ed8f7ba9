<script lang="ts">
	import type { Difference } from '$lib/core/sequence/difference';

	interface Props {
		changes: readonly Difference[];
		/** So many are listed, the others counted. */
		most: number;
		/** Said where no step changes. */
		otherwise?: string;
		class?: string;
	}
	let { changes, most, otherwise = '', class: look = '' }: Props = $props();
	const KIND = { added: 'New', removed: 'Gone', moved: 'Moved', changed: '' } as const;
</script>

<!-- What an edit changes, step by step. -->
<ul class={look}>
	{#each changes.slice(0, most) as d, i (`${d.stepId}${i}`)}
		<li><span class="text-ink2">{KIND[d.kind]}</span> <b class="font-semibold">{d.number}</b> {d.text}</li>
	{:else}{#if otherwise}<li>{otherwise}</li>{/if}{/each}
	{#if changes.length > most}<li class="text-ink2">and {changes.length - most} more</li>{/if}
</ul>
