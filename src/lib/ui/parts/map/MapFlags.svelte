<script lang="ts">
	import { FIGURE, MIDLINE_X, type View } from '$lib/core/atlas/geometry';
	import type { FindingSpot } from '$lib/core/rules/findingSpots';
	import PennantMark from '../glyphs/PennantMark.svelte';

	interface Props {
		view: View;
		flags: readonly FindingSpot[];
	}
	let { view, flags }: Props = $props();
	const planted = $derived(
		flags.flatMap((flag) => {
			const at = FIGURE[view].zones[flag.zone]?.centroid;
			if (!at || (view === 'profile' && flag.side === 'right')) return [];
			return [{ ...flag, x: flag.side === 'right' ? 2 * MIDLINE_X - at[0] : at[0], y: at[1] }];
		})
	);
</script>

<!-- Pennants, planted on the zone that a finding speaks of. -->
<g aria-hidden="true" style="pointer-events: none">
	{#each planted as { zone, side, severity, x, y } (`${zone}:${side}`)}
		<circle cx={x} cy={y} r="13" fill="var(--sheet)" fill-opacity="0.85" />
		<PennantMark {severity} x={x - 9} y={y - 11} scale={1.25} />
	{/each}
</g>
