<script lang="ts">
	import { labelOf, placeOf, whereOf, type PlaceRef } from '$lib/core/atlas/places';
	import { setStep } from '$lib/core/sequence/edits';
	import { linkRoute } from '$lib/core/atlas/route';
	import type { Step } from '$lib/core/step/step.schema';
	import { PLACE_IDS } from '$lib/core/atlas/places';
	import type { OptionalField } from '$lib/core/vocabulary/fields';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Select from '../../../parts/controls/Select.svelte';
	import Stepper from '../../../parts/controls/Stepper.svelte';
	import { SIGN_OPTIONS } from '../../../parts/steps/options';

	interface Props {
		draft: SequenceDraft;
		step: Step;
		/** One of: end, stations, lanes, reverse, until, support. */
		field: OptionalField;
	}
	let { draft, step, field }: Props = $props();
	const set = (change: Partial<Step>, label: string) => draft.do(setStep(draft.sequence, step.id, change, label));
	const link = $derived(step.places.length ? linkRoute(step.places.at(-1)!, draft.sequence.school.cheekRoute) : []);
	const byPolicy = $derived(step.end.kind === 'link' && step.end.by === 'policy');
	const hold = $derived(step.stations?.hold ?? { kind: 'seconds' as const, amount: 2 });
	const stations = $derived(new Set<PlaceRef>(step.stations?.places));
	function toggleStation(place: PlaceRef) {
		const places = step.places.filter((p) => (p === place ? !stations.has(p) : stations.has(p)));
		set({ stations: places.length ? { places, hold } : undefined }, 'Change where the stroke stops');
	}
	const ANCHORS = PLACE_IDS.map((p) => ({ value: p as string, label: labelOf(p) }));
</script>

{#if field === 'end'}
	<div class="flex flex-wrap items-center gap-1.5 text-xs">
		<Select
			label="After the move"
			value={step.end.kind}
			options={[
				{ value: 'none', label: 'Nothing' },
				{ value: 'wiggle', label: 'Wiggle' },
				{ value: 'lift', label: 'Small lift' },
				{ value: 'press', label: 'Press' },
				...(link.length || step.end.kind === 'link' ? [{ value: 'link' as const, label: 'Drain link' }] : [])
			]}
			onchange={(kind) =>
				set(
					{ end: kind === 'link' ? { kind, places: link, pumps: draft.context.working.linkPumps, by: 'hand' } : { kind } },
					'Change what comes after the move'
				)}
		/>
		{#if step.end.kind === 'link'}
			{@const end = step.end}
			<Stepper
				label="pumps at the outlet"
				unit="×"
				value={end.pumps}
				min={0}
				max={50}
				onchange={(pumps) => set({ end: { ...end, pumps, by: 'hand' } }, `Pump ${pumps} times after the move`)}
			/>
			<span class="text-ink2 leading-4"
				>{end.places.map((p) => whereOf(placeOf(p))).join(', ')}{byPolicy ? ', kept by the school' : ''}</span
			>
		{/if}
	</div>
{:else if field === 'stations'}
	<div class="flex flex-wrap items-center gap-1.5 text-xs">
		{#each step.places as place, i (`${place}${i}`)}
			<button
				type="button"
				class="btn min-h-[26px] px-2 text-xs {stations.has(place) ? 'border-ink bg-wash font-semibold' : ''}"
				aria-pressed={stations.has(place)}
				onclick={() => toggleStation(place)}>{labelOf(placeOf(place))}</button
			>
		{/each}
		{#if step.stations}
			{@const now = step.stations}
			<Stepper
				label="length of a stop"
				unit=""
				value={hold.amount}
				min={0.1}
				max={120}
				onchange={(amount) => set({ stations: { ...now, hold: { ...hold, amount } } }, 'Change how long the stops are')}
			/>
			<Select
				label="Stops in"
				value={hold.kind}
				options={[
					{ value: 'seconds', label: 'seconds' },
					{ value: 'breaths', label: 'breaths' }
				]}
				onchange={(kind) =>
					set({ stations: { ...now, hold: { kind, amount: kind === 'breaths' ? 1 : 2 } } }, 'Change how long the stops are')}
			/>
		{/if}
	</div>
{:else if field === 'lanes'}
	<Stepper label="lanes" unit="" value={step.lanes} min={1} max={12} onchange={(lanes) => set({ lanes }, `Work ${lanes} lanes`)} />
{:else if field === 'reverse'}
	<label class="flex items-center gap-2 text-xs">
		<input
			type="checkbox"
			checked={step.reverse}
			onchange={(e) => set({ reverse: e.currentTarget.checked }, e.currentTarget.checked ? 'Do it back as well' : 'Leave out the way back')}
		/> the same again the other way round
	</label>
{:else if field === 'until'}
	<div class="flex flex-wrap items-center gap-1.5 text-xs">
		<Select
			label="Until"
			value={step.until?.sign ?? 'counted'}
			options={[{ value: 'counted' as const, label: 'counted' }, ...SIGN_OPTIONS]}
			onchange={(sign) =>
				set(
					{ until: sign === 'counted' ? undefined : { sign, capSeconds: step.until?.capSeconds ?? 60 } },
					sign === 'counted' ? 'Go by the count' : `Go on until ${sign}`
				)}
		/>
		{#if step.until}
			{@const until = step.until}
			at most
			<Stepper
				label="longest time on a side in seconds"
				unit="s"
				value={until.capSeconds}
				min={5}
				max={3600}
				step={5}
				onchange={(capSeconds) => set({ until: { ...until, capSeconds } }, `Go on for ${capSeconds} s at most`)}
			/>
		{/if}
	</div>
{:else if field === 'support'}
	<div class="flex flex-wrap items-center gap-1.5 text-xs">
		<Select
			label="The other hand"
			value={step.support?.place ?? (step.support ? 'stays' : 'free')}
			options={[{ value: 'free', label: 'is free' }, { value: 'stays', label: 'one always stays' }, ...ANCHORS]}
			onchange={(v) =>
				set(
					{
						support:
							v === 'free' ? undefined : v === 'stays' ? { stays: true } : { place: v as PlaceRef, stays: step.support?.stays ?? true }
					},
					'Change what the other hand does'
				)}
		/>
	</div>
{/if}
