<script lang="ts">
	import FlipHorizontal2 from '@lucide/svelte/icons/flip-horizontal-2';
	import ZoomOut from '@lucide/svelte/icons/zoom-out';
	import ZoomIn from '@lucide/svelte/icons/zoom-in';
	import type { View } from '$lib/core/atlas/geometry';
	import { placeOf, SIDES, type PlaceRef, type Side } from '$lib/core/atlas/places';
	import { gradeOf } from '$lib/core/measure/look';
	import { PUFFINESS_WORDS, TENSION_WORDS } from '$lib/core/measure/grades';
	import type { Look } from '$lib/core/measure/records.schema';
	import { opennessAt } from '$lib/core/rules/opennessAt';
	import { clock } from '$lib/core/sequence/describe';
	import { setHead } from '$lib/core/sequence/edits';
	import { ZONE_IDS, ZONES } from '$lib/core/atlas/zones';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import TipButton from '../controls/TipButton.svelte';
	import Segmented from '../controls/Segmented.svelte';
	import Select from '../controls/Select.svelte';
	import FaceMap from '../map/FaceMap.svelte';
	import type { Pick, ZoneTint } from '../map/mapTypes';
	import { ORIENTATIONS, sideOnViewersLeft } from '../map/orientation';

	interface Props {
		draft: SequenceDraft;
		/** What was felt last, before the last session of this client. */
		look: Look | null;
		chosen: readonly PlaceRef[];
		chosenSide: Side;
		onpick: (pick: Pick) => void;
		onstroke: (from: Pick, to: Pick) => void;
	}
	let { draft, look, chosen, chosenSide, onpick, onstroke }: Props = $props();

	type Layer = 'puffiness' | 'tension' | 'worked' | 'none';
	let view = $state<View>('front');
	/** Down to the chest: as the user wishes, else when the step lies there. */
	let wideWish = $state<boolean | null>(null);
	const TRUNK = ['decollete', 'shoulder', 'axilla', 'n:axillary'];
	const onTrunk = $derived(draft.selected?.step.places.some((p) => TRUNK.includes(placeOf(p))) ?? false);
	const wide = $derived(wideWish ?? onTrunk);
	let layer = $state<Layer>('puffiness');

	const zones = $derived(draft.judgement.balance.zones);
	const most = $derived(Math.max(1, ...[...zones.values()].flatMap((z) => [z.left.seconds, z.right.seconds])));
	const tints = $derived.by<ZoneTint[]>(() => {
		if (layer === 'none') return [];
		if (layer === 'worked')
			return [...zones].flatMap(([zone, load]) =>
				SIDES.filter((s) => load[s].seconds > 0).map((side) => ({
					zone,
					side,
					strength: 0.06 + (0.42 * load[side].seconds) / most,
					words: `worked ${clock(load[side].seconds)}`
				}))
			);
		const words = layer === 'puffiness' ? PUFFINESS_WORDS : TENSION_WORDS;
		return ZONE_IDS.flatMap((zone) =>
			SIDES.flatMap((side) => {
				const grade = gradeOf(look, layer as 'puffiness', zone, side);
				return grade === null
					? []
					: [
							{
								zone,
								side,
								strength: 0.05 + 0.055 * grade,
								lines: grade,
								words: `${layer} ${grade}, ${words[grade]}`
							}
						];
			})
		);
	});
	const open = $derived(opennessAt(draft.judgement.context, draft.cursorSeconds));
	const event = $derived(
		draft.judgement.events.find((e) => e.stepId === draft.selectedId && e.kind === 'work' && e.endSeconds > draft.cursorSeconds)
	);
	const now = $derived(event?.side === 'left' || event?.side === 'right' ? event.side : null);
	const left = $derived(sideOnViewersLeft(draft.sequence.orientation));
	const readout = $derived(
		SIDES.map((side) => ({
			side,
			rows: tints
				.filter((t) => t.side === side)
				.sort((a, b) => b.strength - a.strength)
				.slice(0, 3)
				.map((t) => ({
					zone: ZONES[t.zone].label,
					value: layer === 'worked' ? clock(zones.get(t.zone)![side].seconds) : String(t.lines)
				}))
		}))
	);
	const when = $derived(look && new Date(look.takenAt).toDateString() === new Date().toDateString() ? 'today' : 'last time');
	const LAYERS = $derived([
		{ value: 'puffiness', label: `Puffiness, ${when}` },
		{ value: 'tension', label: `Tension, ${when}` },
		{ value: 'worked', label: 'Seconds worked' },
		{ value: 'none', label: 'Nothing' }
	] as const);
</script>

<section class="relative flex min-h-[380px] flex-1 flex-col overflow-hidden" aria-label="Map">
	<div class="absolute inset-x-3 top-2.5 z-10 flex items-start justify-between">
		<Segmented
			vertical
			label="View"
			value={view}
			options={[
				{ value: 'front', label: 'Front' },
				{ value: 'profile', label: 'Profile' }
			]}
			onchange={(v) => (view = v)}
		/>
		<div class="flex flex-col gap-1.5">
			<TipButton
				class="btn px-1.5"
				pressed={wide}
				tip={wide ? 'Head and neck only' : 'Show the chest too'}
				onclick={() => (wideWish = !wide)}
				>{#if wide}<ZoomIn size={15} />{:else}<ZoomOut size={15} />{/if}</TipButton
			>
		</div>
	</div>
	<div class="min-h-0 flex-1 pt-1">
		<FaceMap
			{view}
			{wide}
			orientation={draft.sequence.orientation}
			{tints}
			{open}
			step={chosen.length ? null : (draft.selected?.step ?? null)}
			{now}
			selected={chosen.map((ref) => ({ place: ref as Pick['place'], side: chosenSide }))}
			label="Face map. Choose a place, then a move; or drag from place to place for a stroke."
			{onpick}
			{onstroke}
		/>
	</div>
	{#if view === 'front'}
		{#each readout as { side, rows } (side)}
			<div class="pointer-events-none absolute bottom-[62px] w-[112px] text-[11px] {side === left ? 'left-3' : 'right-3'}">
				<b class="text-ink block text-xs">Client’s {side}</b>
				{#each rows as row (row.zone)}
					<span class="text-ink2 flex justify-between gap-1 leading-[15px]"
						><span class="water truncate">{row.zone}</span><span class="text-ink font-[560]">{row.value}</span></span
					>
				{/each}
			</div>
		{/each}
	{:else}
		<p class="text-ink2 absolute bottom-[62px] left-3 text-[11px]">
			<b class="text-ink block text-xs">Client’s left</b>the right is its mirror image
		</p>
	{/if}
	<div class="flex flex-wrap items-center justify-between gap-1.5 px-3 pb-2">
		<Select label="Tint by" value={layer} options={LAYERS} onchange={(l) => (layer = l)} />
		<Select
			label="How you stand"
			value={draft.sequence.orientation}
			options={ORIENTATIONS}
			onchange={(orientation) => draft.do(setHead(draft.sequence, { orientation }, 'Turn the map'))}
		>
			{#snippet mark()}<FlipHorizontal2 size={14} />{/snippet}
		</Select>
	</div>
</section>
