<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import X from '@lucide/svelte/icons/x';
	import { labelOf, PLACE_IDS, placeOf, type PlaceRef } from '$lib/core/atlas/places';
	import Select from './Select.svelte';

	interface Props {
		way: readonly PlaceRef[];
		onchange: (way: PlaceRef[]) => void;
	}
	let { way, onchange }: Props = $props();
	const OPTIONS = PLACE_IDS.map((p) => ({ value: p, label: labelOf(p) }));
</script>

<ol class="flex flex-wrap gap-1.5" aria-label="Places of the path, in order">
	{#each way as ref, i (i)}
		<li class="flex items-center">
			<Select
				label="Place {i + 1}"
				value={placeOf(ref)}
				options={OPTIONS}
				onchange={(place) => onchange(way.map((p, k) => (k === i ? place : p)))}
			/>
			<button
				type="button"
				class="icon-btn h-6 w-6"
				aria-label="Take out place {i + 1}"
				onclick={() => onchange(way.filter((_, k) => k !== i))}><X size={13} /></button
			>
		</li>
	{/each}
	<li>
		<button type="button" class="btn" onclick={() => onchange([...way, way.at(-1) ?? 'malar'])}><Plus size={13} />Place</button>
	</li>
</ol>
