<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	import type { Spread } from '$lib/core/flow/comparison.schema';

	interface Props {
		rows: readonly { readonly key: string; readonly name: string; readonly spread: Spread }[];
		/** What the axis measures, with its unit; and what lies on either side of zero. */
		axis: string;
		toLeft?: string;
		toRight?: string;
		/** Half width of a band around zero that is of no practical size, in the unit of the axis. */
		band?: number;
		/** px */
		width: number;
		label: string;
	}
	let { rows, axis, toLeft = '', toRight = '', band = 0, width, label }: Props = $props();
	const ROW = 30;
	const NAME = 30;
	const all = $derived(rows.flatMap((r) => [r.spread.p5, r.spread.p95]));
	const x = $derived(
		scaleLinear()
			.domain([Math.min(0, -band * 1.4, ...all), Math.max(0, band * 1.4, ...all)])
			.nice(5)
			.range([NAME + 6, width - 44])
	);
	const ticks = $derived(x.ticks(Math.max(3, Math.floor(width / 90))));
	const height = $derived(22 + ROW * rows.length + 34);
	const foot = $derived(22 + ROW * rows.length);
	const number = (value: number) => (Math.abs(value) < 0.005 ? '0' : value.toFixed(Math.abs(value) < 1 ? 2 : 1));
</script>

<!-- Middle and 5 to 95 per cent of the draws. The table beside it says the same in figures. -->
<svg {width} {height} viewBox="0 0 {width} {height}" role="img" aria-label={label} class="block">
	{#if band}
		<rect x={x(-band)} y="16" width={x(band) - x(-band)} height={foot - 16} fill="var(--sand)" fill-opacity="0.5" />
		<path d="M{x(-band)} 16V{foot}M{x(band)} 16V{foot}" stroke="var(--sandline)" stroke-dasharray="1 3" />
	{/if}
	{#each ticks as t (t)}
		<path d="M{x(t)} {foot}v4" stroke="var(--ink3)" />
		<text x={x(t)} y={foot + 15} class="tick">{t}</text>
	{/each}
	<path d="M{x.range()[0]} {foot}H{x.range()[1]}" stroke="var(--hair)" />
	<path d="M{x(0)} 12V{foot + 4}" stroke="var(--ink)" stroke-width="1.2" />
	{#if toLeft}<text x={x(0) - 7} y="10" class="tick side end">← {toLeft}</text>{/if}
	{#if toRight}<text x={x(0) + 7} y="10" class="tick side start">{toRight} →</text>{/if}
	<text x={(x.range()[0]! + x.range()[1]!) / 2} y={foot + 30} class="tick">{axis}</text>
	{#each rows as row, i (row.key)}
		{@const y = 22 + ROW * (i + 0.5)}
		<text x="4" y={y + 4} class="name">{row.name}</text>
		<path
			d="M{x(row.spread.p5)} {y}H{x(row.spread.p95)}"
			stroke="var(--water1)"
			stroke-width="7"
			stroke-opacity="0.35"
			stroke-linecap="round"
		/>
		<path d="M{x(row.spread.p5)} {y - 5}v10M{x(row.spread.p95)} {y - 5}v10" stroke="var(--water1)" stroke-width="1.5" />
		<circle cx={x(row.spread.median)} cy={y} r="5" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2.2" />
		<text x={Math.max(x(row.spread.p95), x(row.spread.median)) + 9} y={y + 4} class="value">{number(row.spread.median)}</text>
	{/each}
</svg>

<style>
	.tick {
		font-size: 11px;
		fill: var(--ink2);
		text-anchor: middle;
	}
	.side.end {
		text-anchor: end;
	}
	.side.start {
		text-anchor: start;
	}
	.name {
		font-size: 13px;
		font-weight: 600;
		fill: var(--ink);
	}
	.value {
		font-size: 12px;
		font-weight: 600;
		fill: var(--ink);
	}
</style>
