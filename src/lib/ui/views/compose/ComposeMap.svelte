<script lang="ts">
	import { Fetched } from '$lib/state/fetched.svelte';
	import Download from '@lucide/svelte/icons/download';
	import FlipHorizontal2 from '@lucide/svelte/icons/flip-horizontal-2';
	import type { View } from '$lib/core/atlas/geometry';
	import { placeOf, SIDES, type PlaceRef, type Side } from '$lib/core/atlas/places';
	import { zoneOf } from '$lib/core/atlas/regionOf';
	import { sided } from '$lib/core/client/sidedZone';
	import type { Mark } from '$lib/core/client/common.schema';
	import type { Assessment } from '$lib/core/assess/assessment.schema';
	import { findingSpots } from '$lib/core/rules/findingSpots';
	import { opennessAt } from '$lib/core/rules/opennessAt';
	import { setHead } from '$lib/core/sequence/edits';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import type { TideState } from '$lib/state/tide.svelte';
	import PictureMenu from '../../parts/controls/PictureMenu.svelte';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import Select from '../../parts/controls/Select.svelte';
	import FaceMap from '../../parts/map/FaceMap.svelte';
	import { fingerAt } from '../../parts/map/finger';
	import { frameFor, LOOK_WORDS, LOOKS, type LookAt } from '../../parts/map/lookAt';
	import type { PickEvent } from '../../parts/map/mapPointer.svelte';
	import type { Pick } from '../../parts/map/mapTypes';
	import { frameOf, ORIENTATIONS, sideOnViewersLeft, sidesAsSeen } from '../../parts/map/orientation';
	import MapFlags from '../../parts/map/MapFlags.svelte';
	import MapLegend from './MapLegend.svelte';
	import { GRADE_IDS, gradeRow, HEADLINE_GRADE } from '$lib/core/assess/registry';
	import { readoutOf, tintsOf, type CoverageModule, type Layer } from './mapLayers';

	interface Props {
		draft: SequenceDraft;
		/** What was felt last, before the last session of this client. */
		assessment: Assessment | null;
		/** The modelled tide, once it is there. */
		tide: TideState | null;
		/** What is marked on this client’s map. */
		marks: readonly Mark[];
		/** When the client was felt, in words. */
		when: string;
		/** Whose face it is; empty where it is nobody’s. */
		whose: string;
		chosen: readonly PlaceRef[];
		chosenSide: Side;
		/** The cursor runs: the hand is shown wherever it is. */
		playing: boolean;
		onpick: (pick: Pick, event: PickEvent) => void;
		onstroke: (from: Pick, to: Pick) => void;
	}
	let { draft, assessment, tide, marks, when, whose, chosen, chosenSide, playing, onpick, onstroke }: Props = $props();

	let view = $state<View>('front');
	/** What the pointer means, in words. */
	let named = $state('');
	let room = $state(316);
	let tall = $state(420);
	/** A low, wide room has one row of controls. */
	const oneRow = $derived(room >= 560);
	/** Where one looks: as the user wishes, else down to the chest when the step lies there. */
	let lookWish = $state<LookAt | null>(null);
	const TRUNK = ['decollete', 'shoulder', 'axilla', 'n:axillary'];
	const onTrunk = $derived(draft.selected?.step.places.some((p) => TRUNK.includes(placeOf(p))) ?? false);
	const lookAt = $derived<LookAt>(lookWish ?? (onTrunk ? 'chest' : 'head'));
	const orientation = $derived(draft.sequence.orientation);
	const focus = $derived(frameFor(lookAt, view, orientation));
	const shown = $derived(focus ?? frameOf(view, lookAt === 'chest'));
	/** px beside the head as it is drawn in this room: where figures fit. */
	const corner = $derived(Math.max(64, Math.min(150, (room - (tall * shown.width) / shown.height) / 2 + 60)));
	const roomy = $derived(!focus && corner > 110 && tall > 300);
	/** What the user wants to see; until then the tide, which begins with what was felt. */
	let layerWish = $state<Layer | null>(null);
	let waters = $state.raw<typeof import('./tide/mapParts') | null>(null);
	$effect(() => {
		if (tide && !waters) void import('./tide/mapParts').then((m) => (waters = m));
	});
	const run = $derived(tide?.tide ?? null);
	const layer = $derived<Layer>(layerWish ?? (run && waters ? 'tide' : HEADLINE_GRADE));

	/** What today allows the client who is in the chair. */
	const limits = $derived(draft.client?.limits ?? []);
	const limitsDrawn = new Fetched(() => import('../../parts/map/limitsDrawn'));
	$effect(() => void (limits.length && limitsDrawn.want()));
	const judgement = $derived(draft.judgement);
	let coverage = $state.raw<CoverageModule | null>(null);
	$effect(() => {
		if (layer === 'coverage' && !coverage) void import('$lib/core/goal/coverage').then((m) => (coverage = m));
	});
	const tints = $derived(
		layer === 'tide' && run && waters
			? waters.tideTints(run, draft.lookSeconds)
			: tintsOf(
					layer,
					() => draft.sequence,
					() => draft.judgement,
					assessment,
					coverage
				)
	);
	const flags = $derived(layer === 'findings' ? findingSpots(judgement) : []);
	// Openings change slowly: a tenth of a second is close enough, and scrubbing stays light.
	const tenths = $derived(Math.round(draft.cursorSeconds * 10) / 10);
	const nodes = $derived(layer === 'tide' && run && waters ? waters.tideNodes(run, draft.lookSeconds) : null);
	const open = $derived(nodes ? new Map([...nodes].map(([k, n]) => [k, n.open])) : opennessAt(judgement.context, tenths));
	const filled = $derived(nodes ? new Map([...nodes].map(([k, n]) => [k, n.fill])) : undefined);
	const position = $derived(draft.position);
	const onStep = $derived(position.event?.stepId === draft.selectedId);
	const finger = $derived(
		onStep && (playing || position.event!.startSeconds < draft.cursorSeconds)
			? fingerAt(position, draft.steps.find((s) => s.step.id === draft.selectedId)!.step)
			: null
	);
	const event = $derived(
		judgement.events.find((e) => e.stepId === draft.selectedId && e.kind === 'work' && e.endSeconds > draft.cursorSeconds)
	);
	const worked = $derived(onStep ? position.side : event?.side);
	const now = $derived(worked === 'left' || worked === 'right' ? worked : null);
	const left = $derived(sideOnViewersLeft(orientation));
	const LAYERS = $derived([
		{ value: 'tide', label: 'Fluid at the cursor' },
		...GRADE_IDS.map((value) => ({ value, label: `${gradeRow(value).label}, ${when}` })),
		{ value: 'worked', label: 'Seconds worked' },
		{ value: 'coverage', label: 'Goals served' },
		{ value: 'findings', label: 'Findings' },
		{ value: 'none', label: 'Nothing' }
	] as const);
	const picture = () =>
		import('../../parts/picture/mapPicture').then((m) =>
			m.mapPicture({
				view,
				orientation,
				tints,
				open,
				step: draft.selected?.step ?? null,
				number: draft.selected?.number ?? 0,
				title: draft.sequence.title
			})
		);
</script>

{#snippet lower()}
	<Select label="Tint by" value={layer} options={LAYERS} onchange={(l) => (layerWish = l)} />
	<Select
		label="How you stand"
		value={orientation}
		options={ORIENTATIONS}
		onchange={(o) => draft.do(setHead(draft.sequence, { orientation: o }, 'Turn the map'))}
	>
		{#snippet mark()}<FlipHorizontal2 size={14} />{/snippet}
	</Select>
{/snippet}

<section class="flex min-h-0 flex-1 flex-col overflow-hidden" aria-label="Map" data-tour="map">
	<div class="flex flex-none flex-wrap items-center gap-1.5 px-3 pt-1.5 pb-1">
		<Segmented
			label="View"
			value={view}
			options={[
				{ value: 'front', label: 'Front' },
				{ value: 'profile', label: 'Profile' }
			]}
			onchange={(v) => (view = v)}
		/>
		<Select
			label="Look at"
			value={lookAt}
			options={LOOKS.map((value) => ({ value, label: LOOK_WORDS[value] }))}
			onchange={(l) => (lookWish = l)}
			class="min-w-0 text-xs {oneRow ? '' : 'flex-1'}"
		/>
		<PictureMenu label="Export the map" title="{draft.sequence.title} step {draft.selected?.number ?? ''}" {picture}
			><Download size={15} /></PictureMenu
		>
		{#if oneRow}{@render lower()}{/if}
	</div>
	<!-- Sides stand in the corners over the shoulders of the frame, beside the head, never over it. -->
	<div class="relative flex min-h-0 flex-1 flex-col" bind:clientWidth={room} bind:clientHeight={tall}>
		{#if view === 'front' && focus}
			<!-- A close look fills its frame: the sides stand above it. -->
			<p class="flex flex-none justify-between px-3 text-xs font-semibold">
				{#each sidesAsSeen(orientation) as side (side)}<span>Client’s {side}</span>{/each}
			</p>
		{:else if view === 'front'}
			{#each SIDES as side (side)}
				<div
					class="pointer-events-none absolute top-0 z-10 text-[11px] {side === left ? 'left-3' : 'right-3 text-right'}"
					style="width: {corner}px"
				>
					<b class="text-ink block text-xs leading-[15px]">Client’s<br />{side}</b>
					{#each roomy ? readoutOf(tints, side) : [] as row (row.zone)}
						<span class="text-ink2 flex justify-between gap-1 leading-[15px]"
							><span class="water truncate">{row.zone}</span><span class="text-ink font-[560]">{row.value}</span></span
						>
					{/each}
				</div>
			{/each}
		{:else}
			<p class="text-ink2 pointer-events-none absolute top-0 left-3 z-10 w-20 text-[11px] leading-[14px]">
				<b class="text-ink block text-xs">Client’s left</b>the right is its mirror image
			</p>
		{/if}
		<div class="min-h-0 flex-1 pt-1">
			<FaceMap
				{view}
				wide={lookAt === 'chest'}
				{focus}
				fill={false}
				layered
				{orientation}
				{tints}
				{open}
				{filled}
				step={chosen.length ? null : (draft.selected?.step ?? null)}
				{now}
				{finger}
				cheekRoute={draft.sequence.school.cheekRoute}
				selected={chosen.map((ref) => ({ place: ref as Pick['place'], side: chosenSide }))}
				label="Face map. Choose a place, then a move; or drag from place to place for a stroke."
				spoken={(pick) => limitsDrawn.current?.placeWords(limits, sided(zoneOf(pick.place), pick.side)) ?? ''}
				{onpick}
				{onstroke}
				bind:named
			>
				{#snippet over()}{#if limits.length && limitsDrawn.current}<limitsDrawn.current.LimitMarks
							{marks}
							{view}
							{limits}
							wide={lookAt === 'chest'}
							quiet
						/>{/if}{#if layer === 'tide' && run && waters}<waters.TideMapMarks
							{view}
							tide={run}
							seconds={draft.lookSeconds}
						/>{/if}{#if flags.length}<MapFlags {view} {flags} />{/if}{/snippet}
			</FaceMap>
		</div>
		{#if whose && !named}<p class="text-ink2 pointer-events-none absolute inset-x-0 bottom-0.5 z-10 text-center text-[11.5px]">
				<span class="bg-paper/80 rounded px-1">{whose}{assessment ? `, felt ${when}` : ', not felt yet'}</span>
			</p>{/if}
		{#if named}<p class="pointer-events-none absolute inset-x-0 bottom-0.5 z-10 text-center text-[13px] font-semibold" aria-hidden="true">
				<span class="bg-sheet/90 rounded px-1.5">{named}</span>
			</p>{/if}
	</div>
	{#if tall > 380}<MapLegend {layer} />{/if}
	{#if !oneRow}<div class="flex flex-none flex-wrap items-center justify-between gap-1.5 px-3 pt-1 pb-1.5">{@render lower()}</div>{/if}
</section>
