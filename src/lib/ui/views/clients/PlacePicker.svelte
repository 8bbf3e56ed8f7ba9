<script lang="ts">
	import { SIDES, type Side } from '$lib/core/atlas/places';
	import { ZONE_IDS, ZONES, type ZoneId } from '$lib/core/atlas/zones';
	import { sided, sidedWords, type SidedZone } from '$lib/core/client/sidedZone';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import Select from '../../parts/controls/Select.svelte';

	interface Props {
		places: readonly SidedZone[];
		ontoggle: (place: SidedZone) => void;
	}
	let { places, ontoggle }: Props = $props();
	let side = $state<Side | 'both'>('left');
	function add(zone: ZoneId) {
		for (const on of side === 'both' ? SIDES : [side]) {
			const place = sided(zone, on);
			if (!places.includes(place)) ontoggle(place);
		}
	}
</script>

<!-- The same as on the map, by name. -->
<div class="flex flex-wrap items-center gap-1.5 pt-1">
	<Segmented
		label="Side"
		value={side}
		options={[
			{ value: 'left', label: 'Left' },
			{ value: 'right', label: 'Right' },
			{ value: 'both', label: 'Both' }
		]}
		onchange={(s) => (side = s)}
	/>
	<Select
		label="Add a place"
		value="none"
		options={[{ value: 'none', label: 'Add a place' }, ...ZONE_IDS.map((zone) => ({ value: zone, label: ZONES[zone].label }))]}
		onchange={(zone) => zone !== 'none' && add(zone as ZoneId)}
	/>
	{#each places as place (place)}
		<button type="button" class="btn" aria-label="Take out {sidedWords([place]).join()}" onclick={() => ontoggle(place)}
			>{sidedWords([place]).join()} ×</button
		>
	{/each}
</div>
