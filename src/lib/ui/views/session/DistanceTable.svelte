<script lang="ts">
	import { SIDES, type Side } from '$lib/core/atlas/places';
	import { DISTANCE_IDS, DISTANCES, type DistanceId } from '$lib/core/measure/distances';
	import { distanceOf, withDistance } from '$lib/core/measure/look';
	import type { Look } from '$lib/core/measure/records.schema';
	import { lengthText, readLength, type LengthUnit } from '$lib/core/measure/units';

	interface Props {
		look: Look;
		ghost: Look | null;
		unit: LengthUnit;
		onchange: (look: Look) => void;
	}
	let { look, ghost, unit, onchange }: Props = $props();
	let trouble = $state<{ id: DistanceId; side: Side; message: string } | null>(null);

	function enter(id: DistanceId, side: Side, input: HTMLInputElement) {
		if (!input.value.trim()) {
			trouble = null;
			return onchange(withDistance(look, id, side, null));
		}
		const reading = readLength(input.value, unit);
		trouble = reading.ok ? null : { id, side, message: reading.message };
		if (reading.ok) onchange(withDistance(look, id, side, reading.mm));
	}
	const shown = (l: Look | null, id: DistanceId, side: Side) => {
		const mm = distanceOf(l, id, side);
		return mm === null ? '' : lengthText(mm, unit);
	};
</script>

<table class="w-full text-[13.5px]">
	<caption class="sr-only">Tape distances in {unit}</caption>
	<thead>
		<tr class="text-ink3 text-[12px]">
			<th class="text-left font-normal">Tape, {unit}</th>
			{#each SIDES as side (side)}<th class="w-[92px] font-normal">client’s {side}</th>{/each}
		</tr>
	</thead>
	<tbody>
		{#each DISTANCE_IDS as id (id)}
			<tr>
				<th scope="row" class="pr-2 text-left leading-[17px] font-normal">{DISTANCES[id].label}</th>
				{#each SIDES as side (side)}
					{@const wrong = trouble?.id === id && trouble.side === side}
					<td class="px-0.5 py-0.5">
						<input
							class="field field-large text-right font-semibold placeholder:text-[13px] placeholder:font-normal {wrong
								? 'border-flag'
								: ''}"
							inputmode="decimal"
							aria-label="{DISTANCES[id].label}, client’s {side}, {unit}"
							aria-invalid={wrong}
							aria-describedby={wrong ? 'distance-trouble' : undefined}
							placeholder={shown(ghost, id, side) ? `was ${shown(ghost, id, side)}` : '–'}
							value={shown(look, id, side)}
							onchange={(e) => enter(id, side, e.currentTarget)}
						/>
					</td>
				{/each}
			</tr>
		{/each}
	</tbody>
</table>
{#if trouble}<p id="distance-trouble" class="text-flag mt-1 text-[13px]" role="alert">
		{trouble.message}
	</p>{/if}
