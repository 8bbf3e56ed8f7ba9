<script lang="ts">
	import type { View } from '$lib/core/atlas/geometry';
	import { SIDES } from '$lib/core/atlas/places';
	import { zoneOf } from '$lib/core/atlas/regionOf';
	import type { Mark } from '$lib/core/client/common.schema';
	import { sided, type SidedZone } from '$lib/core/client/sidedZone';
	import { placeWords, type AllowedLine } from '$lib/core/screening/allowed';
	import type { Limit } from '$lib/core/screening/limit.schema';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import FaceMap from '../../parts/map/FaceMap.svelte';
	import LimitMarks from '../../parts/map/LimitMarks.svelte';

	interface Props {
		limits: readonly Limit[];
		lines: readonly AllowedLine[];
		marks: readonly Mark[];
		ghost: readonly Limit[];
		/** Places that an answer or a mark is about to name. */
		chosen: readonly SidedZone[];
		/** The map is asked for a place. */
		asks: boolean;
		onpick: (place: SidedZone) => void;
	}
	let { limits, lines, marks, ghost, chosen, asks, onpick }: Props = $props();
	let view = $state<View>('front');
	let low = $state(false);
	let named = $state('');
	const numbered = $derived(lines.filter((l) => l.places.length && !l.onlySaid));
	const selected = $derived(
		chosen.flatMap((place) =>
			SIDES.filter((side) => place.endsWith(`:${side}`)).map((side) => ({ place: place.split(':')[0] as 'malar', side }))
		)
	);
</script>

<div class="flex flex-wrap items-center justify-between gap-2">
	<Segmented
		label="View"
		value={view}
		options={[
			{ value: 'front', label: 'Front' },
			{ value: 'profile', label: 'Profile' }
		]}
		onchange={(v) => (view = v)}
	/>
	<Segmented
		label="Look at"
		value={low ? 'chest' : 'head'}
		options={[
			{ value: 'head', label: 'Head and neck' },
			{ value: 'chest', label: 'To the chest' }
		]}
		onchange={(v) => (low = v === 'chest')}
	/>
</div>
<div class="relative min-h-0">
	{#if view === 'front'}<p class="text-ink flex justify-between pt-1 text-[11.5px] font-semibold">
			<span>Client’s right</span><span>Client’s left</span>
		</p>{:else}<p class="text-ink pt-1 text-[11.5px] font-semibold">Client’s left</p>{/if}
	<div class="h-[456px] {asks ? 'ring-primary rounded-lg ring-2' : ''}">
		<FaceMap
			{view}
			orientation="facing"
			wide={low}
			showNodes={false}
			{selected}
			spoken={(pick) => placeWords(limits, sided(zoneOf(pick.place), pick.side))}
			label={asks ? 'Map. Choose where it is.' : 'Map of what today allows. A place says what holds there.'}
			onpick={({ place, side }) => onpick(sided(zoneOf(place), side))}
			bind:named
		>
			{#snippet over()}<LimitMarks {view} {limits} {ghost} lines={numbered} {marks} wide={low} />{/snippet}
		</FaceMap>
	</div>
	<p class="text-ink2 min-h-5 text-center text-[12.5px]" aria-hidden="true">{named || (asks ? 'Choose where it is' : '')}</p>
</div>
<ul class="text-ink2 flex flex-wrap gap-x-4 gap-y-1 text-[12px]" aria-label="Signs on the map">
	<li class="flex items-center gap-1.5"><i class="hatch border-flag h-3 w-5 border text-(--flag)"></i>left out</li>
	<li class="flex items-center gap-1.5"><i class="hatch back border-ink2 h-3 w-5 border border-dashed text-(--ink2)"></i>waits</li>
	<li class="flex items-center gap-1.5"><i class="dots h-3 w-5"></i>limited</li>
	<li>numbers as in the list</li>
</ul>

<style>
	.hatch {
		background: repeating-linear-gradient(-45deg, currentcolor 0 2px, transparent 2px 5px);
	}
	.hatch.back {
		background: repeating-linear-gradient(45deg, currentcolor 0 1px, transparent 1px 5px);
	}
	.dots {
		background: radial-gradient(var(--ink2) 1px, transparent 1.4px) 0 0 / 5px 5px;
	}
</style>
