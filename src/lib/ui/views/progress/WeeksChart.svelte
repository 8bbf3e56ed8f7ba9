<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	import { line } from 'd3-shape';
	import { timeTicks } from 'd3-time';
	import type { Lane, SeriesPoint, Stretch } from '$lib/core/assess/series';
	import { lengthText, type LengthUnit } from '$lib/core/assess/units';
	import { shortDay } from '../../parts/dates';

	interface Props {
		lanes: readonly Lane[];
		stretches: readonly Stretch[];
		/** Beginning of all visits, ISO: the axis. */
		span: readonly [string, string];
		unit: LengthUnit;
		chosenAt: string | null;
		label: string;
		/** px */
		width: number;
		drawing?: SVGSVGElement | undefined;
	}
	let { lanes, stretches, span, unit, chosenAt, label, width, drawing = $bindable() }: Props = $props();
	const LANE = 108;
	const PAD = 14;
	const LEFT = 150;
	const RIGHT = 30;
	const STRETCH = 18;
	const bottom = $derived(lanes.length * LANE);
	const height = $derived(bottom + 26 + stretches.length * STRETCH + 8);
	const x = $derived(scaleLinear([Date.parse(span[0]), Date.parse(span[1])], [LEFT + 12, width - RIGHT]));
	const at = (iso: string) => x(Date.parse(iso));
	const days = $derived(timeTicks(new Date(span[0]), new Date(span[1]), Math.max(3, Math.floor(width / 130))));
	const drawn = $derived(
		lanes.map((lane, i) => {
			const values = lane.points.flatMap((p) => [p.before, p.after].filter((v) => v !== null));
			const first = lane.points.find((p) => p.before !== null)?.before ?? 0;
			const all = [...values, first - lane.mdc, first + lane.mdc];
			const y = scaleLinear([Math.min(...all), Math.max(...all)], [(i + 1) * LANE - PAD, i * LANE + PAD]);
			const path = line<SeriesPoint>(
				(p) => at(p.at),
				(p) => y(p.before!)
			);
			return {
				...lane,
				top: i * LANE,
				y,
				first,
				ticks: y.ticks(3),
				path: path(lane.points.filter((p) => p.before !== null)) ?? ''
			};
		})
	);
	const figure = (mm: number) => `${mm < 0 ? '−' : ''}${lengthText(Math.abs(mm), unit)}`;
</script>

<svg bind:this={drawing} {width} {height} viewBox="0 0 {width} {height}" role="img" aria-label="{label}; the table below says the same">
	{#each days as day (day.getTime())}
		<path d="M{x(day)} 0V{bottom}" stroke="var(--hair)" />
		<text x={x(day)} y={bottom + 15} class="tick" text-anchor="middle">{shortDay(day.toISOString())}</text>
	{/each}
	{#if chosenAt}<path d="M{at(chosenAt)} 0V{bottom}" stroke="var(--primary)" stroke-width="1.5" />{/if}
	{#each drawn as lane (lane.name)}
		<rect
			x={LEFT}
			y={lane.y(lane.first + lane.mdc)}
			width={width - RIGHT - LEFT + 12}
			height={lane.y(lane.first - lane.mdc) - lane.y(lane.first + lane.mdc)}
			fill="var(--sand)"
			fill-opacity="0.75"
		/>
		<path d="M0 {lane.top + LANE}H{width}" stroke="var(--hair)" />
		<text x="0" y={lane.top + 22} class="name">{lane.name}</text>
		<text x="0" y={lane.top + 38} class="tick">{unit}</text>
		{#each lane.ticks as tick (tick)}<text x={LEFT - 8} y={lane.y(tick) + 4} class="tick" text-anchor="end">{figure(tick)}</text>{/each}
		<path d={lane.path} fill="none" stroke="var(--drain)" stroke-opacity="0.6" stroke-width="1.2" stroke-dasharray="1 3" />
		{#each lane.points as p (p.id)}
			{#if p.before !== null}
				<path d="M{at(p.at)} {lane.y(p.before - lane.te)}V{lane.y(p.before + lane.te)}" stroke="var(--ink)" stroke-opacity="0.55" />
				{#if p.after !== null}<path
						d="M{at(p.at)} {lane.y(p.before)}L{at(p.at) + 6} {lane.y(p.after)}"
						stroke="var(--water1)"
						stroke-width="3"
						stroke-linecap="round"
					/><circle cx={at(p.at) + 6} cy={lane.y(p.after)} r="2.2" fill="var(--paper)" stroke="var(--water1)" />{/if}
				<circle cx={at(p.at)} cy={lane.y(p.before)} r={p.at === chosenAt ? 5 : 3.4} fill="var(--ink)" />
			{/if}
		{/each}
	{/each}
	{#each stretches as stretch, i (stretch.from)}
		<path
			d="M{at(stretch.from) - 4} {bottom + 34 + i * STRETCH}H{at(stretch.to) + 4}"
			stroke="var(--coast)"
			stroke-width="4"
			stroke-linecap="round"
		/>
		<text x={LEFT - 8} y={bottom + 38 + i * STRETCH} class="tick" text-anchor="end"
			>{stretch.title.length > 24 ? `${stretch.title.slice(0, 22)}…` : stretch.title}</text
		>
	{/each}
</svg>

<style>
	.name {
		font-size: 12.5px;
		font-weight: 600;
		fill: var(--ink);
	}
	.tick {
		font-size: 11px;
		fill: var(--ink2);
	}
</style>
