<script lang="ts">
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import Download from '@lucide/svelte/icons/download';
	import LayoutPanelTop from '@lucide/svelte/icons/layout-panel-top';
	import Keyboard from '@lucide/svelte/icons/keyboard';
	import Pause from '@lucide/svelte/icons/pause';
	import Play from '@lucide/svelte/icons/play';
	import ZoomIn from '@lucide/svelte/icons/zoom-in';
	import ZoomOut from '@lucide/svelte/icons/zoom-out';
	import { filmLineOf } from '$lib/core/glide/film';
	import { captionOf } from '$lib/core/perform/caption';
	import type { Severity } from '$lib/core/school/school.schema';
	import { clock } from '$lib/core/step/describe';
	import { withTarget } from '$lib/core/step/dose';
	import { setStep } from '$lib/core/sequence/edits';
	import { moveSteps } from '$lib/core/sequence/manyEdits';
	import { findStep } from '$lib/core/sequence/walk';
	import { afterPaint } from '$lib/state/afterPaint.svelte';
	import type { Player } from '$lib/state/player.svelte';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import type { TideState } from '$lib/state/tide.svelte';
	import PictureMenu from '../../parts/controls/PictureMenu.svelte';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import TipButton from '../../parts/controls/TipButton.svelte';
	import SideGlyph from '../../parts/glyphs/SideGlyph.svelte';
	import Score from '../../parts/score/Score.svelte';
	import type { ScoreFrame } from '../../parts/score/scoreGeometry';
	import { zoomed } from '../../parts/score/scoreView';
	import { PRESETS, type Preset, type Room } from '$lib/state/room.svelte';
	import Select from '../../parts/controls/Select.svelte';
	import ScoreLegend from './ScoreLegend.svelte';
	import ScoreStrip from './ScoreStrip.svelte';

	interface Props {
		draft: SequenceDraft;
		flags: ReadonlyMap<string, Severity>;
		player: Player;
		/** The modelled tide, once it is there. */
		tide: TideState | null;
		/** When the client was felt, in words. */
		when: string;
		/** px that the panel has; of a fold only its strip is shown. */
		height: number;
		room: Room;
		/** Folds it where the room does not. */
		onfold?: () => void;
		onsheet: () => void;
	}
	let { draft, flags, player, tide, when, height, room, onfold = () => room.fold(), onsheet }: Props = $props();
	const folded = $derived(height < 100);
	let headPx = $state(36);
	let stripPx = $state(0);
	/** px of the score besides its swells: bands, axis. */
	let restPx = $state(60);
	/** What the swells have beyond their usual room, in steps so that a drag stays light. */
	const extra = $derived.by(() => {
		const free = height - headPx - stripPx - tideHeight - LAND_PX - restPx;
		return Math.round(Math.min(200, Math.max(-72, free)) / 4) * 4;
	});

	/** Usual height of the swells, px. */
	const LAND_PX = 190;
	type Zoom = 'whole' | 'phase' | 'step' | 'own';
	let zoom = $state<Zoom>('whole');
	let own = $state(60);
	let words = $state('');
	/** A frame behind the list: what was edited is on the screen before all the water moves. */
	const later = afterPaint(() => draft.judgement);
	const judgement = $derived(later.current);
	const byId = $derived(judgement.context.byId);
	const phaseTitles = $derived(new Map(draft.sequence.phases.map((p) => [p.id, p.title])));
	const aims = $derived(new Set(draft.steps.map((s) => s.step.aim)));
	const load = $derived(judgement.balance.overall);
	const total = $derived(judgement.timing.expectedSeconds);
	const film = $derived(filmLineOf(judgement.context.sequence, judgement.events, byId, judgement.context.working));
	const caption = $derived(captionOf(draft.position, byId.get(draft.position.event?.stepId ?? '')?.step.dose.kind));

	/** The ribbons come with the tide: they are no part of the first load. */
	let parts = $state.raw<typeof import('./tide/parts') | null>(null);
	$effect(() => {
		if (tide && !parts) void import('./tide/parts').then((m) => (parts = m));
	});
	/** So many waters are shown unless all are asked for. */
	const FEW = 3;
	let allWaters = $state(false);
	const run = $derived(tide?.tide ?? null);
	const ribbons = $derived(parts && run ? parts.ribbonsOf(run, allWaters ? 12 : FEW) : []);
	const hasMore = $derived(parts && run ? parts.ribbonsOf(run, FEW + 1).length > FEW : false);
	const worthHeight = $derived(parts && run && total > 0 && tide?.layer ? parts.WORTH_PX : 0);
	const tideHeight = $derived(parts && run && total > 0 ? worthHeight + parts.LANE_PX + parts.RIBBON_PX * ribbons.length + 4 : 0);

	/** Seconds that fill the view; null for all. */
	const seconds = $derived.by(() => {
		if (zoom === 'whole') return null;
		if (zoom === 'own') return Math.min(own, total);
		const id = draft.selectedId;
		const time = id ? judgement.timing.steps.get(id) : undefined;
		if (!id || !time) return null;
		if (zoom === 'step') return Math.min(total, Math.max(12, (time.endSeconds - time.startSeconds) * 2.6));
		const phase = byId.get(id)?.phase.id ?? '';
		return Math.min(total, Math.max(12, judgement.timing.phases.get(phase)?.expectedSeconds ?? total));
	});
	function zoomTo(wish: number) {
		own = wish;
		zoom = wish >= total ? 'whole' : 'own';
	}
	const ROOMS = (Object.keys(PRESETS) as Preset[]).map((value) => ({ value, label: PRESETS[value].label }));
	const step = (id: string) => findStep(draft.sequence, id)?.step;
	const picture = () => import('../../parts/picture/scorePicture').then((m) => m.scorePicture(draft.sequence, draft.context));
</script>

{#snippet waters(frame: ScoreFrame, width: number, top: number)}
	{#if parts && tide && worthHeight}<parts.WorthLane
			all={tide.allWorth}
			spans={judgement.timing.steps}
			{frame}
			{width}
			{top}
			selectedId={draft.selectedId}
			numberOf={(id) => byId.get(id)?.number ?? 0}
			onselect={(id) => draft.select(id)}
		/>{/if}
	{#if parts && run}
		<parts.TideRibbons
			tide={run}
			{ribbons}
			{frame}
			{width}
			top={top + worthHeight}
			cursorSeconds={draft.cursorSeconds}
			lookSeconds={draft.lookSeconds}
			numberOf={(id) => byId.get(id)?.number ?? 0}
			onselect={(id) => draft.select(id)}
		/>
	{/if}
{/snippet}
{#snippet names(top: number)}{#if worthHeight}<p
			class="text-ink2 absolute right-0 left-4 text-[11px] leading-[13px]"
			style="top: {top}px"
			aria-hidden="true"
		>
			what each is worth, ml<br />↓ more is gone
		</p>{/if}{#if parts && run}<parts.TideNames tide={run} {ribbons} top={top + worthHeight} />{/if}{/snippet}

<section
	class="border-hair bg-sheet flex min-h-0 flex-1 flex-col overflow-x-hidden border-t lg:border-t-0 {folded ? '' : 'overflow-y-auto'}"
	aria-label="Score"
	data-tour="score"
>
	{#if folded}
		<ScoreStrip
			events={judgement.events}
			{byId}
			{total}
			{caption}
			cursorSeconds={draft.cursorSeconds}
			running={player.running}
			onplay={() => player.toggle()}
			onscrub={(s) => draft.scrub(s)}
			{onfold}
		/>
	{:else}
		<div class="flex min-h-8 flex-none flex-wrap items-center gap-x-3 gap-y-1 px-4 pt-1" bind:clientHeight={headPx}>
			<TipButton tip="Fold the score (K)" onclick={onfold}><ChevronDown size={16} /></TipButton>
			<h3 class="-ml-2 text-[13.5px] font-semibold">Score</h3>
			<Segmented
				label="Zoom of the score"
				value={zoom === 'own' ? '' : zoom}
				options={[
					{ value: 'whole', label: 'Whole' },
					{ value: 'phase', label: 'Phase' },
					{ value: 'step', label: 'Step' }
				]}
				onchange={(z) => (zoom = z)}
			/>
			<span class="flex">
				<TipButton tip="Less of the time, larger (Ctrl and wheel)" onclick={() => zoomTo(zoomed(seconds ?? total, total, 1))}
					><ZoomIn size={15} /></TipButton
				>
				<TipButton
					tip="More of the time, smaller"
					disabled={(seconds ?? total) >= total}
					onclick={() => zoomTo(zoomed(seconds ?? total, total, -1))}><ZoomOut size={15} /></TipButton
				>
				<TipButton tip={player.running ? 'Halt (R)' : 'Play at its pace (R)'} disabled={!total} onclick={() => player.toggle()}
					>{#if player.running}<Pause size={15} />{:else}<Play size={15} />{/if}</TipButton
				>
			</span>
			<span class="text-ink2 flex items-center gap-2 text-[11.5px]"
				><SideGlyph side="both" /><span
					>left <b class="text-ink">{clock(load.left.seconds)}</b>, right
					<b class="text-ink">{clock(load.right.seconds)}</b></span
				></span
			>
			<PictureMenu label="Export the score" title={draft.sequence.title} {picture} disabled={!total}><Download size={15} /></PictureMenu>
			<TipButton tip="Keys in Compose" onclick={onsheet}><Keyboard size={16} /></TipButton>
			<Select
				label="Room of Compose (Alt 1 to 4)"
				value={room.preset}
				options={ROOMS}
				onchange={(p) => p && room.take(p)}
				class="hidden !min-h-[26px] !px-1.5 text-xs lg:inline-flex"
				bare>{#snippet mark()}<LayoutPanelTop size={15} />{/snippet}</Select
			>
			{#if words}<p class="text-ink2 ml-auto min-w-0 truncate text-[11.5px]">{words}</p>{:else}<ScoreLegend {aims} />{/if}
		</div>
		<Score
			events={judgement.events}
			{byId}
			{phaseTitles}
			{flags}
			{film}
			dry={judgement.context.film.dry}
			selectedId={draft.selectedId}
			chosen={draft.chosen.ids}
			cursorSeconds={draft.cursorSeconds}
			{caption}
			{seconds}
			onzoom={zoomTo}
			onselect={(id, e) => {
				if (e?.shiftKey) draft.chosen.extendTo(id);
				else if (e?.ctrlKey || e?.metaKey) draft.chosen.toggle(id);
				else draft.select(id);
			}}
			onscrub={(s) => draft.scrub(s)}
			oncount={(id, target) =>
				draft.adjust((base) => {
					const { dose } = findStep(base, id)!.step;
					return setStep(base, id, { dose: withTarget(dose, target) });
				})}
			onlevel={(id, level) => draft.adjust((base) => setStep(base, id, { pressure: level, levels: undefined }))}
			onsettle={() => draft.settle()}
			onmove={(id, before) => {
				const last = draft.steps.at(-1)?.step.id;
				if (step(id) && last)
					draft.attempt(() =>
						moveSteps(draft.sequence, draft.chosen.has(id) ? draft.chosen.ids : new Set([id]), before ? { before } : { after: last })
					);
			}}
			onwords={(said) => (words = said)}
			below={tideHeight ? waters : undefined}
			beside={tideHeight ? names : undefined}
			belowHeight={tideHeight}
			{extra}
			bind:restPx
		/>
		{#if parts && tide && (run || tide.trouble)}<div class="flex-none" bind:clientHeight={stripPx}>
				<parts.TideStrip
					state={tide}
					cursorSeconds={draft.lookSeconds}
					sequenceId={draft.sequence.id}
					{when}
					all={allWaters && total > 0}
					more={hasMore && total > 0}
					onall={() => (allWaters = !allWaters)}
				/>
			</div>
		{/if}
	{/if}
</section>
