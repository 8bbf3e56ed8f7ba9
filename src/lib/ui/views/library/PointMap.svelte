<script lang="ts">
	import { MIDLINE_X, type View } from '$lib/core/atlas/geometry';
	import type { PointCode } from '$lib/core/point/codes';
	import type { PointInfo } from '$lib/core/point/points';
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
			aria-label="{p.code}: {p.find}"
			aria-pressed={open}
			onclick={() => onopen(p.code)}
			onkeydown={(e) => (e.key === 'Enter' || e.key === ' ') && (e.preventDefault(), onopen(p.code))}
		>
			<circle cx={p.at[0]} cy={p.at[1]} r="14" fill="transparent" />
			{#if open}<circle cx={p.at[0]} cy={p.at[1]} r="11" fill="var(--primary)" />{/if}
			{#if open}<text x={p.at[0] + 16} y={p.at[1] + 6} font-size="18" font-weight="600" fill="var(--line)">{p.code}</text>{/if}
			<circle cx={p.at[0]} cy={p.at[1]} r={open ? 4.5 : 5} fill={open ? 'var(--onink)' : 'var(--point)'} />
		</g>
	{/each}
</svg>
