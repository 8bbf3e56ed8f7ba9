<script lang="ts">
	import type { Motion } from '$lib/core/vocabulary/vocabulary';
	import { motionDrawing } from './motionGlyph';

	interface Props {
		motion: Motion;
		lanes?: number;
		reverse?: boolean;
		/** Width in px; it is 22 by 16. */
		size?: number;
	}
	let { motion, lanes = 1, reverse = false, size = 22 }: Props = $props();
	const drawing = $derived(motionDrawing(motion, { lanes, reverse }));
</script>

<svg
	viewBox="0 0 22 16"
	width={size}
	height={(size * 16) / 22}
	fill="none"
	stroke="currentColor"
	stroke-width="1.4"
	stroke-linecap="round"
	stroke-linejoin="round"
	class="flex-none"
	aria-hidden="true"
>
	{#each drawing.held as d (d)}<path {d} stroke-dasharray="1.6 1.8" />{/each}
	{#each drawing.rings as r (r)}<circle cx="11" cy="8" {r} />{/each}
	{#each drawing.ways as d, i (i)}<path {d} />{/each}
	{#each drawing.heads as d, i (i)}<path {d} />{/each}
	{#each drawing.starts as [x, y], i (i)}<circle cx={x} cy={y} r="1.5" fill="currentColor" stroke="none" />{/each}
</svg>
