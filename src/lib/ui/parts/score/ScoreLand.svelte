<script lang="ts">
	import type { Snippet } from 'svelte';
	import { shore, type ScoreFrame } from './scoreGeometry';

	interface Props {
		frame: ScoreFrame;
		/** The swells: before the sand, behind nothing. */
		children: Snippet;
	}
	let { frame, children }: Props = $props();
	const width = $derived(frame.x1 - frame.x0);
	const land = $derived(shore(frame, Math.min(2600, Math.round(width / 2.2))));
</script>

{#each [1, 2, 3, 4] as const as level (level)}
	{#each [-1, 1] as dir (dir)}
		{@const y = frame.mid + dir * (8 + frame.heights[level])}
		<path d="M{frame.x0} {y}H{frame.x1}" stroke="var(--hair)" stroke-width="0.8" stroke-dasharray="1 5" />
	{/each}
{/each}
{#each land.water as d, i (i)}<path {d} fill="none" stroke="var(--ink)" stroke-width="0.6" stroke-opacity={i ? 0.2 : 0.42} />{/each}
{@render children()}
<path d={land.outline} fill="var(--sand)" />
<path d={land.grain} fill="none" stroke="var(--sandline)" stroke-linecap="round" />
<path d={land.outline} fill="none" stroke="var(--coast)" stroke-width="1.1" />
