<script lang="ts">
	import type { View } from '$lib/core/atlas/geometry';
	import type { Side } from '$lib/core/atlas/places';
	import type { Step } from '$lib/core/step/step.schema';
	import { placeMarks, placeState } from './placeMarks';
	import { polyline } from './strokeShape';

	interface Props {
		view: View;
		step: Step;
		side: Side;
		/** The place that is worked, from 0; null: none yet. */
		atHand: number | null;
		/** Part of the present repetition that is over, 0..1; null at rest. */
		beat: number | null;
		/** Worked now, or the side that comes next. */
		now: boolean;
	}
	let { view, step, side, atHand, beat, now }: Props = $props();
	const marks = $derived(placeMarks(view, step.places, side, now ? atHand : null));
	const press = $derived(beat === null ? 0 : Math.sin(Math.PI * beat));
	/** From the place at hand to the next one: where the hands go then. */
	const link = $derived.by(() => {
		if (!now || atHand === null) return '';
		const [a, b] = [atHand, atHand + 1].map((i) => marks.find((m) => m.index === i));
		return a && b ? polyline([a.at, b.at]) : '';
	});
	const colour = $derived(now ? 'var(--brush)' : 'var(--route)');
</script>

<!-- One mark a place: done is a full disc, the one at hand the largest with a double ring, the next one dashed and linked, the rest small. -->
{#snippet number(at: readonly [number, number], index: number, size: number, fill: string)}
	<text x={at[0]} y={at[1] + size * 0.35} text-anchor="middle" font-size={size} font-weight="640" {fill}>{index + 1}</text>
{/snippet}
{#if link}<path d={link} fill="none" stroke={colour} stroke-width="2" stroke-dasharray="0.1 5" stroke-linecap="round" />{/if}
{#each marks as { index, at } (index)}
	{@const state = now && atHand !== null ? placeState(index, atHand) : 'to-come'}
	{@const [cx, cy] = at}
	<g data-place={index} data-state={state}>
		{#if state === 'at-hand'}
			<circle {cx} {cy} r={19 + 3 * press} fill="none" stroke={colour} stroke-width="1.6" />
			<circle {cx} {cy} r={15.4 - 1.6 * press} fill="var(--sheet)" stroke={colour} stroke-width="3.4" />
			{@render number(at, index, 19, 'var(--ink)')}
		{:else if state === 'done'}
			<circle {cx} {cy} r="9.4" fill="var(--openfill)" stroke="var(--open)" stroke-width="1.2" />
			{@render number(at, index, 11, 'var(--gapnum, var(--ink))')}
		{:else if state === 'next'}
			<circle {cx} {cy} r="10.4" fill="var(--sheet)" stroke={colour} stroke-width="1.8" stroke-dasharray="3.4 2.6" />
			{@render number(at, index, 12, 'var(--ink)')}
		{:else}
			<circle
				{cx}
				{cy}
				r="8.4"
				fill="var(--sheet)"
				fill-opacity={now ? 0.9 : 0.5}
				stroke={colour}
				stroke-width="1.4"
				stroke-dasharray={now ? undefined : '2 2.6'}
			/>
			{@render number(at, index, 10, now ? 'var(--ink)' : 'var(--ink2)')}
		{/if}
	</g>
{/each}
