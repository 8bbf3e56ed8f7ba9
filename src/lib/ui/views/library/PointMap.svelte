<script lang="ts">
	import { MIDLINE_X, type Point, type View } from '$lib/core/atlas/geometry';
	import type { PointCode } from '$lib/core/point/codes';
	import type { PointInfo } from '$lib/core/point/points';
	import { labelSpot } from './pointLabels';
	import Figure from '../../parts/map/Figure.svelte';
	import { frameOf } from '../../parts/map/orientation';

	interface Props {
		view: View;
		points: readonly PointInfo[];
		openCode: PointCode;
		onopen: (code: PointCode) => void;
	}
	let { view, points, openCode, onopen }: Props = $props();
	const uid = $props.id();
	const frame = $derived(frameOf(view, false));
	const twin = (p: PointInfo) => view === 'front' && !p.midline;
	const opened = $derived(points.find((p) => p.code === openCode && p.view === view));
	/** Marks that a label leaves free: the other points, and every twin on the client’s right. */
	const others = $derived(
		points
			.filter((p) => p.view === view)
			.flatMap((p): Point[] => [...(p.code === openCode ? [] : [p.at]), ...(twin(p) ? [[2 * MIDLINE_X - p.at[0], p.at[1]] as const] : [])])
	);
</script>

<svg
	viewBox="{frame.x} {frame.y} {frame.width} {frame.height}"
	preserveAspectRatio="xMidYMin meet"
	class="h-full w-full"
	role="group"
	aria-label="Points, {view}"
>
	<Figure {view} {uid} wide={false} />
	{#each points.filter((p) => p.view === view) as p (p.code)}
		{@const open = p.code === openCode}
		{#if twin(p)}<circle
				cx={2 * MIDLINE_X - p.at[0]}
				cy={p.at[1]}
				r={open ? 7 : 4}
				fill="none"
				stroke={open ? 'var(--line)' : 'var(--point)'}
				stroke-width={open ? 3 : 1.6}
			/>{/if}
		<g
			role="button"
			tabindex="0"
			class="cursor-pointer"
			aria-label="{p.code} {p.name}: {p.find}"
			aria-pressed={open}
			onclick={() => onopen(p.code)}
			onkeydown={(e) => (e.key === 'Enter' || e.key === ' ') && (e.preventDefault(), onopen(p.code))}
		>
			<circle cx={p.at[0]} cy={p.at[1]} r="14" fill="transparent" />
			{#if open}<circle cx={p.at[0]} cy={p.at[1]} r="11" fill="var(--primary)" />{/if}
			<circle cx={p.at[0]} cy={p.at[1]} r={open ? 4.5 : 5} fill={open ? 'var(--onink)' : 'var(--point)'} />
		</g>
	{/each}
	{#if opened}
		{@const text = `${opened.code} ${opened.name}`}
		{@const spot = labelSpot(opened.at, text.length, others)}
		<text
			x={spot.x}
			y={spot.y}
			text-anchor={spot.anchor}
			font-size="18"
			font-weight="600"
			fill="var(--line)"
			class="label"
			aria-hidden="true">{text}</text
		>
	{/if}
</svg>

<style>
	.label {
		paint-order: stroke;
		stroke: var(--skin);
		stroke-width: 4px;
		pointer-events: none;
	}
</style>
