<script lang="ts">
	import { untrack, type Snippet } from 'svelte';
	import type { Level } from '$lib/core/step/levels';
	import type { TimedEvent } from '$lib/core/sequence/expand';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import type { Severity } from '$lib/core/school/school.schema';
	import type { DryStep, FilmLine } from '$lib/core/glide/film';
	import FilmLineMark from './FilmLine.svelte';
	import ScoreAxis from './ScoreAxis.svelte';
	import ScoreBands from './ScoreBands.svelte';
	import ScoreCursor from './ScoreCursor.svelte';
	import ScoreGutter from './ScoreGutter.svelte';
	import ScoreLand from './ScoreLand.svelte';
	import ScorePhases from './ScorePhases.svelte';
	import ScoreThumb from './ScoreThumb.svelte';
	import ScoreStepTarget from './ScoreStepTarget.svelte';
	import SwellMark from './SwellMark.svelte';
	import Textures from './Textures.svelte';
	import { ScoreDrag } from './scoreDrag.svelte';
	import { bandRows } from './scoreBands';
	import { fullLayout, secondsAt, xAt, type ScoreFrame } from './scoreGeometry';
	import { keepSame, scorePhases, scoreSteps, type ScoreStep } from './scoreLayout';
	import { SILHOUETTE_FROM, silhouettes, stepsInSight, widthFor, zoomed } from './scoreView';
	import { scoreWords } from './scoreWords';

	interface Props {
		events: readonly TimedEvent[];
		byId: ReadonlyMap<string, PlacedStep>;
		phaseTitles: ReadonlyMap<string, string>;
		flags: ReadonlyMap<string, Severity>;
		/** The film of glide medium over time; drawn as a thin line over the axis. */
		film: FilmLine;
		/** Where it is spent. */
		dry: readonly DryStep[];
		selectedId: string | null;
		chosen: ReadonlySet<string>;
		cursorSeconds: number;
		/** What is done at the cursor, in short words. */
		caption: string;
		/** Seconds that fill the view; null for all. */
		seconds: number | null;
		onzoom: (seconds: number) => void;
		onselect: (stepId: string, e?: MouseEvent) => void;
		onscrub: (seconds: number) => void;
		/** While a swell is dragged; `onsettle` ends it. */
		oncount: (stepId: string, target: number) => void;
		onlevel: (stepId: string, level: Level) => void;
		onsettle: () => void;
		/** A swell was dragged to stand before another one, or at the end. */
		onmove: (stepId: string, before: string | null) => void;
		/** The words of what is hovered or focused. */
		onwords: (words: string) => void;
		/** What lies under the axis on the same time: drawn in a width from a top, px; and what stands beside it. */
		below?: Snippet<[ScoreFrame, number, number]>;
		beside?: Snippet<[number]>;
		belowHeight?: number;
		/** px that the swells have beyond their usual height, or fall short of it. */
		extra?: number;
		/** Told: px of bands and axis. */
		restPx?: number;
	}
	let {
		events,
		byId,
		phaseTitles,
		flags,
		film,
		dry,
		selectedId,
		chosen,
		cursorSeconds,
		caption,
		seconds,
		onzoom,
		onselect,
		onscrub,
		oncount,
		onlevel,
		onsettle,
		onmove,
		onwords,
		below,
		beside,
		belowHeight = 0,
		extra = 0,
		restPx = $bindable(60)
	}: Props = $props();

	/** Fetched with the first step that is chosen. */
	const handles = () => import('./ScoreHandles.svelte');
	const uid = $props.id();
	let viewWidth = $state(1160);
	let scrollLeft = $state(0);
	let scroller: HTMLDivElement | undefined = $state();

	const total = $derived(events.at(-1)?.endSeconds ?? 0);
	let drawn: readonly ScoreStep[] = [];
	const steps = $derived.by(() => {
		const now = keepSame(drawn, scoreSteps(events, byId));
		drawn = now;
		return now;
	});
	const phases = $derived(scorePhases(events, phaseTitles));
	const bands = $derived(bandRows(steps));
	const layout = $derived(fullLayout(extra));
	const axisY = $derived(layout.land + 14 * bands.length);
	const height = $derived(axisY + 26);
	$effect(() => {
		restPx = height + 6 - layout.land;
	});
	const selected = $derived(steps.find((s) => s.placed.step.id === selectedId));
	const shown = $derived(seconds ?? total);
	const whole = $derived(shown >= total);
	const width = $derived(widthFor(viewWidth, total, shown));
	const frame = $derived<ScoreFrame>({
		seconds: total,
		x0: 22,
		x1: width - 34,
		mid: layout.mid,
		bar: 16,
		heights: layout.heights,
		swing: 1
	});
	const inSight = $derived(whole ? steps : stepsInSight(steps, frame, scrollLeft, viewWidth));
	const coarse = $derived(inSight.length > SILHOUETTE_FROM);

	// A new zoom keeps the chosen step, and a cursor that runs on stays in sight.
	$effect(() => {
		// Not with every edit that makes the whole longer: asking for the room lays the page out.
		if (seconds === null && untrack(() => scrollLeft) === 0) return;
		const s = untrack(() => selected);
		const at = s
			? xAt(frame, (s.startSeconds + s.endSeconds) / 2) - viewWidth / 2
			: xAt(
					frame,
					untrack(() => cursorSeconds)
				) -
				viewWidth / 2;
		scroller?.scrollTo({ left: whole ? 0 : Math.max(0, at) });
	});
	$effect(() => {
		if (whole) return;
		const x = xAt(frame, cursorSeconds);
		untrack(() => {
			if (scroller && (x < scrollLeft + 20 || x > scrollLeft + viewWidth - 40)) scroller.scrollTo({ left: Math.max(0, x - viewWidth / 3) });
		});
	});

	function key(e: KeyboardEvent, index: number) {
		const to = { ArrowRight: index + 1, ArrowLeft: index - 1, Home: 0, End: steps.length - 1 }[e.key];
		if (e.key === 'Enter' || e.key === ' ') onselect(steps[index]!.placed.step.id);
		else if (to === undefined || !steps[to]) return;
		else {
			onselect(steps[to].placed.step.id);
			const parent = (e.currentTarget as Element).parentElement;
			requestAnimationFrame(() => parent?.querySelector<SVGGElement>(`[data-key="${CSS.escape(steps[to]!.key)}"]`)?.focus());
		}
		e.preventDefault();
		e.stopPropagation();
	}
	function wheel(e: WheelEvent) {
		if (!e.ctrlKey && !e.metaKey) return;
		e.preventDefault();
		onzoom(zoomed(shown, total, e.deltaY < 0 ? 1 : -1));
	}
	const secondsUnder = (clientX: number) => secondsAt(frame, clientX - scroller!.getBoundingClientRect().left + scroller!.scrollLeft);

	const drag = new ScoreDrag({
		steps: () => steps,
		secondsUnder,
		scroller: () => (whole ? null : (scroller ?? null)),
		onmove: (id, before) => onmove(id, before)
	});
	const pick = (id: string, e?: MouseEvent) => {
		if (!drag.justMoved) onselect(id, e);
	};
	/** The cursor as far as the axis cares: which of its figures the thumb hides. */
	const underThumb = $derived(Math.round(cursorSeconds / 15) * 15);
	const tabStop = $derived(selected ?? steps[0]);
	const gapX = $derived(drag.held?.moved ? xAt(frame, drag.held.to?.startSeconds ?? total) : null);
</script>

<div class="relative flex flex-none" style="height: {height + 6 + belowHeight}px">
	{#if below}<div class="sea absolute inset-x-0 bottom-0" style="top: {axisY + 8}px"></div>{/if}
	<div class="relative flex-none">
		<ScoreGutter
			{frame}
			{height}
			filmY={film.points.some(([, share]) => share > 0) ? layout.land - 2 : null}
			{bands}
			bandsY={layout.land}
		/>
		{@render beside?.(height)}
	</div>
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div
		class="relative flex-1 overflow-x-auto overflow-y-hidden {drag.held?.moved ? 'cursor-grabbing' : ''}"
		bind:clientWidth={viewWidth}
		bind:this={scroller}
		onscroll={() => (scrollLeft = scroller!.scrollLeft)}
		onwheel={wheel}
		onpointerdown={drag.down}
		onpointermove={drag.move}
		onpointerup={drag.up}
		onpointercancel={drag.up}
		onpointerleave={drag.up}
		tabindex={whole ? -1 : 0}
		role="region"
		aria-label="Score"
	>
		<svg
			{width}
			{height}
			viewBox="0 0 {width} {height}"
			class="will-change-transform"
			role="group"
			aria-label="Steps in time: above the shore the client’s left, below it the right"
			data-score
		>
			<Textures {uid} />
			<ScorePhases {phases} {frame} height={axisY} />
			<ScoreLand {frame}>
				<g aria-hidden="true">
					{#if coarse}
						{#each silhouettes(inSight, frame) as { tone, d } (tone)}<path {d} fill="var(--{tone})" fill-opacity="0.75" />{/each}
					{:else}
						{#each inSight as step (step.key)}
							<SwellMark
								{step}
								{frame}
								{uid}
								detail="full"
								selected={step.placed.step.id === selectedId}
								faint={drag.held?.moved && drag.held.step.key === step.key}
								seaUp={28}
								seaDown={layout.land - 8}
							/>
						{/each}
					{/if}
				</g>
			</ScoreLand>
			{#if coarse}
				<rect
					x={frame.x0}
					y="20"
					width={frame.x1 - frame.x0}
					height={layout.land - 26}
					fill="transparent"
					role="presentation"
					onclick={(e) => onscrub(secondsUnder(e.clientX))}
				/>
			{:else}
				{#each inSight as step (step.key)}
					<ScoreStepTarget
						{step}
						{frame}
						{axisY}
						severity={flags.get(step.placed.step.id)}
						selected={step.placed.step.id === selectedId}
						chosen={chosen.size > 1 && chosen.has(step.placed.step.id)}
						tabStop={step === tabStop}
						onselect={pick}
						onkey={(e) => key(e, steps.indexOf(step))}
						onwords={(on) => onwords(on ? scoreWords(step) : '')}
					/>
				{/each}
			{/if}
			{#if selected && !coarse && !drag.held && chosen.size <= 1 && xAt(frame, selected.endSeconds) - xAt(frame, selected.startSeconds) > 14}
				{#await handles() then { default: ScoreHandles }}
					<ScoreHandles
						step={selected}
						{frame}
						oncount={(n) => selectedId && oncount(selectedId, n)}
						onlevel={(l) => selectedId && onlevel(selectedId, l)}
						onend={onsettle}
					/>
				{/await}
			{/if}
			{#if gapX !== null}
				<path d="M{gapX} 22V{axisY - 6}" stroke="var(--ink)" stroke-width="3" stroke-linecap="round" />
				<path d="M{gapX - 5} 22h10M{gapX - 5} {axisY - 6}h10" stroke="var(--ink)" stroke-width="2" />
			{/if}
			<FilmLineMark {film} {dry} {frame} foot={layout.land - 3} />
			<ScoreBands rows={bands} {frame} y={layout.land} />
			<ScoreAxis {frame} y={axisY} cursorSeconds={underThumb} />
		</svg>
		{#if total > 0}{@render below?.(frame, width, height)}{/if}
		{#if total > 0}<ScoreCursor {frame} {cursorSeconds} foot={axisY} {caption} />{/if}
		{#if total > 0}<ScoreThumb {frame} {cursorSeconds} {total} {caption} top={axisY - 1} {onscrub} />{/if}
	</div>
</div>

<style>
	/* Paper above, water below. */
	.sea {
		background: linear-gradient(var(--sheet), var(--sea) 22px);
	}
</style>
