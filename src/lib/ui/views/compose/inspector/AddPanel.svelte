<script lang="ts">
	import { untrack } from 'svelte';
	import X from '@lucide/svelte/icons/x';
	import { labelOf, placeOf, whereOf, type PlaceRef } from '$lib/core/atlas/places';
	import { doseText } from '$lib/core/step/describe';
	import { fillPath } from '$lib/core/atlas/route';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import type { School } from '$lib/core/school/school.schema';
	import type { Level } from '$lib/core/step/levels';
	import type { Step } from '$lib/core/step/step.schema';
	import { inDirection } from '$lib/core/technique/offers';
	import type { Technique } from '$lib/core/technique/technique.schema';
	import { AIMS } from '$lib/core/vocabulary/vocabulary';
	import type { Techniques } from '$lib/state/techniques.svelte';
	import AimGlyph from '../../../parts/glyphs/AimGlyph.svelte';
	import Arrow from '../../../parts/glyphs/Arrow.svelte';
	import Footprint from '../../../parts/glyphs/Footprint.svelte';
	import Ripples from '../../../parts/glyphs/Ripples.svelte';

	interface Props {
		/** The places chosen on the map, in order; empty offers the moves that touch no place. */
		places: readonly PlaceRef[];
		school: School;
		/** The user's own techniques that the sequence carries. */
		carried: readonly Technique[];
		/** The steps of the sequence: what was used before is likely to be wanted again. */
		used?: readonly PlacedStep[];
		library: Techniques;
		/** With a way of its own where the choice is a stroke from one place. */
		onadd: (technique: Technique, way: readonly PlaceRef[]) => void;
		oncancel: () => void;
		/** The step that a choice would add: its count and pressure are shown, not those of the library. */
		madeOf?: (technique: Technique, way: readonly PlaceRef[]) => Pick<Step, 'dose' | 'pressure' | 'levels'>;
		/** The first offer takes the focus: the choice was made by keys. */
		byKeys?: boolean;
	}
	let { places, school, carried, used = [], library, onadd, oncancel, madeOf, byKeys = false }: Props = $props();
	const way = $derived(places.length > 1 ? fillPath(places, school.cheekRoute) : places);
	const usedIds = $derived(new Set(used.flatMap((s) => s.step.techniqueId ?? [])));
	const suiting = $derived(places.length ? library.suiting(places.map(placeOf), carried) : library.all.filter((t) => t.shape === 'none'));
	/** Likeliest first: what goes the way that was drawn; of that what this sequence uses already, then as the library has it. */
	const fitting = $derived(inDirection([...suiting.filter((t) => usedIds.has(t.id)), ...suiting.filter((t) => !usedIds.has(t.id))], way));
	/** From one place, strokes that usually begin there. */
	const strokes = $derived(
		places.length === 1
			? library.all.flatMap((technique) => {
					const usual = technique.shape === 'stroke' ? technique.paths.find((p) => placeOf(p[0]!) === placeOf(places[0]!)) : undefined;
					return usual ? [{ technique, way: usual }] : [];
				})
			: []
	);
	const peakOf = (step: Pick<Step, 'pressure' | 'levels'>, { pressure }: Technique): Level =>
		step.pressure ?? (step.levels ? (Math.max(...step.levels) as Level) : pressure.default);
	let list: HTMLUListElement | undefined = $state();
	$effect(() => {
		if (byKeys && library.loaded && places.length) untrack(() => list?.querySelector<HTMLElement>('[data-technique]')?.focus());
	});
	let wish = $state('');
	const asked = (t: Technique) => `${t.title} ${AIMS[t.aim]} ${t.why}`.toLowerCase().includes(wish.trim().toLowerCase());
	const low = (ref: PlaceRef, i: number) => (i ? whereOf(placeOf(ref)) : labelOf(placeOf(ref)));
	const toEnd = (path: readonly PlaceRef[]) => `to ${whereOf(placeOf(path.at(-1)!))}`;
</script>

{#snippet move(technique: Technique, path: readonly PlaceRef[], note: string)}
	{@const made = madeOf?.(technique, path)}
	{@const level = made ? peakOf(made, technique) : technique.pressure.default}
	<li>
		<button
			type="button"
			class="hover:bg-wash border-hair grid w-full grid-cols-[20px_minmax(0,1fr)_22px_26px_48px] items-center gap-2 border-b px-1.5 py-1.5 text-left"
			data-technique={technique.id}
			onclick={() => onadd(technique, path)}
		>
			<AimGlyph aim={technique.aim} />
			<span class="min-w-0">
				<span class="block truncate font-[530]">{technique.title}</span>
				<span class="text-ink2 block truncate text-[11.5px]" title={technique.why}>{AIMS[technique.aim]}{note}. {technique.why}</span>
			</span>
			<Footprint contact={technique.contact} tool={technique.tool?.id} />
			<Ripples {level} size={24} />
			<span class="text-right text-xs">{doseText(made?.dose ?? technique.dose).replace(/ breaths?/, ' br')}</span>
		</button>
	</li>
{/snippet}

<div class="flex items-start gap-2">
	<div class="min-w-0 flex-1">
		<h2 class="text-[15px] leading-5 font-[560]">
			{#if way.length}{#each way as ref, i (`${ref}${i}`)}{#if i}<Arrow />{/if}{low(ref, i)}{/each}{:else}Moves for the whole face{/if}
		</h2>
		<p class="text-ink2 mt-0.5 text-xs">
			{#if places.length === 1}Choose a move, or tap a second place for a stroke.
			{:else if places.length}The path follows the drainage. Choose a move.
			{:else}These need no place.{/if}
		</p>
	</div>
	<button type="button" class="icon-btn" aria-label="Cancel" onclick={oncancel}><X size={16} /></button>
</div>
{#if fitting.length + strokes.length > 8}
	<input
		autocomplete="off"
		type="search"
		class="field mt-2 min-h-7 py-0.5 text-xs"
		aria-label="Find a move"
		placeholder="Find a move"
		bind:value={wish}
	/>
{/if}
<ul bind:this={list} class="mt-2 -mr-2 min-h-0 flex-1 overflow-y-auto pr-2" aria-label="Moves that suit">
	{#each fitting.filter(asked) as technique (technique.id)}
		{@render move(technique, places, usedIds.has(technique.id) ? ', used here' : '')}
	{/each}
	{#each strokes.filter((s) => asked(s.technique)) as s (s.technique.id)}
		{@render move(s.technique, s.way, ` ${toEnd(s.way)}`)}
	{/each}
	{#if library.loaded && !fitting.some(asked) && !strokes.some((s) => asked(s.technique))}
		<li class="text-ink2 py-3 text-xs">
			{wish ? 'No move here has these words.' : 'No move of the library suits this path. Start from another place, or tap one place only.'}
		</li>
	{/if}
</ul>
