<script lang="ts">
	import { ZONES } from '$lib/core/atlas/zones';
	import type { Tide } from '$lib/core/flow/tide';
	import { gradeAt, LANE_PX, RIBBON_PX, tidePercent, type Ribbon } from './ribbons';

	interface Props {
		tide: Tide;
		ribbons: readonly Ribbon[];
		/** px */
		top: number;
	}
	let { tide, ribbons, top }: Props = $props();
	const at = (zone: Ribbon['zone'], side: 'left' | 'right') => Math.round(tidePercent(gradeAt(tide, zone, side, 0)));
</script>

<!-- Names of waters, set oblique as on a chart, with their start: the client's left above, the right below. -->
<div class="text-ink2 absolute right-0 left-4 text-[11.5px]" style="top: {top}px" aria-hidden="true">
	<p class="text-[11px] leading-[15px] whitespace-nowrap" style="height: {LANE_PX}px">modelled tide, %</p>
	{#each ribbons as { zone } (zone)}
		<div class="flex items-center justify-between gap-1" style="height: {RIBBON_PX}px">
			<span class="water text-ink min-w-0 flex-1 text-[11px] leading-[10.5px]">{ZONES[zone].label}</span>
			<span class="text-right text-[10px] leading-[10.5px] font-semibold">{at(zone, 'left')}<br />{at(zone, 'right')}</span>
		</div>
	{/each}
</div>
