<script lang="ts">
	import { capital } from '$lib/core/capital';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import { CLAYS, SLIDERS, SLIDER_IDS, type Clay, type Settings, type SliderId } from '$lib/state/simulated';

	interface Props {
		settings: Settings;
		clay: Clay;
		onset: (id: SliderId, value: number) => void;
		onclay: (clay: Clay) => void;
	}
	let { settings, clay, onset, onclay }: Props = $props();
	const clays = (Object.keys(CLAYS) as Clay[]).map((value) => ({ value, label: capital(value) }));
	const shown = (id: SliderId) => `${settings[id]}${SLIDERS[id].unit ? ` ${SLIDERS[id].unit}` : ''}`;
</script>

<!-- A made-up face whose truth is known: how full, how held, how lit. -->
<div class="space-y-2">
	<Segmented label="Skin" value={clay} options={clays} onchange={onclay} />
	<div class="grid grid-cols-[max-content_minmax(0,1fr)_64px] items-center gap-x-3 gap-y-1 text-[12.5px]">
		{#each SLIDER_IDS as id (id)}
			<label for="sim-{id}">{SLIDERS[id].label}</label>
			<input
				id="sim-{id}"
				type="range"
				min={SLIDERS[id].min}
				max={SLIDERS[id].max}
				step={SLIDERS[id].step}
				value={settings[id]}
				aria-valuetext={shown(id)}
				oninput={(e) => onset(id, e.currentTarget.valueAsNumber)}
			/>
			<span class="text-ink2 text-right">{shown(id)}</span>
		{/each}
	</div>
</div>
