<script lang="ts">
	import { Slider } from 'bits-ui';
	import { clock, doseText, sideText, stepTitle } from '$lib/core/sequence/describe';
	import type { TimedEvent } from '$lib/core/sequence/expand';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import { AIMS } from '$lib/core/technique/vocabulary';
	import { LEVEL_NAMES } from '$lib/core/pressure/levels';
	import type { Severity } from '$lib/core/school/school.schema';
	import Pennant from '../glyphs/Pennant.svelte';
	import { FULL_HEIGHTS, shore, swell, undulation, xAt, yUp, type ScoreFrame } from './scoreGeometry';
	import { scorePhases, scoreSteps, type ScoreStep } from './scoreLayout';
	import type { DryStep, FilmLine } from '$lib/core/glide/film';
	import FilmLineMark from './FilmLine.svelte';
	import GateMark from './GateMark.svelte';
	import ScoreAxis from './ScoreAxis.svelte';
	import ScorePhases from './ScorePhases.svelte';
	import SwellMark from './SwellMark.svelte';
	import Textures from './Textures.svelte';

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
		cursorSeconds: number;
		zoom: 'whole' | 'phase' | 'step';
		onselect: (stepId: string) => void;
		onscrub: (seconds: number) => void;
	}
	let { events, byId, phaseTitles, flags, film, dry, selectedId, cursorSeconds, zoom, onselect, onscrub }: Props = $props();

	const uid = $props.id();
	const HEIGHT = 216;
	const AXIS = 190;
	const GUTTER = 76;
	let viewWidth = $state(1160);
	let scroller: HTMLDivElement | undefined = $state();

	const total = $derived(events.at(-1)?.endSeconds ?? 0);
	const steps = $derived(scoreSteps(events, byId));
	const phases = $derived(scorePhases(events, phaseTitles));
	const selected = $derived(steps.find((s) => s.placed.step.id === selectedId));
	/** Seconds that fill the view at this zoom. */
	const visible = $derived.by(() => {
		if (zoom === 'whole' || !selected) return total;
		const phase = phases.find((p) => p.startSeconds <= selected.startSeconds && selected.startSeconds < p.endSeconds);
		const span = zoom === 'phase' && phase ? phase.endSeconds - phase.startSeconds : (selected.endSeconds - selected.startSeconds) * 2.6;
		return Math.min(total, Math.max(12, span));
	});
	const width = $derived(Math.max(viewWidth, visible > 0 ? (viewWidth * total) / visible : viewWidth));
	const frame = $derived<ScoreFrame>({
		seconds: total,
		x0: 22,
		x1: width - 34,
		mid: 104,
		bar: 16,
		heights: FULL_HEIGHTS,
		swing: 1
	});
	const land = $derived(shore(frame, Math.min(2600, Math.round(width / 2.2))));

	$effect(() => {
		const at = zoom === 'whole' || !selected ? 0 : xAt(frame, (selected.startSeconds + selected.endSeconds) / 2) - viewWidth / 2;
		scroller?.scrollTo({ left: Math.max(0, at) });
	});

	const middle = (s: ScoreStep) => xAt(frame, (s.startSeconds + s.endSeconds) / 2);
	const wide = (s: ScoreStep) => xAt(frame, s.endSeconds) - xAt(frame, s.startSeconds);
	const words = (s: ScoreStep) => {
		const { step, number } = s.placed;
		return `${number}. ${AIMS[step.aim]}: ${stepTitle(step)}, ${LEVEL_NAMES[s.level]}, ${doseText(step.dose)}, ${sideText(step.side)}, from ${clock(s.startSeconds)} to ${clock(s.endSeconds)}`;
	};
	function key(e: KeyboardEvent, index: number) {
		const to = { ArrowRight: index + 1, ArrowLeft: index - 1, Home: 0, End: steps.length - 1 }[e.key];
		if (e.key === 'Enter' || e.key === ' ') onselect(steps[index]!.placed.step.id);
		else if (to === undefined || !steps[to]) return;
		else {
			onselect(steps[to].placed.step.id);
			(e.currentTarget as Element).parentElement?.querySelectorAll<SVGGElement>('[data-step]')[to]?.focus();
		}
		e.preventDefault();
	}
	const tabIndex = (i: number) => (selected ? steps.indexOf(selected) : 0) === i;
	const flagY = (s: ScoreStep) => {
		const span = s.spans.find((x) => x.dir < 0);
		if (!span || s.gate) return yUp(frame, middle(s)) - (s.gate ? FULL_HEIGHTS[1] : 0) - 14;
		return swell(frame, xAt(frame, span.startSeconds), xAt(frame, span.endSeconds), s.level, -1, s.hold).top - 14;
	};
	const flagX = (s: ScoreStep) => {
		const span = s.spans.find((x) => x.dir < 0);
		return span ? xAt(frame, (span.startSeconds + span.endSeconds) / 2) : middle(s);
	};
</script>

<div class="relative flex" style="height: {HEIGHT + 6}px">
	<svg width={GUTTER} height={HEIGHT} class="flex-none" aria-hidden="true">
		<text x="16" y="62" class="client">Client’s</text><text x="16" y="76" class="side">left</text>
		<text x="16" y="140" class="client">Client’s</text><text x="16" y="154" class="side">right</text>
		{#if film.some(([, share]) => share > 0)}<text x="16" y={AXIS - 2} class="client">film</text>{/if}
		{#each [1, 2, 3, 4] as level (level)}
			{#each [-1, 1] as dir (dir)}
				<text x={GUTTER - 8} y={frame.mid + dir * (8 + FULL_HEIGHTS[level]!) + 4} class="level">{level}</text>
			{/each}
		{/each}
	</svg>
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div
		class="relative flex-1 overflow-x-auto overflow-y-hidden"
		bind:clientWidth={viewWidth}
		bind:this={scroller}
		tabindex={zoom === 'whole' ? -1 : 0}
		role="region"
		aria-label="Score"
	>
		<svg
			{width}
			height={HEIGHT}
			viewBox="0 0 {width} {HEIGHT}"
			role="group"
			aria-label="Steps in time: above the shore the client’s left, below it the right"
		>
			<Textures {uid} />
			<ScorePhases {phases} {frame} height={AXIS} />
			{#each [1, 2, 3, 4] as level (level)}
				{#each [-1, 1] as dir (dir)}
					{@const y = frame.mid + dir * (8 + FULL_HEIGHTS[level]!)}
					<path d="M{frame.x0} {y}H{frame.x1}" stroke="var(--hair)" stroke-width="0.8" stroke-dasharray="1 5" />
				{/each}
			{/each}
			{#each land.water as d, i (i)}<path {d} fill="none" stroke="var(--ink)" stroke-width="0.6" opacity={i ? 0.2 : 0.42} />{/each}
			<g aria-hidden="true">
				{#each steps as step (step.key)}
					<SwellMark {step} {frame} {uid} detail="full" selected={step.placed.step.id === selectedId} seaUp={28} seaDown={AXIS - 8} />
				{/each}
			</g>
			<path d={land.outline} fill="var(--sand)" />
			<path d={land.grain} fill="none" stroke="var(--sandline)" stroke-linecap="round" />
			<path d={land.outline} fill="none" stroke="var(--coast)" stroke-width="1.1" />
			{#each steps as step, i (step.key)}
				{@const on = step.placed.step.id === selectedId}
				<g
					role="button"
					tabindex={tabIndex(i) ? 0 : -1}
					aria-label={words(step)}
					aria-pressed={on}
					data-step={step.placed.step.id}
					class="step"
					onclick={() => onselect(step.placed.step.id)}
					onkeydown={(e) => key(e, i)}
				>
					<title>{words(step)}</title>
					<rect x={xAt(frame, step.startSeconds)} y="20" width={Math.max(2, wide(step))} height={AXIS - 24} class="hit" />
					{#if step.gate}<GateMark {step} {frame} detail="full" />{/if}
					{#if wide(step) > 11}
						{@const x = middle(step)}
						{@const y = frame.mid + undulation(frame, x)}
						{#if on}<rect x={x - 10} y={y - 7.5} width="20" height="15" rx="3" fill="var(--primary)" />{/if}
						<text {x} y={y + 4} class="number" class:gate={step.gate && !on} class:on>{step.placed.number}</text>
					{/if}
					{#each { length: Math.min(step.breaths, Math.max(1, Math.floor(wide(step) / 8))) } as _, k (k)}
						{@const top = frame.mid - 8 - FULL_HEIGHTS[step.level] - 6}
						<path
							d="M{middle(step) + (k - (step.breaths - 1) / 2) * 8 - 2.6} {top}q2.6 -5 5.2 0"
							fill="none"
							stroke="var(--ink2)"
							stroke-width="1.3"
							stroke-linecap="round"
						/>
					{/each}
				</g>
			{/each}
			{#each steps as step (step.key)}
				{@const severity = flags.get(step.placed.step.id)}
				{#if severity}<g transform="translate({flagX(step) - 3} {flagY(step)})"><Pennant {severity} size={14} /></g>{/if}
			{/each}
			<FilmLineMark {film} {dry} {frame} foot={AXIS - 3} />
			<ScoreAxis {frame} y={AXIS} {cursorSeconds} />
			{#if total > 0}
				{@const x = xAt(frame, cursorSeconds)}
				<path d="M{x} 24V{AXIS}" stroke="var(--ink)" stroke-width="1.2" style="pointer-events: none" />
				<circle cx={x} cy="24" r="3" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.3" />
			{/if}
		</svg>
		{#if total > 0}
			<Slider.Root
				type="single"
				value={Math.min(Math.max(1, Math.round(total)), Math.round(cursorSeconds))}
				min={0}
				max={Math.max(1, Math.round(total))}
				step={1}
				onValueChange={(v) => v !== Math.round(cursorSeconds) && onscrub(v)}
				class="absolute flex h-6 touch-none items-center"
				style="left: {frame.x0}px; width: {frame.x1 - frame.x0}px; top: {AXIS - 2}px"
			>
				<Slider.Thumb
					index={0}
					aria-label="Moment in the sequence"
					aria-valuetext={clock(cursorSeconds)}
					class="bg-primary text-onink mt-1 flex h-[22px] w-10 cursor-ew-resize items-center justify-center rounded-full text-[12.5px] font-bold"
				>
					{clock(cursorSeconds)}
				</Slider.Thumb>
			</Slider.Root>
		{/if}
	</div>
</div>

<style>
	.step {
		cursor: pointer;
		outline: none;
	}
	.hit {
		fill: transparent;
	}
	.step:hover .hit {
		fill: var(--wash);
		fill-opacity: 0.5;
	}
	.step:focus-visible .hit {
		stroke: var(--ink);
		stroke-width: 2;
	}
	.number {
		font-size: 11px;
		font-weight: 600;
		text-anchor: middle;
		fill: var(--ink);
	}
	.number.gate {
		fill: var(--gapnum);
	}
	.number.on {
		fill: var(--onink);
	}
	.side {
		font-size: 12px;
		font-weight: 600;
		fill: var(--ink);
	}
	.client {
		font-size: 11.5px;
		fill: var(--ink2);
	}
	.level {
		font-size: 11px;
		fill: var(--ink3);
		text-anchor: end;
	}
</style>
