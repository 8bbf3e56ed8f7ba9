<script lang="ts">
	import { FIGURE } from '$lib/core/atlas/geometry';
	import { SIDES, type Side } from '$lib/core/atlas/places';
	import type { OpenNodes } from '../../parts/map/mapTypes';
	import type { Position } from '$lib/core/perform/position';
	import type { Limit } from '$lib/core/screening/limit.schema';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { doseAtOf } from '$lib/core/step/doseAt';
	import { stepTitle } from '$lib/core/step/describe';
	import type { Step } from '$lib/core/step/step.schema';
	import FaceMap from '../../parts/map/FaceMap.svelte';
	import LimitMarks from '../../parts/map/LimitMarks.svelte';
	import { fingerAt } from '../../parts/map/finger';
	import { focusFrame } from '../../parts/map/orientation';
	import { pathPoints } from '../../parts/map/strokeShape';

	interface Props {
		step: Step;
		position: Position;
		orientation: Sequence['orientation'];
		open: OpenNodes;
		/** What that day allowed her, drawn on the face while one works. */
		limits: readonly Limit[];
		/** Whether the hand is shown on its way. */
		moving: boolean;
	}
	let { step, position, orientation, open, limits, moving }: Props = $props();
	let [width, height] = $state([700, 520]);
	const low = $derived(height < 200);
	/** Of several places the one at hand stays marked while it stands still. */
	const stays = $derived(doseAtOf(step) === 'each-place');
	const side = $derived(position.side === 'left' || position.side === 'right' ? position.side : null);
	const view = $derived(step.places.every((r) => pathPoints('front', [r], 'left').length) ? 'front' : 'profile');
	/** Mouth and chin: with them in sight a neck is a neck. */
	const LANDMARKS = [
		[400, 440],
		[400, 585]
	] as const;
	/** It holds the step on both sides, so that it stays still while the side changes. A step without places shows the face. */
	const focus = $derived.by(() => {
		const sides: readonly Side[] = view === 'profile' ? ['left'] : SIDES;
		// A small window shows where the hands are, and not the whole of the way.
		const here = position.event?.places ?? [];
		const drawn = (low ? [here] : [step.places, step.end.kind === 'link' ? step.end.places : []]).filter((way) => way.length);
		const points = sides.flatMap((s) => drawn.flatMap((way) => pathPoints(view, way, s)));
		const whole = [FIGURE.front.zones['forehead-medial']!.centroid, [400, 480], [190, 330], [610, 330]] as const;
		const seen = points.length ? [...points, ...(view === 'front' && !low ? LANDMARKS : [])] : whole;
		return focusFrame(view, orientation, seen, width / Math.max(1, height));
	});
</script>

<span class="fading pointer-events-none absolute inset-0 block" bind:clientWidth={width} bind:clientHeight={height}>
	<FaceMap
		{view}
		{orientation}
		{open}
		{step}
		now={side ?? 'both'}
		{focus}
		finger={moving || stays ? fingerAt(position, step) : null}
		label="Where the hands are: {stepTitle(step)}"
	>
		{#snippet over()}{#if limits.length}<LimitMarks {view} {limits} wide quiet />{/if}{/snippet}
	</FaceMap>
</span>

<style>
	.fading {
		mask-image: linear-gradient(to right, #000 92%, transparent), linear-gradient(to bottom, #000 90%, transparent);
		mask-composite: intersect;
	}
</style>
