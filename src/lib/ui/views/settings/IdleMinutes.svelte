<script lang="ts">
	import { IDLE_MINUTES } from '$lib/state/lockSetup.svelte';
	import Segmented from '$lib/ui/parts/controls/Segmented.svelte';

	type Minutes = (typeof IDLE_MINUTES)[number];
	let { value, onchange }: { value: Minutes; onchange: (minutes: Minutes) => void } = $props();
</script>

<div class="flex flex-wrap items-center gap-3">
	<span class="text-ink2 text-[13.5px]" aria-hidden="true">Locks by itself after</span>
	<Segmented
		label="Locks by itself after"
		value={String(value)}
		options={IDLE_MINUTES.map((minutes) => ({ value: String(minutes), label: minutes ? `${minutes} min` : 'Never' }))}
		onchange={(minutes) => onchange(Number(minutes) as Minutes)}
	/>
</div>
