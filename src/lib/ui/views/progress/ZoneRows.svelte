<script lang="ts">
	import type { Side } from '$lib/core/atlas/places';
	import { ZONES, type ZoneId } from '$lib/core/atlas/zones';
	import type { Change } from '$lib/core/assess/change';
	import { sidesAsSeen } from '../../parts/map/orientation';
	import VerdictSign from '../../parts/verdict/VerdictSign.svelte';

	interface Cell {
		readonly change: Pick<Change, 'verdict' | 'delta'>;
		/** What is seen. */
		readonly text: string;
		/** What it means: read out after the text, or in its place. */
		readonly words: string;
		readonly inPlace: boolean;
	}
	interface Props {
		zones: readonly ZoneId[];
		/** What stands at a zone and side; null where there is nothing. */
		cell: (zone: ZoneId, side: Side) => Cell | null;
	}
	let { zones, cell }: Props = $props();
	const ORDER = sidesAsSeen();
</script>

<!-- A row a zone, a cell a side: what was found, and whether it is real. -->
{#each zones as zone (zone)}
	<tr class="border-hair border-t">
		<th scope="row" class="water py-1 pr-2 text-left font-normal">{ZONES[zone].label}</th>
		{#each ORDER as side (side)}
			{@const c = cell(zone, side)}
			<td class="pl-2">
				{#if c}<span class="flex items-center gap-1.5 {c.change.verdict === 'changed' ? 'font-semibold' : ''}" title={c.words}
						><VerdictSign change={c.change} /><span aria-hidden={c.inPlace}>{c.text}</span><span class="sr-only">{c.words}</span></span
					>{:else}<span class="text-ink3">–</span>{/if}
			</td>
		{/each}
	</tr>
{/each}
