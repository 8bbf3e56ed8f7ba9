<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	import type { GoesWith } from '$lib/core/assess/goesWith';
	import { listWords } from '$lib/core/listWords';
	import { lengthText, type LengthUnit } from '$lib/core/assess/units';

	interface Props {
		found: readonly GoesWith[];
		unit: LengthUnit;
	}
	let { found, unit }: Props = $props();
	const WIDTH = 170;
	const HEIGHT = 22;
	const reach = $derived(Math.max(1, ...found.flatMap((g) => [Math.abs(g.low), Math.abs(g.high)])));
	const x = $derived(scaleLinear([-reach, reach], [6, WIDTH - 6]));
	const OF = { before: 'Before the session', 'at-once': 'What the session does at once' } as const;
	const groups = $derived(
		(['before', 'at-once'] as const).map((of) => ({ of, rows: found.filter((g) => g.of === of) })).filter(({ rows }) => rows.length)
	);
	const signed = (mm: number) => {
		const text = lengthText(Math.abs(mm), unit);
		return Number(text) === 0 ? text : `${mm < 0 ? '−' : '+'}${text}`;
	};
	const clear = $derived(found.filter((g) => g.clear).length);
	const byChance = $derived(Math.max(1, Math.round(found.length / 20)));
</script>

<p class="pb-1 text-[13.5px] leading-5">
	{#if clear}<b class="font-semibold">{clear} of {found.length} {clear === 1 ? 'stands' : 'stand'} clear of zero.</b>{:else}None of {found.length}
		stands clear of zero.{/if}
	<span class="text-ink2"
		>Of so many looked at, about {byChance} {byChance === 1 ? 'does' : 'do'} by chance alone. This is one person’s record, not proof.</span
	>
</p>
{#each groups as { of, rows } (of)}
	<table class="mt-1.5 w-full text-[12.5px]">
		<caption class="text-ink2 pb-0.5 text-left text-[12px]">{OF[of]}, {unit} more or less than without it</caption>
		<thead class="sr-only"><tr><th>With</th><th>Less or more</th><th>Difference and its 95 % interval</th><th>Visits</th></tr></thead>
		<tbody>
			{#each rows as g (g.factor + g.level)}<tr class="border-hair border-t {g.clear ? 'font-semibold' : ''}">
					<th scope="row" class="py-0.5 pr-2 text-left leading-4 {g.clear ? 'font-semibold' : 'font-normal'}"
						><span class="text-ink2 font-normal">{g.factor}</span>
						{g.level}{#if g.alike.length}<br /><span class="text-ink2 text-[11.5px] font-normal"
								>always with {listWords(g.alike)}: which it is cannot be told</span
							>{/if}</th
					>
					<td class="w-[176px]"
						><svg width={WIDTH} height={HEIGHT} viewBox="0 0 {WIDTH} {HEIGHT}" aria-hidden="true" class="block"
							><path d="M{x(0)} 0V{HEIGHT}" stroke="var(--coast)" />
							<path d="M{x(g.low)} {HEIGHT / 2}H{x(g.high)}" stroke="var(--sandline)" stroke-width="7" stroke-linecap="round" />
							<circle
								cx={x(g.middle)}
								cy={HEIGHT / 2}
								r="4.4"
								fill={g.clear ? 'var(--drain)' : 'var(--sheet)'}
								stroke={g.clear ? 'var(--drain)' : 'var(--ink)'}
								stroke-width="1.6"
							/></svg
						></td
					>
					<td class="px-1.5 text-right whitespace-nowrap"
						>{signed(g.middle)} <span class="text-ink2 font-normal">({signed(g.low)} to {signed(g.high)})</span></td
					>
					<td class="text-ink2 text-right font-normal whitespace-nowrap">{g.withIt} with, {g.without} without</td>
				</tr>{/each}
		</tbody>
	</table>
{/each}
<p class="text-ink2 pt-1 text-[12px] leading-4">
	Sand: the 95 % interval. Effects are drawn towards nothing by how little is known of them; what stood before has its trend taken out
	first.
</p>
