<script lang="ts">
	import { hour } from '../../parts/dates';
	import { useApp } from '$lib/state/app.svelte';
	import { sunAt } from '$lib/state/sun';

	/** Where the practice is: only as near as sunset needs. */
	const app = useApp();
	const place = $derived(app.settings?.place ?? null);
	const FIELDS = [
		{ id: 'latitude', label: 'Latitude', what: 'degrees north, below 0 for south', most: 90 },
		{ id: 'longitude', label: 'Longitude', what: 'degrees east, below 0 for west', most: 180 }
	] as const;
	let typed = $state<Partial<Record<'latitude' | 'longitude', number | null>>>({});
	const valueOf = (id: 'latitude' | 'longitude') => (id in typed ? (typed[id] ?? null) : (place?.[id] ?? null));
	const wrong = $derived(FIELDS.find(({ id, most }) => Math.abs(valueOf(id) ?? 0) > most) ?? null);
	const missing = $derived(FIELDS.filter(({ id }) => valueOf(id) === null));
	function take(id: 'latitude' | 'longitude', text: string) {
		typed = { ...typed, [id]: text.trim() === '' || Number.isNaN(Number(text)) ? null : Number(text) };
		const [latitude, longitude] = [valueOf('latitude'), valueOf('longitude')];
		if (latitude !== null && longitude !== null && Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180)
			void app.save({ place: { latitude, longitude } });
	}
	const sun = $derived(place ? sunAt(new Date(), place) : null);
</script>

<div class="mt-2 flex flex-wrap gap-3 text-[13.5px]">
	{#each FIELDS as { id, label, what, most } (id)}
		<label title={what}
			><span class="text-ink2 block text-[12.5px]">{label}, {what}</span>
			<input
				autocomplete="off"
				type="number"
				min={-most}
				max={most}
				step="any"
				value={valueOf(id)}
				aria-invalid={wrong?.id === id}
				class="field mt-0.5 w-28"
				onchange={(e) => take(id, e.currentTarget.value)}
			/></label
		>
	{/each}
</div>
<p class="text-ink2 mt-1 text-[13px]" role="status">
	{#if wrong}<span class="text-flag">{wrong.label} goes from −{wrong.most} to {wrong.most} degrees. Enter one in between.</span>
	{:else if missing.length}Tell where the practice is; a whole degree is near enough. Until then it looks as the device does. It stays in
		this browser.
	{:else if sun}{#await sun then { sets }}{sets
				? `Sunset today at ${hour(sets)} by this clock.`
				: 'The sun does not set today there, or does not rise.'}{/await}
	{/if}
</p>
