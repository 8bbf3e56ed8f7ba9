<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import { labelOf, placeOf, whereOf, type PlaceRef } from '$lib/core/atlas/places';
	import { doseText } from '$lib/core/sequence/describe';
	import { fillPath } from '$lib/core/sequence/route';
	import type { School } from '$lib/core/school/school.schema';
	import { TECHNIQUES, techniquesFor } from '$lib/core/technique/library';
	import type { Technique } from '$lib/core/technique/technique.schema';
	import { AIMS } from '$lib/core/technique/vocabulary';
	import AimGlyph from '../glyphs/AimGlyph.svelte';
	import Arrow from '../glyphs/Arrow.svelte';
	import Footprint from '../glyphs/Footprint.svelte';
	import Ripples from '../glyphs/Ripples.svelte';

	interface Props {
		/** The places chosen on the map, in order; empty offers the moves that touch no place. */
		places: readonly PlaceRef[];
		school: School;
		onadd: (technique: Technique) => void;
		oncancel: () => void;
	}
	let { places, school, onadd, oncancel }: Props = $props();
	const way = $derived(places.length > 1 ? fillPath(places, school.cheekRoute) : places);
	const offered = $derived(places.length ? techniquesFor(places.map(placeOf)) : TECHNIQUES.filter((t) => t.shape === 'none'));
	const low = (ref: PlaceRef, i: number) => (i ? whereOf(placeOf(ref)) : labelOf(placeOf(ref)));
</script>

<div class="flex items-start gap-2">
	<div class="min-w-0 flex-1">
		<h2 class="text-[15px] leading-5 font-[560]">
			{#if way.length}{#each way as ref, i (`${ref}${i}`)}{#if i}<Arrow />{/if}{low(ref, i)}{/each}{:else}Moves for the whole face{/if}
		</h2>
		<p class="text-ink2 mt-0.5 text-xs">
			{#if places.length === 1}Choose a move, or tap a second place for a stroke.
			{:else if places.length}The way follows the drainage. Choose a move.
			{:else}These need no place.{/if}
		</p>
	</div>
	<button type="button" class="icon-btn" aria-label="Cancel" onclick={oncancel}><X size={16} /></button>
</div>
<ul class="mt-2 -mr-2 min-h-0 flex-1 overflow-y-auto pr-2" aria-label="Moves that suit">
	{#each offered as technique (technique.id)}
		<li>
			<button
				type="button"
				class="hover:bg-wash border-hair grid w-full grid-cols-[20px_minmax(0,1fr)_22px_26px_48px] items-center gap-2 border-b py-1.5 text-left"
				data-technique={technique.id}
				onclick={() => onadd(technique)}
			>
				<AimGlyph aim={technique.aim} />
				<span class="min-w-0">
					<span class="block truncate font-[530]">{technique.title}</span>
					<span class="text-ink2 block truncate text-[11.5px]" title={technique.why}>{AIMS[technique.aim]}. {technique.why}</span>
				</span>
				<Footprint contact={technique.contact} tool={technique.tool?.id} />
				<Ripples level={technique.pressure.default} size={24} />
				<span class="text-right text-xs">{doseText(technique.dose).replace(/ breaths?/, ' br')}</span>
			</button>
		</li>
	{:else}
		<li class="text-ink2 py-3 text-xs">No move of the library suits this path. Start from another place, or tap one place only.</li>
	{/each}
</ul>
