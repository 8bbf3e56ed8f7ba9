<script lang="ts">
	import type { View } from '$lib/core/atlas/geometry';
	import { contactText, doseText, sideText, stepTitle } from '$lib/core/step/describe';
	import { LEVEL_NAMES } from '$lib/core/step/levels';
	import { peakLevel } from '$lib/core/step/levelsOf';
	import type { Step } from '$lib/core/step/step.schema';
	import { AIMS } from '$lib/core/vocabulary/vocabulary';
	import FaceMap from '../map/FaceMap.svelte';
	import { frameOf, sideOnViewersLeft, type Orientation } from '../map/orientation';
	import type { OpenNodes, ZoneTint } from '../map/mapTypes';

	interface Props {
		view: View;
		orientation: Orientation;
		tints: readonly ZoneTint[];
		open: OpenNodes;
		step: Step | null;
		/** Number of the step, shown before its title. */
		number: number;
		title: string;
	}
	let { view, orientation, tints, open, step, number, title }: Props = $props();
	const frame = $derived(frameOf(view, false));
	const height = $derived(frame.height + 132);
	const left = $derived(sideOnViewersLeft(orientation));
	const hand = $derived(step ? contactText(step).toLowerCase() : '');
</script>

<svg
	width={frame.width}
	{height}
	viewBox="0 0 {frame.width} {height}"
	role="img"
	aria-label="{title}, {step ? stepTitle(step) : 'face map'}"
>
	<rect width={frame.width} {height} fill="var(--paper)" />
	<text x="20" y="32" font-size="20" font-weight="540" fill="var(--ink)">{step ? `${number}. ${stepTitle(step)}` : title}</text>
	<text x="20" y="52" font-size="13" fill="var(--ink2)"
		>{step
			? `${AIMS[step.aim]}, ${hand}, ${LEVEL_NAMES[peakLevel(step)]}, ${doseText(step.dose)}, ${sideText(step.side)}`
			: 'Face map'}</text
	>
	<svg x="0" y="62" width={frame.width} height={frame.height}>
		<FaceMap {view} {orientation} {tints} {open} {step} label={title} />
	</svg>
	{#if view === 'front'}
		<text x="20" y={height - 52} font-size="12" font-weight="600" fill="var(--ink)">Client’s {left}</text>
		<text x={frame.width - 20} y={height - 52} font-size="12" font-weight="600" text-anchor="end" fill="var(--ink)"
			>Client’s {left === 'left' ? 'right' : 'left'}</text
		>
	{:else}<text x="20" y={height - 52} font-size="12" font-weight="600" fill="var(--ink)">Client’s left</text>{/if}
	<g transform="translate(20 {height - 24})" font-size="12" fill="var(--ink2)">
		<circle cx="6" cy="-4" r="5" fill="var(--sheet)" stroke="var(--open)" stroke-width="2" /><text x="18">open nodes</text>
		<path d="M106 -3C114 -8 122 -7 132 -4" fill="none" stroke="var(--brush)" stroke-width="4" stroke-linecap="round" /><text x="140"
			>stroke</text
		>
		<path d="M196 -4H222" stroke="var(--route)" stroke-width="2" stroke-dasharray="0.1 5" stroke-linecap="round" /><text x="230"
			>other side, or on to the outlet</text
		>
		<path d="M402 -4q3 -4 6 0t6 0t6 0" fill="none" stroke="var(--waterline)" stroke-width="1.6" /><text x="428">grade</text>
	</g>
</svg>
