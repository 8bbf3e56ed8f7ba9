<script lang="ts">
	import { FIGURE } from '$lib/core/atlas/geometry';
	import { nodeOf } from '$lib/core/atlas/places';
	import { ZONES, type ZoneId } from '$lib/core/atlas/zones';
	import { judgeDirection, nextZone, type DirectionResult } from '$lib/core/train/direction';
	import FaceMap from '../../parts/map/FaceMap.svelte';
	import type { Pick } from '../../parts/map/mapTypes';
	import type { DrillProps } from './round';

	let { onround }: DrillProps = $props();
	/** Questions of one round. */
	const QUESTIONS = 8;
	let zone = $state<ZoneId>(nextZone(null, Math.random));
	let asked = $state(0);
	let right = $state(0);
	let result = $state.raw<DirectionResult | null>(null);
	function pick({ place }: Pick) {
		if (result) return;
		const node = nodeOf(place);
		if (!node) return;
		result = judgeDirection(zone, node);
		asked++;
		if (result.right) right++;
		if (asked === QUESTIONS) onround({ value: (100 * right) / QUESTIONS, count: QUESTIONS, what: '', simulated: false });
	}
	function next() {
		if (asked === QUESTIONS) [asked, right] = [0, 0];
		zone = nextZone(zone, Math.random);
		result = null;
	}
</script>

<div class="grid gap-6 lg:grid-cols-[minmax(0,1fr)_320px]">
	<div class="h-[66dvh] min-h-80">
		<FaceMap
			view="front"
			orientation="facing"
			nodesOnly
			label="Show the node group that takes the fluid of: {ZONES[zone].label}"
			onpick={pick}
		>
			{#snippet over()}
				<path
					d={FIGURE.front.zones[zone]?.d}
					fill="var(--tint)"
					fill-opacity="0.35"
					stroke="var(--ink)"
					stroke-width="2.4"
					pointer-events="none"
				/>
			{/snippet}
		</FaceMap>
	</div>
	<div>
		<p class="text-[22px] leading-8">Where does the fluid of <b>{ZONES[zone].label.toLowerCase()}</b>, client’s left, go?</p>
		<p class="text-ink2 mt-1">Show the ring. {asked} of {QUESTIONS} asked, {right} right.</p>
		{#if result}
			<p class="mt-3 text-[18px] leading-7" role="status"><b>{result.right ? 'Right.' : 'Not there.'}</b> {result.why}</p>
			<button type="button" class="btn btn-large btn-primary mt-3" onclick={next}>{asked === QUESTIONS ? 'Another round' : 'Next'}</button>
		{/if}
	</div>
</div>
