<script lang="ts">
	import type { Side } from '$lib/core/atlas/places';
	import { ZONE_IDS, type ZoneId } from '$lib/core/atlas/zones';
	import { CHANGE_WORDS, type Change } from '$lib/core/assess/change';
	import type { OverSessions as OverSessionsFound } from '$lib/core/assess/overSessions';
	import { observation, type ObservationId } from '$lib/core/assess/registry';
	import FaceMap from '../../parts/map/FaceMap.svelte';
	import type { ZoneTint } from '../../parts/map/mapTypes';
	import { sidesAsSeen } from '../../parts/map/orientation';
	import OverSessions from './OverSessions.svelte';
	import ZoneRows from './ZoneRows.svelte';

	interface Props {
		/** What is compared, zone by zone. */
		observed: ObservationId;
		changes: readonly Change[];
		/** What grades did over all sessions, for below the table; null: nothing is said of it. */
		over: OverSessionsFound | null;
		/** How many of them were graded blind. */
		blind: number;
	}
	let { observed, changes, over, blind }: Props = $props();
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
	const figure = (n: number | null) => (n === null ? '–' : String(n).replace('.5', '½'));
	function cell(zone: ZoneId, side: Side) {
		const change = changes.find((c) => c.place === zone && c.side === side);
		if (!change) return null;
		const text = `${figure(change.before)} to ${figure(change.after)}`;
		return { change, text, words: CHANGE_WORDS[change.verdict], inPlace: false };
	}
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
				<ZoneRows {zones} {cell} />
				{#if !zones.length}<tr><td colspan="3" class="text-ink2 py-3">Nothing was graded in this session.</td></tr>{/if}
			</tbody>
		</table>
		{#if over}<OverSessions {over} label={observation(observed).label} {blind} />{/if}
	</div>
</div>
