<script lang="ts">
	import type { View } from '$lib/core/atlas/geometry';
	import type { Step } from '$lib/core/step/step.schema';
	import Figure from './Figure.svelte';
	import StrokeMark from './StrokeMark.svelte';
	import { drawnSides } from './drawnSides';
	import { frameOf, turnOf, type Orientation } from './orientation';
	import { pathPoints } from './strokeShape';

	interface Props {
		step: Step;
		orientation: Orientation;
		label: string;
	}
	let { step, orientation, label }: Props = $props();
	const uid = $props.id();
	/** The view that shows all of the way; profile for what the front hides. */
	const view = $derived<View>(step.places.every((p) => pathPoints('front', [p], 'left').length) ? 'front' : 'profile');
	const wide = $derived(step.places.some((p) => ['decollete', 'shoulder', 'axilla', 'n:axillary'].includes(p)));
	const frame = $derived(frameOf(view, wide));
	const turn = $derived(turnOf(view, orientation, frame));
</script>

<svg
	viewBox="{frame.x} {frame.y} {frame.width} {frame.height}"
	class="w-full"
	style="aspect-ratio: 524 / 654"
	role="img"
	aria-label={label}
>
	<g transform={turn || undefined}>
		<Figure {view} {uid} {wide} plain />
		{#each drawnSides(step, view, null) as mark (mark.side)}<StrokeMark {view} {step} side={mark.side} now={mark.now} small />{/each}
	</g>
</svg>
