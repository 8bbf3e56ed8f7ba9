<script lang="ts">
	import { LICENCE_IDS, licenceEntry, licenceRow, type LicenceId } from '$lib/core/screening/licence';
	import { saidDay } from '$lib/core/client/saidDay';
	import { MAX_TEXT } from '$lib/core/step/sizes';
	import { useApp } from '$lib/state/app.svelte';
	import KeptField from '$lib/ui/parts/controls/KeptField.svelte';
	import Segmented from '$lib/ui/parts/controls/Segmented.svelte';

	const app = useApp();
	const licence = $derived(app.settings?.licence ?? []);
	const without = (id: LicenceId) => licence.filter((entry) => entry.id !== id);
	function say(id: LicenceId, covers: 'yes' | 'no' | 'unsaid') {
		const note = licenceEntry(licence, id)?.note ?? '';
		const entry = covers === 'unsaid' ? [] : [{ id, covers, on: app.today.current, note }];
		void app.save({ licence: [...without(id), ...entry] });
	}
	function note(id: LicenceId, words: string) {
		const known = licenceEntry(licence, id);
		if (known) void app.save({ licence: [...without(id), { ...known, note: words }] });
	}
</script>

<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-8">
	<div class="mx-auto max-w-[860px]">
		<h1 class="flare pt-3 text-xl font-[520]">Local codes</h1>
		<p class="text-ink2 max-w-[68ch] py-2 text-[13.5px] leading-5">
			What a licence covers differs from place to place, and only your own authority can tell you. Note what it says: what you mark as not
			covered is said at every step, in the Library and in the findings. What is left open here is not judged. <a
				class="dotted"
				href="/settings">Back to the settings</a
			>
		</p>
		<ul class="border-hair border-t">
			{#each LICENCE_IDS as id (id)}
				{@const row = licenceRow(id)}
				{@const entry = licenceEntry(licence, id)}
				<li class="border-hair grid grid-cols-1 items-start gap-x-5 gap-y-1.5 border-b py-3 md:grid-cols-[1fr_250px]" data-licence={id}>
					<div>
						<h2 class="text-[14px] font-semibold">{row.label}</h2>
						<p class="text-ink2 text-[12.5px] leading-[17px]">{row.what}</p>
						{#if entry}<div class="mt-1.5">
								<KeptField
									label="Note for {row.label.toLowerCase()}, looked up {saidDay(entry.on)}"
									maxlength={MAX_TEXT}
									value={entry.note}
									of={id}
									onkeep={(words) => note(id, words)}
								/>
							</div>{/if}
					</div>
					<Segmented
						label={row.label}
						value={entry?.covers ?? 'unsaid'}
						options={[
							{ value: 'yes', label: 'Covered' },
							{ value: 'no', label: 'Not covered' },
							{ value: 'unsaid', label: 'Open' }
						]}
						onchange={(covers) => say(id, covers)}
					/>
				</li>
			{/each}
		</ul>
	</div>
</div>
