<script lang="ts">
	import { FIGURE, MIDLINE_X, mirrorPath, nodePoints, type View } from '$lib/core/atlas/geometry';
	import { nodeOf, type PlaceId } from '$lib/core/atlas/places';
	import type { ZoneId } from '$lib/core/atlas/zones';
	import Figure from './Figure.svelte';
	import { frameOf } from './orientation';

	interface Props {
		place: PlaceId;
	}
	let { place }: Props = $props();
	const uid = $props.id();
	const node = $derived(nodeOf(place));
	const shows = (view: View) => (node ? nodePoints(view, node).length > 0 : FIGURE[view].zones[place as ZoneId] !== undefined);
	const areaIn = (view: View) => FIGURE[view].zones[place as ZoneId]?.area ?? 0;
	/** Where it is seen best: what the front shows only as an edge is shown from the side. */
	const view = $derived<View>(shows('front') && (node || areaIn('profile') < 3 * areaIn('front')) ? 'front' : 'profile');
	const wide = $derived(['decollete', 'shoulder', 'axilla', 'n:axillary'].includes(place));
	const frame = $derived(frameOf(view, wide));
	const shape = $derived(node ? null : FIGURE[view].zones[place as ZoneId]!.d);
	const points = $derived(node ? nodePoints(view, node) : []);
</script>

<!-- Where a place lies, on both sides. -->
<svg viewBox="{frame.x} {frame.y} {frame.width} {frame.height}" class="h-[62px] w-[50px] flex-none" aria-hidden="true">
	<Figure {view} {uid} {wide} plain />
	{#if shape}
		<path d={shape} class="fill-drain" fill-opacity="0.75" />
		{#if view === 'front'}<path d={mirrorPath(shape)} class="fill-drain" fill-opacity="0.75" />{/if}
	{/if}
	{#each points as [x, y], i (i)}
		<circle cx={x} cy={y} r="17" class="fill-open" />
		{#if view === 'front'}<circle cx={2 * MIDLINE_X - x} cy={y} r="17" class="fill-open" />{/if}
	{/each}
</svg>
