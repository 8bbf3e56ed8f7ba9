<script lang="ts">
	import type { Level } from '$lib/core/step/levels';

	interface Props {
		level: Level;
		/** px of width, default 26. */
		size?: number;
	}
	let { level, size = 26 }: Props = $props();
	const rings = $derived(Array.from({ length: level }, (_, i) => 3 + 3.1 * i));
</script>

<svg
	width={size}
	height={(size * 14) / 26}
	viewBox="0 0 26 14"
	aria-hidden="true"
	class="overflow-visible"
	fill="none"
	stroke="var(--ink)"
	stroke-width={1 + 0.16 * level}
	stroke-linecap="round"
>
	{#each rings as r (r)}<path d="M{13 - r} 13A{r} {r} 0 0 1 {13 + r} 13" />{/each}
	{#if level}<circle cx="13" cy="12.4" r="0.9" fill="var(--ink)" stroke="none" />
	{:else}<circle cx="13" cy="11.6" r="1.5" stroke-width="1" />{/if}
</svg>
