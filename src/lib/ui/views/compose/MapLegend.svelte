<script lang="ts">
	import type { Layer } from './mapLayers';

	interface Props {
		layer: Layer;
	}
	let { layer }: Props = $props();
	/** What the water lines say; of a grade, one line a step. */
	const WATER: Partial<Record<Layer, string>> = {
		tide: 'dotted was there',
		worked: 'more is longer',
		coverage: 'dotted is missing',
		findings: 'findings stand here',
		none: ''
	};
	const water = $derived(WATER[layer] ?? 'one line a grade');
</script>

<!-- What the marks of the map mean. -->
<ul class="text-ink2 flex flex-wrap items-center justify-center gap-x-2.5 text-[11px] leading-4" aria-label="Legend of the map">
	<li class="flex items-center gap-1">
		<svg width="13" height="13" viewBox="-6.5 -6.5 13 13" aria-hidden="true"
			><circle r="5" fill="var(--sheet)" stroke="var(--openfill)" /><path
				d="M0 -5A5 5 0 1 1 -5 0"
				fill="none"
				stroke="var(--open)"
				stroke-width="2"
			/><circle r="1.7" fill="var(--open)" /></svg
		>open
	</li>
	<li class="flex items-center gap-1">
		<svg width="22" height="9" viewBox="0 0 22 9" aria-hidden="true"
			><path d="M1 5C6 2 12 3 18 4.5" fill="none" stroke="var(--brush)" stroke-width="3.4" stroke-linecap="round" /></svg
		>now
	</li>
	<li class="flex items-center gap-1">
		<svg width="20" height="9" viewBox="0 0 20 9" aria-hidden="true"
			><path d="M2 5H19" fill="none" stroke="var(--ink)" stroke-width="1.8" stroke-dasharray="0.1 4" stroke-linecap="round" /></svg
		>then
	</li>
	{#if water}
		<li class="flex items-center gap-1">
			<svg width="16" height="9" viewBox="0 0 16 9" aria-hidden="true"
				><rect width="16" height="9" rx="3" fill="var(--tint)" fill-opacity="0.2" /><path
					d="M2 5q2 -3 4 0t4 0t4 0"
					fill="none"
					stroke="var(--drain)"
					stroke-width="1.3"
				/></svg
			>{water}
		</li>
	{/if}
</ul>
