<script lang="ts">
	import { MARK_KINDS, markRow, type MarkKind } from '$lib/core/client/marks';
	import type { Mark } from '$lib/core/client/common.schema';
	import { isMidlinePlace } from '$lib/core/atlas/midline';
	import { ZONES } from '$lib/core/atlas/zones';
	import { sideIn, zoneIn, sidedWords, type SidedZone } from '$lib/core/client/sidedZone';
	import { saidDay } from '$lib/core/client/saidDay';
	import type { Client, ClientChange } from '$lib/core/records/client';
	import { problemsOfMark } from '$lib/core/screening/checkAnswer';
	import Select from '../../parts/controls/Select.svelte';
	import PlacePicker from './PlacePicker.svelte';

	interface Props {
		client: Client;
		today: string;
		newId: () => string;
		/** Chosen on the map or by name. */
		places: readonly SidedZone[];
		ontoggle: (place: SidedZone) => void;
		onchange: (change: ClientChange) => void;
	}
	let { client, today, newId, places, ontoggle, onchange }: Props = $props();
	let kind = $state<MarkKind>('mole');
	let sizeMm = $state(5);
	let since = $state('');
	let note = $state('');
	let trouble = $state('');
	const place = $derived(places.at(-1) ?? null);
	const onMidline = $derived(places.length === 2 && new Set(places.map(zoneIn)).size === 1 && isMidlinePlace(zoneIn(places[0]!)));
	function add() {
		if (!place) {
			trouble = 'Where: choose the place on the map, or by name. What lies off the face is no mark.';
			return;
		}
		const size = Number(sizeMm);
		if (!(size >= 1 && size <= 200)) {
			trouble = 'Size: give 1 to 200 mm, measured across its longest.';
			return;
		}
		const mark: Mark = {
			id: newId(),
			kind,
			zone: zoneIn(place),
			side: onMidline ? 'midline' : sideIn(place),
			sizeMm: size,
			since: since || null,
			note: note.trim()
		};
		trouble = problemsOfMark(mark, today, client.birthYear)[0]?.words ?? '';
		if (trouble) return;
		onchange(({ marks }) => ({ marks: [...marks, mark] }));
		for (const p of places) ontoggle(p);
		note = '';
		since = '';
	}
	const where = (mark: Mark) => `${ZONES[mark.zone].label.toLowerCase()}, ${mark.side === 'midline' ? 'on the midline' : mark.side}`;
</script>

<ul class="border-hair border-t text-[13px] leading-[18px]" aria-label="Marks">
	{#each client.marks as mark (mark.id)}
		<li class="border-hair flex items-start gap-2 border-b py-1.5">
			<span class="min-w-0 flex-1"
				><b class="font-semibold">{markRow(mark.kind).label}</b>, {where(mark)}, {mark.sizeMm} mm{mark.since
					? `, ${saidDay(mark.since)}`
					: ''}
				<span class="text-ink2 block">{markRow(mark.kind).asks}{mark.note ? `; ${mark.note}` : ''}</span></span
			>
			<button
				type="button"
				class="btn"
				aria-label="Take out: {markRow(mark.kind).label}, {where(mark)}"
				onclick={() => onchange(({ marks }) => ({ marks: marks.filter((m) => m.id !== mark.id) }))}>Take out</button
			>
		</li>
	{:else}<li class="text-ink2 py-2">No marks yet.</li>{/each}
</ul>
<fieldset class="mt-3 space-y-2">
	<legend class="label">A new mark</legend>
	<div class="flex flex-wrap items-end gap-2">
		<Select
			label="Kind"
			value={kind}
			options={MARK_KINDS.map((value) => ({ value, label: markRow(value).label }))}
			onchange={(k) => (kind = k)}
		/>
		<label class="block"
			><span class="label">Across, mm</span><input
				autocomplete="off"
				class="field w-20"
				type="number"
				min="1"
				max="200"
				bind:value={sizeMm}
			/></label
		>
		<label class="block"
			><span class="label">Since</span><input autocomplete="off" class="field" type="date" max={today} bind:value={since} /></label
		>
	</div>
	<p class="text-[13px]">{sidedWords(places).join('; ') || 'Choose where it is, on the map or by name.'}</p>
	<PlacePicker {places} {ontoggle} />
	<label class="block"
		><span class="label">Note</span><input autocomplete="off" class="field w-full" maxlength="2000" bind:value={note} /></label
	>
	{#if trouble}<p class="text-flag text-[12.5px]" role="alert">{trouble}</p>{/if}
	<button type="button" class="btn btn-primary" onclick={add}>Add the mark</button>
</fieldset>
