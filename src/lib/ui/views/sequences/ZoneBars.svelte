<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	import { ZONES } from '$lib/core/atlas/zones';
	import type { ZoneRow } from '$lib/core/sideBySide/sideBySide';
	import { clock } from '$lib/core/step/describe';

	interface Props {
		zones: readonly ZoneRow[];
		names: readonly [string, string];
	}
	let { zones, names }: Props = $props();
	const most = $derived(Math.max(1, ...zones.flatMap((z) => z.seconds)));
	let room = $state(320);
	const x = $derived(scaleLinear([0, most], [0, Math.max(40, room - 56)]));
</script>

<!-- Time on each zone: two bars a row, one filled, one hatched, each with its figure. -->
<table class="w-full text-xs">
	<caption class="text-ink2 pb-1 text-left text-[11.5px]"
		>Seconds on each zone, mean of both sides: <span class="key"></span>
		{names[0]}, <span class="key second"></span>
		{names[1]}</caption
	>
	<thead class="sr-only"><tr><th>Zone</th><th>{names[0]}</th><th>{names[1]}</th></tr></thead>
	<tbody>
		{#each zones as { zone, seconds: [a, b] }, i (zone)}
			<tr class="border-hair border-t">
				<th scope="row" class="water w-36 py-1 pr-2 text-left font-normal">{ZONES[zone].label}</th>
				<td class="sr-only">{clock(a)}</td><td class="sr-only">{clock(b)}</td>
				<td aria-hidden="true" class="py-0.5">
					{#if i === 0}<div bind:clientWidth={room}></div>{/if}
					<div class="flex items-center gap-1.5 leading-[13px]">
						<span class="bar" style="width: {x(a)}px"></span><span class={a >= b ? 'font-semibold' : ''}>{clock(a)}</span>
					</div>
					<div class="flex items-center gap-1.5 leading-[13px]">
						<span class="bar second" style="width: {x(b)}px"></span><span class={b >= a ? 'font-semibold' : ''}>{clock(b)}</span>
					</div>
				</td>
			</tr>
		{/each}
	</tbody>
</table>

<style>
	.bar,
	.key {
		display: inline-block;
		height: 9px;
		border-radius: 2px;
		background: var(--drain);
	}
	.key {
		width: 18px;
	}
	.second {
		border: 1px solid var(--drain);
		background: repeating-linear-gradient(115deg, var(--drainfill) 0 2px, transparent 2px 5px);
	}
</style>
