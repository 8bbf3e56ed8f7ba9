<script lang="ts">
	import { ZONES } from '$lib/core/atlas/zones';
	import { clock } from '$lib/core/step/describe';
	import type { Tide } from '$lib/core/flow/tide';
	import { placeWords } from '$lib/core/flow/words';
	import { xAt, type ScoreFrame } from '../../../parts/score/scoreGeometry';
	import TideLane from './TideLane.svelte';
	import { gradeAt, LANE_PX, RIBBON_PX, ribbonShape, tidePercent, type Ribbon } from './ribbons';

	interface Props {
		tide: Tide;
		ribbons: readonly Ribbon[];
		frame: ScoreFrame;
		/** px */
		width: number;
		top: number;
		cursorSeconds: number;
		/** The cursor as the figures follow it, a moment behind a quick hand. */
		lookSeconds: number;
		/** Number of each step, as shown on the shore. */
		numberOf: (stepId: string) => number;
		onselect: (stepId: string) => void;
	}
	let { tide, ribbons, frame, width, top, cursorSeconds, lookSeconds, numberOf, onselect }: Props = $props();
	const TONES = ['water1', 'water3', 'water4', 'water2'] as const;
	const height = $derived(LANE_PX + RIBBON_PX * ribbons.length + 4);
	const rowY = (i: number) => LANE_PX + RIBBON_PX * (i + 0.5);
	const shapes = $derived(
		ribbons.map((r, i) => ({ ...ribbonShape(tide, r, frame, rowY(i), i), zone: r.zone, tone: TONES[i % TONES.length]! }))
	);
	const x = $derived(xAt(frame, cursorSeconds));
	const shown = (zone: Ribbon['zone'], seconds: number) => ({
		left: Math.round(tidePercent(gradeAt(tide, zone, 'left', seconds))),
		right: Math.round(tidePercent(gradeAt(tide, zone, 'right', seconds)))
	});
	const now = $derived(ribbons.map((r) => shown(r.zone, lookSeconds)));
	const ends = $derived(ribbons.map((r) => shown(r.zone, tide.seconds)));
	/** What a screen reader is told of a ribbon: start, lowest point and end would be too much; start and end say it. */
	const words = $derived(
		ribbons
			.map((r, i) => {
				const start = shown(r.zone, 0);
				const end = ends[i]!;
				return `${ZONES[r.zone].label}: left from ${start.left} to ${end.left}, right from ${start.right} to ${end.right}`;
			})
			.join('. ')
	);
	const told = $derived(
		tide.marks.map((m) => ({ ...m, number: numberOf(m.stepId), where: placeWords(m.place), when: clock(m.atSeconds) }))
	);
</script>

<svg
	class="absolute left-0"
	style="top: {top}px"
	{width}
	{height}
	viewBox="0 0 {width} {height}"
	role="img"
	aria-label="Modelled tide, 100 is grade 4. {words}"
	data-tide
>
	{#each shapes as s, i (s.zone)}
		<path d={s.highWater} fill="none" stroke="var(--{s.tone})" stroke-width="1" stroke-dasharray="1 4" stroke-opacity="0.8" />
		<path d={s.body} fill="var(--{s.tone})" fill-opacity="0.42" data-ribbon={s.zone} />
		<path d={s.inner} fill="var(--{s.tone})" fill-opacity="0.34" />
		{#each s.banks as d, k (k)}<path {d} fill="none" stroke="var(--{s.tone})" stroke-width="1.2" />{/each}
		{#if s.beyond}<path d={s.beyond} stroke="var(--{s.tone})" stroke-width="2.4" />{/if}
		<text x={frame.x1 + 8} y={rowY(i) - 0.5} class="end">{ends[i]!.left}</text>
		<text x={frame.x1 + 8} y={rowY(i) + 9} class="end">{ends[i]!.right}</text>
	{/each}
</svg>
<!-- What is to come lies in haze: one plain sheet that is moved, so that scrubbing does not draw the ribbons again. -->
<div
	class="pointer-events-none absolute overflow-hidden"
	style="top: {top + LANE_PX}px; left: {frame.x0}px; width: {frame.x1 - frame.x0}px; height: {height - LANE_PX}px"
	aria-hidden="true"
>
	<div class="bg-sea h-full w-full opacity-50 will-change-transform" style="transform: translateX({x - frame.x0}px)"></div>
</div>
<svg
	class="pointer-events-none absolute left-0 will-change-transform"
	style="top: {top - 24}px; transform: translateX({x - 30}px)"
	width="100"
	height={height + 24}
	viewBox="-30 -24 100 {height + 24}"
	aria-hidden="true"
>
	<path d="M0 -2V{height - 5}" stroke="var(--ink)" stroke-width="1.2" />
	<path d="M-3.4 {height - 6}h6.8L0 {height}Z" fill="var(--ink)" />
	{#each now as v, i (ribbons[i]!.zone)}
		<text x="7" y={rowY(i) - 0.5} class="now">{v.left}</text>
		<text x="7" y={rowY(i) + 9.5} class="now">{v.right}</text>
	{/each}
</svg>
<TideLane marks={told} {frame} {top} {onselect} />

<style>
	.end {
		font-size: 11px;
		font-weight: 600;
		fill: var(--ink2);
	}
	.now {
		font-size: 11.5px;
		font-weight: 700;
		fill: var(--ink);
		paint-order: stroke;
		stroke: var(--sea);
		stroke-width: 3px;
	}
</style>
