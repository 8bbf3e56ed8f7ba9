<script lang="ts">
	import { sidedWords } from '$lib/core/client/sidedZone';
	import type { Flag } from '$lib/core/screening/flag';
	import type { Intake } from '$lib/state/intake.svelte';
	import PlacePicker from './PlacePicker.svelte';

	interface Props {
		intake: Intake;
		flag: Flag;
		today: string;
	}
	let { intake, flag, today }: Props = $props();
	const uid = $props.id();
	const ends = $derived(flag.effects.some((e) => e.days !== undefined));
	const named = $derived(sidedWords(intake.places).join('; '));
	const problemOf = (field: string) => intake.problems.find((p) => p.field === field)?.words;
</script>

<div class="mt-3 space-y-2.5 text-[13px]" data-answer-details>
	{#if flag.wants?.includes('place')}
		<div>
			<span class="label">Where</span>
			<p class="min-h-5">{named || 'Choose on the map, or here. Until it is known, it holds for the whole area.'}</p>
			<PlacePicker places={intake.places} ontoggle={(place) => intake.togglePlace(place)} />
		</div>
	{/if}
	<div class="flex flex-wrap gap-3">
		{#if flag.wants?.includes('since')}
			<label class="block"
				><span class="label">Done or begun on</span><input
					autocomplete="off"
					class="field"
					type="date"
					max={today}
					value={intake.since ?? ''}
					aria-describedby={problemOf('Since') ? `${uid}-since` : undefined}
					aria-invalid={Boolean(problemOf('Since'))}
					onchange={(e) => (intake.since = e.currentTarget.value || null)}
				/></label
			>
		{/if}
		{#if ends}
			<label class="block"
				><span class="label">Over from, if a date was given</span><input
					autocomplete="off"
					class="field"
					type="date"
					value={intake.until ?? ''}
					aria-describedby={problemOf('Until') ? `${uid}-until` : undefined}
					aria-invalid={Boolean(problemOf('Until'))}
					onchange={(e) => (intake.until = e.currentTarget.value || null)}
				/></label
			>
		{/if}
	</div>
	{#if problemOf('Since')}<p id="{uid}-since" class="text-flag text-[12.5px]" role="alert">{problemOf('Since')}</p>{/if}
	{#if problemOf('Until')}<p id="{uid}-until" class="text-flag text-[12.5px]" role="alert">{problemOf('Until')}</p>{/if}
	<label class="block"
		><span class="label">In her words</span><input
			autocomplete="off"
			class="field w-full"
			maxlength="2000"
			bind:value={intake.note}
		/></label
	>
	{#if flag.ask}<p class="text-ink2 text-[12.5px] leading-[18px]"><b class="font-[560]">To ask her doctor:</b> {flag.ask}</p>{/if}
</div>
