<script lang="ts">
	import type { Change } from '$lib/core/assess/change';

	interface Props {
		change: Pick<Change, 'verdict' | 'delta'>;
	}
	let { change }: Props = $props();
	const up = $derived((change.delta ?? 0) > 0);
</script>

<svg
	width="16"
	height="16"
	viewBox="0 0 16 16"
	fill="none"
	stroke="var(--ink)"
	stroke-width="1.4"
	stroke-linecap="round"
	aria-hidden="true"
	class="flex-none"
>
	{#if change.verdict === 'changed'}
		<g transform={up ? 'matrix(1 0 0 -1 0 16)' : undefined}
			><path d="M2 2.6H14" /><path d="M8 5V13.4" /><path d="M4.4 9.6L8 14L11.6 9.6Z" fill="var(--ink)" /></g
		>
	{:else if change.verdict === 'one-pair'}
		<g transform={up ? 'matrix(1 0 0 -1 0 16)' : undefined}
			><path d="M8 2.6V9" stroke-dasharray="1.6 2.2" /><path d="M4.4 9.6L8 14L11.6 9.6Z" /></g
		>
	{:else if change.verdict === 'within-error'}
		<path d="M1.8 4H14.2M1.8 12H14.2" stroke-dasharray="0.1 2.6" /><path d="M2.4 8.6C4.6 6.4 6 6.4 8 8S11.4 9.6 13.6 7.4" />
	{:else}
		<path d="M11.9 3.6A5.9 5.9 0 0 0 3.3 11.6M4.6 12.8A5.9 5.9 0 0 0 12.9 4.8" /><path d="M2.6 13.4L13.4 2.6" stroke-dasharray="2.6 2.2" />
	{/if}
</svg>
