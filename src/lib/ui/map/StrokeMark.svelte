<script lang="ts">
	import type { View } from '$lib/core/atlas/geometry';
	import type { Side } from '$lib/core/atlas/places';
	import type { Step } from '$lib/core/sequence/sequence.schema';
	import { peakLevel } from '$lib/core/sequence/walk';
	import { isStationary } from '$lib/core/technique/vocabulary';
	import { brush, endAngle, offset, pathPoints, polyline, smooth } from './strokeShape';

	interface Props {
		view: View;
		step: Step;
		side: Side;
		/** The side being worked is drawn full, the next one as a dotted route. */
		now: boolean;
	}
	let { view, step, side, now }: Props = $props();

	const points = $derived(pathPoints(view, step.places, side));
	const spot = $derived(points.length === 1 || (points.length > 0 && isStationary(step.motion)));
	const line = $derived(smooth(points));
	const lanes = $derived(Array.from({ length: step.lanes }, (_, i) => offset(line, (i - (step.lanes - 1) / 2) * 12)));
	const level = $derived(peakLevel(step));
	const link = $derived(
		step.end.kind === 'link' && points.length ? smooth([points.at(-1)!, ...pathPoints(view, step.end.places, side)]) : []
	);
	const stations = $derived(step.stations ? pathPoints(view, step.stations.places, side) : []);
	const half = $derived(5.6 + 0.9 * level);
	const chevrons = $derived([0.4, 0.75].map((u) => line.slice(0, Math.max(2, Math.round(u * line.length)))));
</script>

{#snippet head(way: readonly (readonly [number, number])[], width: number)}
	{@const end = way.at(-1)!}
	<path
		d="M-8 -7.6L0 0L-8 7.6"
		transform="translate({end[0]} {end[1]}) rotate({endAngle(way)})"
		fill="none"
		stroke={width > 2 ? 'var(--brush)' : 'var(--route)'}
		stroke-width={width}
		stroke-linecap="round"
		stroke-linejoin="round"
	/>
{/snippet}

<g aria-hidden="true" style="pointer-events: none">
	{#if link.length > 1}
		<path d={polyline(link)} fill="none" stroke="var(--route)" stroke-width="1.6" stroke-dasharray="0.1 4.6" stroke-linecap="round" />
		{@render head(link, 1.6)}
	{/if}
	{#if spot}
		{#each points as [x, y], i (i)}
			<circle cx={x} cy={y} r="11" fill="var(--sheet)" fill-opacity={now ? 0.85 : 0.4} />
			{#each { length: Math.max(1, level) } as _, ring (ring)}
				<circle
					cx={x}
					cy={y}
					r={7 + 4.2 * ring}
					fill="none"
					stroke={now ? 'var(--brush)' : 'var(--route)'}
					stroke-width={now ? 2.2 : 1.3}
					stroke-dasharray={now && level > 0 ? undefined : '2 2.6'}
				/>
			{/each}
			<circle cx={x} cy={y} r="3" fill="var(--brush)" opacity={now ? 1 : 0.5} />
		{/each}
	{:else if !points.length}
		<!-- The step touches no place of this view. -->
	{:else if now}
		{#each lanes as lane, i (i)}
			<path d={brush(lane, half + 2)} fill="var(--sheet)" opacity="0.9" />
			<path d={brush(lane, half)} fill="var(--brush)" />
			<path
				d={polyline(offset(lane, 1.8).slice(Math.round(lane.length * 0.35), Math.round(lane.length * 0.7)))}
				fill="none"
				stroke="var(--sheet)"
				stroke-width="0.7"
				stroke-opacity="0.55"
			/>
			<g class="halo">{@render head(lane, 2.8)}</g>
			{#if step.reverse}
				<g opacity="0.8">{@render head([...lane].reverse(), 1.8)}</g>
			{/if}
		{/each}
	{:else}
		<path
			d={polyline(line)}
			fill="none"
			stroke="var(--route)"
			stroke-width="1.6"
			stroke-dasharray="0.1 4.4"
			stroke-linecap="round"
			opacity="0.75"
		/>
		{#each chevrons as way (way.length)}{@render head(way, 1.6)}{/each}
	{/if}
	{#each stations as [x, y], i (i)}
		<circle cx={x} cy={y} r="5.6" fill="var(--sheet)" stroke="var(--brush)" stroke-width="2.2" />
		<circle cx={x} cy={y} r="1.8" fill="var(--brush)" />
	{/each}
</g>
