<script lang="ts">
	import type { Snippet } from 'svelte';
	import { ZONE_IDS, ZONES } from '$lib/core/atlas/zones';
	import { CHANGE_WORDS, type Change } from '$lib/core/assess/change';
	import { observation, type ObservationId } from '$lib/core/assess/registry';
	import FaceMap from '../../parts/map/FaceMap.svelte';
	import type { ZoneTint } from '../../parts/map/mapTypes';
	import { sidesAsSeen } from '../../parts/map/orientation';
	import VerdictSign from './VerdictSign.svelte';

	interface Props {
		/** What is compared, zone by zone. */
		observed: ObservationId;
		changes: readonly Change[];
		/** What follows below the table. */
		under: Snippet;
	}
	let { observed, changes, under }: Props = $props();
	const picture = $derived.by(() => {
		const row = observation(observed);
		return row.kind === 'grade' ? row.picture : undefined;
	});
	const tints = $derived<ZoneTint[]>(
		changes.flatMap((c) =>
			c.place && c.side
				? [
						{
							zone: c.place,
							side: c.side,
							strength: 0.05 + 0.055 * (c.after ?? c.before ?? 0),
							lines: c.after ?? 0,
							before: c.before ?? 0,
							picture,
							words: `${c.before ?? 'not felt'} to ${c.after ?? 'not felt'}`
						}
					]
				: []
		)
	);
	/** As the map beside it. */
	const ORDER = sidesAsSeen();
	const zones = $derived(ZONE_IDS.filter((z) => changes.some((c) => c.place === z)));
	const of = (zone: string, side: string) => changes.find((c) => c.place === zone && c.side === side);
	const figure = (n: number | null) => (n === null ? '–' : String(n).replace('.5', '½'));
</script>

<div class="grid grid-cols-1 gap-4 sm:grid-cols-[minmax(220px,1fr)_minmax(300px,1.1fr)]">
	<div class="flex min-h-[340px] flex-col">
		<div class="flex justify-between text-[12.5px] font-semibold">
			<span>Client’s right</span><span>Client’s left</span>
		</div>
		<div class="min-h-0 flex-1">
			<FaceMap
				view="front"
				orientation="facing"
				{tints}
				showNodes={false}
				label="What changed on the face; the table beside it says the same"
			/>
		</div>
		<p class="text-ink2 text-[12px]">Lines: the grade now. Dotted: water that went.</p>
	</div>
	<div>
		<table class="h-fit w-full text-[13px]">
			<caption class="sr-only">{observation(observed).label}, from and to, by zone and side</caption>
			<thead class="text-ink3 text-[11.5px]"
				><tr
					><th class="text-left font-normal">{observation(observed).label} 0–4</th>{#each ORDER as side (side)}<th
							class="pl-2 text-left font-normal">client’s {side}</th
						>{/each}</tr
				></thead
			>
			<tbody>
				{#each zones as zone (zone)}
					<tr class="border-hair border-t">
						<th scope="row" class="water py-1 pr-2 text-left font-normal">{ZONES[zone].label}</th>
						{#each ORDER as side (side)}
							{@const c = of(zone, side)}
							<td class="pl-2">
								{#if c}<span
										class="flex items-center gap-1.5 {c.verdict === 'changed' ? 'font-semibold' : ''}"
										title={CHANGE_WORDS[c.verdict]}
										><VerdictSign change={c} /><span>{figure(c.before)} to {figure(c.after)}</span><span class="sr-only"
											>{CHANGE_WORDS[c.verdict]}</span
										></span
									>{:else}<span class="text-ink3">–</span>{/if}
							</td>
						{/each}
					</tr>
				{:else}<tr><td colspan="3" class="text-ink2 py-3">Nothing was graded in this session.</td></tr>{/each}
			</tbody>
		</table>
		{@render under()}
	</div>
</div>
