<script lang="ts">
	import { openingWords, stepEffectWords } from '$lib/core/flow/words';
	import type { AllWorth } from '$lib/core/flow/worth';
	import type { ScoreFrame } from '../../../parts/score/scoreGeometry';
	import { bandMl, deepestMl, depthsOf, WORTH_PX, worthMarks } from './worthMarks';

	interface Props {
		/** Null while it is weighed. */
		all: AllWorth | null;
		spans: ReadonlyMap<string, { readonly startSeconds: number; readonly endSeconds: number }>;
		frame: ScoreFrame;
		/** px */
		width: number;
		top: number;
		selectedId: string | null;
		numberOf: (stepId: string) => number;
		onselect: (stepId: string) => void;
	}
	let { all, spans, frame, width, top, selectedId, numberOf, onselect }: Props = $props();
	const marks = $derived(all ? worthMarks(all, spans, frame) : []);
	const depths = $derived(all ? depthsOf(all) : null);
	const zero = $derived(depths?.zero ?? 8);
	const none = $derived(marks.length > 0 && !marks.some((m) => m.matters));
	const effects = $derived(new Map(all?.steps.map((s) => [s.stepId, s])));
	const told = (id: string) => `Step ${numberOf(id)}: ${stepEffectWords(effects.get(id)!, all!.draws)}`;
	/** What the steps of each opening do together: alone each of them seems to do nothing. */
	const openings = $derived(all ? all.openings.map((o) => openingWords(o, o.stepIds.map(numberOf), all.draws)) : []);
	/** A screen reader is told the three that reach deepest; the list says all of them. */
	const words = $derived(
		all
			? [
					...[...all.steps]
						.sort((a, b) => b.ml.median - a.ml.median)
						.slice(0, 3)
						.map((s) => told(s.stepId)),
					...openings
				].join('. ')
			: 'being weighed'
	);
</script>

<!-- Soundings: how deep each step reaches below the line, in the middle of the faces, and in nine of ten of them. -->
<svg
	class="absolute left-0"
	style="top: {top}px"
	{width}
	height={WORTH_PX}
	viewBox="0 0 {width} {WORTH_PX}"
	role="img"
	aria-label="What each step is worth in the model. {words}"
	data-worth-lane
>
	{#if all && depths}
		{@const foot = depths.y(bandMl(all))}
		<rect x={frame.x0} y={zero} width={frame.x1 - frame.x0} height={foot - zero} fill="var(--sand)" fill-opacity="0.45" />
		<path d="M{frame.x0} {foot}H{frame.x1}" stroke="var(--sandline)" stroke-dasharray="1 3" />
	{/if}
	<path d="M{frame.x0} {zero}H{frame.x1}" stroke="var(--coast)" stroke-width="1" />
	{#each marks as m (m.stepId)}
		{@const x = m.x + m.width / 2}
		<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
		<g class="cursor-pointer" onclick={() => onselect(m.stepId)}>
			<title>{told(m.stepId)}</title>
			<rect x={m.x - 2} y="0" width={m.width + 4} height={WORTH_PX} fill="transparent" />
			<path
				d="M{x} {m.low}V{m.high}M{x - 2.5} {m.low}h5M{x - 2.5} {m.high}h5"
				stroke={m.matters ? 'var(--ink)' : 'var(--ink3)'}
				stroke-width="1"
				fill="none"
			/>
			{#if m.matters}
				<rect
					x={m.x}
					y={Math.min(m.zero, m.middle)}
					width={m.width}
					height={Math.abs(m.middle - m.zero)}
					fill={m.middle >= m.zero ? 'var(--drainfill)' : 'var(--sand)'}
					stroke="var(--ink)"
					stroke-width={m.stepId === selectedId ? 1.8 : 0.9}
				/>
			{:else}<path d="M{x - 3} {m.middle}h6" stroke="var(--ink2)" stroke-width="2" stroke-linecap="round" />{/if}
		</g>
	{/each}
	{#if none}<text x={frame.x0 + 6} y={WORTH_PX - 3} class="none"
			>No single step reaches the band’s edge, 1 % of the fluid, in the middle of the faces.</text
		>{/if}
	{#if openings.length}<text x={frame.x1 - 6} y={WORTH_PX - 3} class="none" text-anchor="end">{openings[0]}</text>{/if}
	{#if all}<text x={frame.x1 + 8} y={WORTH_PX - 6} class="scale">{deepestMl(all).toFixed(1)}</text>{/if}
</svg>

<style>
	.none {
		font-size: 11.5px;
		fill: var(--ink2);
		paint-order: stroke;
		stroke: var(--sea);
		stroke-width: 3px;
	}
	.scale {
		font-size: 11px;
		font-weight: 600;
		fill: var(--ink2);
	}
</style>
