<script lang="ts">
	import type { BandRow } from './scoreBands';
	import { FULL_HEIGHTS } from './scoreGeometry';

	interface Props {
		/** Centre of the shore, px. */
		mid: number;
		height: number;
		/** px; null where there is no film. */
		filmY: number | null;
		bands: readonly BandRow[];
		bandsY: number;
	}
	let { mid, height, filmY, bands, bandsY }: Props = $props();
</script>

<svg width="96" {height} class="flex-none" aria-hidden="true">
	<text x="16" y="62" class="client">Client’s</text><text x="16" y="76" class="side">left</text>
	<text x="16" y="140" class="client">Client’s</text><text x="16" y="154" class="side">right</text>
	{#if filmY !== null}<text x="16" y={filmY} class="client">film</text>{/if}
	{#each bands as row, i (row.id)}<text x="16" y={bandsY + 14 * i + 10.5} class="client">{row.title}</text>{/each}
	{#each [1, 2, 3, 4] as level (level)}
		{#each [-1, 1] as dir (dir)}
			<text x="88" y={mid + dir * (8 + FULL_HEIGHTS[level]!) + 4} class="level">{level}</text>
		{/each}
	{/each}
</svg>

<style>
	.side {
		font-size: 12px;
		font-weight: 600;
		fill: var(--ink);
	}
	.client {
		font-size: 11.5px;
		fill: var(--ink2);
	}
	.level {
		font-size: 11px;
		fill: var(--ink3);
		text-anchor: end;
	}
</style>
