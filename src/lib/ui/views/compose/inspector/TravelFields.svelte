<script lang="ts">
	import { signsText } from '$lib/core/step/describe';
	import { labelOf, placeOf, whereOf, type PlaceRef } from '$lib/core/atlas/places';
	import { setStep } from '$lib/core/sequence/edits';
	import { linkRoute } from '$lib/core/atlas/route';
	import type { Step } from '$lib/core/step/step.schema';
	import { PLACE_IDS } from '$lib/core/atlas/places';
	import type { OptionalField } from '$lib/core/vocabulary/fields';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import KeptField from '../../../parts/controls/KeptField.svelte';
	import Select from '../../../parts/controls/Select.svelte';
	import Stepper from '../../../parts/controls/Stepper.svelte';
	import { SIGN_OPTIONS } from '../../../parts/steps/options';

	type Sign = (typeof SIGN_OPTIONS)[number]['value'];
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
	/** A small end of each repetition stays when the way on is added. */
	const finish = $derived(step.end.kind === 'none' || step.end.kind === 'link' ? {} : { finish: step.end.kind });
	const hold = $derived(step.stations?.hold ?? { kind: 'seconds' as const, amount: 2 });
	const stations = $derived(new Set<PlaceRef>(step.stations?.places));
	function toggleStation(place: PlaceRef) {
		const places = step.places.filter((p) => (p === place ? !stations.has(p) : stations.has(p)));
		set({ stations: places.length ? { places, hold } : undefined }, 'Change where the stroke stops');
	}
	function toggleSign(sign: Sign) {
		const had = step.until?.signs ?? [];
		const signs = had.includes(sign) ? had.filter((x) => x !== sign) : [...had, sign];
		setUntil(signs, step.until?.own);
	}
	function setUntil(signs: readonly Sign[], own: string | undefined) {
		const said = signs.length || own ? { signs: [...signs], ...(own ? { own } : {}) } : undefined;
		const until = said && { ...said, capSeconds: step.until?.capSeconds ?? 60 };
		set({ until }, until ? `Go on until ${signsText(until)}` : 'Go by the count');
	}
	function setSupport(change: Partial<NonNullable<Step['support']>>) {
		const next = { stays: true, ...step.support, ...change };
		const said = Object.entries(next).filter(([, v]) => v !== undefined);
		set({ support: Object.fromEntries(said) as NonNullable<Step['support']> }, 'Change what holds');
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
					{ end: kind === 'link' ? { kind, places: link, pumps: draft.context.working.linkPumps, by: 'hand', ...finish } : { kind } },
					'Change what comes after the move'
				)}
		/>
		{#if step.end.kind === 'link'}
			{@const end = step.end}
			<Select
				label="Before it"
				value={end.finish ?? 'none'}
				options={[
					{ value: 'none', label: 'nothing before' },
					{ value: 'wiggle', label: 'after a wiggle' },
					{ value: 'lift', label: 'after a small lift' },
					{ value: 'press', label: 'after a press' }
				]}
				onchange={(wish) => {
					const { finish: _before, ...rest } = end;
					set({ end: { ...rest, by: 'hand', ...(wish === 'none' ? {} : { finish: wish }) } }, 'Change how each repetition ends');
				}}
			/>
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
	<div class="flex flex-wrap items-center gap-1.5 text-xs">
		<Stepper
			label="lanes"
			unit=""
			value={step.lanes}
			min={1}
			max={12}
			onchange={(lanes) => set({ lanes, laneWays: undefined }, `Work ${lanes} lanes`)}
		/>
		{#if step.lanes > 1}
			<Select
				label="How the lanes lie"
				value={step.laneRun ?? 'side'}
				options={[
					{ value: 'side', label: 'side by side' },
					{ value: 'diagonal', label: 'diagonal' },
					{ value: 'inner-outer', label: 'from inner to outer' }
				]}
				onchange={(run) => set({ laneRun: run === 'side' ? undefined : run }, 'Change how the lanes lie')}
			/>
		{/if}
	</div>
{:else if field === 'reverse'}
	<label class="flex items-center gap-2 text-xs">
		<input
			type="checkbox"
			checked={step.reverse}
			onchange={(e) => set({ reverse: e.currentTarget.checked }, e.currentTarget.checked ? 'Do it back as well' : 'Leave out the way back')}
		/> the same again the other way round
	</label>
{:else if field === 'until'}
	<div class="flex flex-wrap items-center gap-1.5 text-xs" role="group" aria-label="Until">
		{#each SIGN_OPTIONS as { value: sign, label } (sign)}
			{@const on = step.until?.signs.includes(sign) ?? false}
			<button
				type="button"
				class="btn min-h-[26px] px-2 text-xs {on ? 'border-ink bg-wash font-semibold' : ''}"
				aria-pressed={on}
				onclick={() => toggleSign(sign)}>{label}</button
			>
		{/each}
		<KeptField
			label="Until, in your own words"
			hidden
			class="field min-h-7 py-0.5 text-xs"
			placeholder="or in your own words"
			maxlength={80}
			value={step.until?.own ?? ''}
			of={step.id}
			onkeep={(text) => setUntil(step.until?.signs ?? [], text.trim() || undefined)}
			onleave={() => draft.settle()}
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
							v === 'free'
								? undefined
								: { ...step.support, place: v === 'stays' ? undefined : (v as PlaceRef), stays: step.support?.stays ?? true }
					},
					'Change what the other hand does'
				)}
		/>
		{#if step.support}
			<Select
				label="What holds"
				value={step.support.thumb ? 'thumb' : 'hand'}
				options={[
					{ value: 'hand', label: 'the other hand' },
					{ value: 'thumb', label: 'one’s own thumb' }
				]}
				onchange={(v) => setSupport({ thumb: v === 'thumb' ? true : undefined })}
			/>
			<Select
				label="The anchor"
				value={step.support.moves ? 'moves' : 'still'}
				options={[
					{ value: 'still', label: 'keeps still' },
					{ value: 'moves', label: 'moves along' }
				]}
				onchange={(v) => setSupport({ moves: v === 'moves' ? true : undefined })}
			/>
			<Select
				label="Her head"
				value={step.support.head ?? 'rests'}
				options={[
					{ value: 'rests', label: 'her head rests' },
					{ value: 'resists', label: 'her head resists' },
					{ value: 'pushed', label: 'her head is pushed' }
				]}
				onchange={(v) => setSupport({ head: v === 'rests' ? undefined : v })}
			/>
		{/if}
	</div>
{/if}
