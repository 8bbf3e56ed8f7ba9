<script lang="ts">
	import type { BandRow } from './scoreBands';
	import type { ScoreFrame } from './scoreGeometry';

	interface Props {
		frame: ScoreFrame;
		height: number;
		/** px; null where there is no film. */
		filmY: number | null;
		bands: readonly BandRow[];
		bandsY: number;
	}
	let { frame, height, filmY, bands, bandsY }: Props = $props();
	/** Figures closer than their height are left out in turn. */
	const lead = $derived(Math.min(46, 14 + frame.heights[4] / 2));
	const roomy = $derived(frame.heights[4] - frame.heights[3] >= 10);
</script>

<svg width="96" {height} class="flex-none" aria-hidden="true">
	<text x="16" y={frame.mid - lead} class="client">Client’s</text><text x="16" y={frame.mid - lead + 14} class="side">left</text>
	<text x="16" y={frame.mid + lead - 10} class="client">Client’s</text><text x="16" y={frame.mid + lead + 4} class="side">right</text>
	{#if filmY !== null}<text x="16" y={filmY} class="client">oil left</text>{/if}
	{#each bands as row, i (row.id)}<text x="16" y={bandsY + 14 * i + 10.5} class="client">{row.title}</text>{/each}
	{#each [1, 2, 3, 4] as level (level)}
		{#each [-1, 1] as dir (dir)}
			{#if level % 2 === 0 || roomy}<text x="88" y={frame.mid + dir * (8 + frame.heights[level]!) + 4} class="level">{level}</text>{/if}
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
