<script lang="ts">
	import { SIDES } from '$lib/core/atlas/places';
	import { DISTANCES, VERDICT_WORDS } from '$lib/core/measure/distances';
	import type { DistanceRow } from '$lib/core/measure/look';
	import { lengthText, type LengthUnit } from '$lib/core/measure/units';
	import SandBar from './SandBar.svelte';
	import VerdictSign from './VerdictSign.svelte';

	interface Props {
		rows: readonly DistanceRow[];
		unit: LengthUnit;
	}
	let { rows, unit }: Props = $props();
	const ids = $derived([...new Set(rows.map((r) => r.id))]);
	const name = (id: DistanceRow['id']) => (id === 'sum' ? 'Sum of the three' : DISTANCES[id].label);
	const signed = (mm: number) => `${mm > 0 ? '+' : mm < 0 ? '−' : ''}${lengthText(Math.abs(mm), unit)}`;
</script>

<table class="w-full text-[13px]">
	<caption class="sr-only">Tape distances, second minus first, {unit}</caption>
	<thead class="text-ink3 text-[11.5px]">
		<tr
			><th class="text-left font-normal">Tape, {unit}</th><th class="px-2 text-left font-normal">side</th><th class="text-right font-normal"
				>from, to</th
			><th class="font-normal">less · more</th><th class="text-right font-normal">change</th><th class="pl-2 text-left font-normal"
				>verdict</th
			></tr
		>
	</thead>
	<tbody>
		{#each ids as id (id)}
			{#each SIDES as side (side)}
				{@const change = rows.find((r) => r.id === id && r.side === side)!.change}
				{@const strong = change.verdict === 'changed'}
				<tr class="{side === 'left' ? 'border-hair border-t' : ''} {strong ? 'font-semibold' : ''}">
					{#if side === 'left'}<th
							scope="rowgroup"
							rowspan="2"
							class="pr-2 text-left leading-4 font-normal {id === 'sum' ? 'font-semibold' : ''}">{name(id)}</th
						>{/if}
					<td class="text-ink2 px-2">{side}</td>
					<td class="text-right whitespace-nowrap"
						>{change.before === null ? '–' : lengthText(change.before, unit)} to {change.after === null
							? '–'
							: lengthText(change.after, unit)}</td
					>
					<td class="w-[132px] px-1.5"><SandBar {change} /></td>
					<td class="text-right">{change.delta === null ? '–' : signed(change.delta)}</td>
					<td class="pl-2"
						><span class="flex items-center gap-1.5 leading-4 whitespace-nowrap {strong ? '' : 'text-ink2'}"
							><VerdictSign {change} />{VERDICT_WORDS[change.verdict]}</span
						></td
					>
				</tr>
			{/each}
		{/each}
	</tbody>
</table>
