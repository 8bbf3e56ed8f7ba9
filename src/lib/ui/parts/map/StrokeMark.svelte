<script lang="ts">
	import { motionRow } from '$lib/core/vocabulary/vocabulary';
	import type { View } from '$lib/core/atlas/geometry';
	import type { Side } from '$lib/core/atlas/places';
	import type { Step } from '$lib/core/step/step.schema';
	import { peakLevel } from '$lib/core/step/levelsOf';
	import { isStationary } from '$lib/core/vocabulary/vocabulary';
	import type { Finger } from './finger';
	import { doseAtOf } from '$lib/core/step/doseAt';
	import HandMark from './HandMark.svelte';
	import { placeMarks } from './placeMarks';
	import PlaceMarks from './PlaceMarks.svelte';
	import SpotMark from './SpotMark.svelte';
	import { brush, endAngle, offset, partOf, pathPoints, pointAlong, polyline, smooth } from './strokeShape';

	interface Props {
		view: View;
		step: Step;
		side: Side;
		/** The side being worked is drawn full, the next one as a dotted route. */
		now: boolean;
		/** The hand, where it works on this side. */
		finger?: Finger | null;
		/** Beside the stroke that is meant: thinner, so that the first one leads. */
		faint?: boolean;
		/** Thin and without halo, for a face of a few centimetres. */
		small?: boolean;
	}
	let { view, step, side, now, finger = null, faint = false, small = false }: Props = $props();

	const points = $derived(pathPoints(view, step.places, side));
	const several = $derived(doseAtOf(step) === 'each-place');
	const spot = $derived(points.length === 1 || (points.length > 0 && isStationary(step.motion)));
	/** Held together, each is a mark of its own all the same. */
	const spots = $derived(spot ? placeMarks(view, step.places, side).map((m) => m.at) : []);
	const line = $derived(smooth(points));
	const gap = $derived(small ? 20 : 13);
	const lanes = $derived(Array.from({ length: step.lanes }, (_, i) => offset(line, (i - (step.lanes - 1) / 2) * gap)));
	const level = $derived(peakLevel(step));
	const link = $derived(
		step.end.kind === 'link' && points.length ? smooth([points.at(-1)!, ...pathPoints(view, step.end.places, side)]) : []
	);
	const stations = $derived(step.stations ? pathPoints(view, step.stations.places, side) : []);
	const support = $derived(step.support?.place ? (pathPoints(view, [step.support.place], side)[0] ?? null) : null);
	/** Half width of the brush at its fullest: it grows with the pressure. */
	const half = $derived(((small ? 9 : 6.4) + 0.9 * level) * (faint ? 0.6 : 1));
	const chevrons = $derived([0.4, 0.75].map((u) => line.slice(0, Math.max(2, Math.round(u * line.length)))));
	const lane = $derived(finger?.kind === 'work' || finger?.kind === 'station' ? Math.min(step.lanes, finger.lane) - 1 : -1);
	const at = $derived(
		finger && line.length > 1 && !spot ? pointAlong(finger.kind === 'link' ? link : (lanes[Math.max(0, lane)] ?? line), finger.along) : null
	);
</script>

{#snippet head(way: readonly (readonly [number, number])[], width: number, colour: string, size = 8)}
	{@const end = way.at(-1)!}
	<path
		d="M{-size} {-0.95 * size}L0 0L{-size} {0.95 * size}"
		transform="translate({end[0]} {end[1]}) rotate({endAngle(way)})"
		fill="none"
		stroke={colour}
		stroke-width={width}
		stroke-linecap="round"
		stroke-linejoin="round"
	/>
{/snippet}

<g aria-hidden="true" style="pointer-events: none">
	{#if link.length > 1}
		<path
			d={polyline(link)}
			fill="none"
			stroke="var(--route)"
			stroke-width={small ? 4 : 2}
			stroke-dasharray="0.1 {small ? 9 : 5}"
			stroke-linecap="round"
		/>
		{@render head(link, small ? 3 : 1.8, 'var(--route)')}
	{/if}
	{#if support}<HandMark x={support[0]} y={support[1]} stays={step.support?.stays ?? false} />{/if}
	{#if several && !small}
		<PlaceMarks {view} {step} {side} {now} atHand={finger?.place ?? null} beat={finger?.kind === 'work' ? finger.beat : null} />
	{:else if spot}
		<SpotMark
			points={spots}
			{step}
			{now}
			{small}
			beat={finger?.kind === 'work' ? finger.beat : null}
			mirrored={side === 'right' && view === 'front'}
		/>
	{:else if !points.length}
		<!-- The step touches no place of this view. -->
	{:else if now}
		{#each lanes as way, i (i)}
			{#if !small}<path d={brush(way, half + 2)} fill="var(--sheet)" fill-opacity="0.85" />{/if}
			<path
				d={brush(way, half)}
				fill="var(--brush)"
				fill-opacity={finger && (lane < 0 || i === lane) ? 0.45 : lane >= 0 && i > lane ? 0.45 : 1}
			/>
			{#if finger && i === lane}<path d={brush(partOf(way, finger.along), half)} fill="var(--brush)" />{/if}
			{#if !small}
				<path
					d={polyline(offset(way, 2.2).slice(Math.round(way.length * 0.35), Math.round(way.length * 0.72)))}
					fill="none"
					stroke="var(--sheet)"
					stroke-width="0.9"
					stroke-opacity="0.55"
				/>
			{/if}
			{#if !motionRow(step.motion).headless}{@render head(way, small ? 5 : 3, 'var(--brush)', small ? 16 : 11)}{/if}
			{#if step.reverse}
				{@const home = offset([...way].reverse(), small ? 16 : 11)}
				<path d={polyline(home)} fill="none" stroke="var(--brush)" stroke-width={small ? 3 : 1.7} stroke-linecap="round" />
				{@render head(home, small ? 3 : 1.9, 'var(--brush)')}
			{/if}
		{/each}
	{:else}
		<path
			d={polyline(line)}
			fill="none"
			stroke="var(--route)"
			stroke-width={small ? 4 : 1.9}
			stroke-dasharray="0.1 {small ? 9 : 5}"
			stroke-linecap="round"
			stroke-opacity="0.8"
		/>
		{#each chevrons as way (way.length)}{@render head(way, small ? 3 : 1.8, 'var(--route)')}{/each}
	{/if}
	{#each stations as [x, y], i (i)}
		<circle cx={x} cy={y} r={small ? 11 : 7} fill="var(--sheet)" stroke="var(--brush)" stroke-width={small ? 4 : 2.4} />
		<circle cx={x} cy={y} r={small ? 4 : 2.4} fill="var(--brush)" />
	{/each}
	{#if at}
		<HandMark x={at[0]} y={at[1]} contact={step.contact} tool={step.tool?.id} lifted={finger?.kind === 'work' && finger.beat > 0.8} />
	{/if}
</g>
