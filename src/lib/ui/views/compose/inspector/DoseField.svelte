<script lang="ts">
	import { doseAtOf, hasDoseAt } from '$lib/core/step/doseAt';
	import { withKind, withRange } from '$lib/core/step/dose';
	import { setStep } from '$lib/core/sequence/edits';
	import type { Step } from '$lib/core/step/step.schema';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Select from '../../../parts/controls/Select.svelte';
	import Stepper from '../../../parts/controls/Stepper.svelte';
	import { DOSE_OPTIONS } from '../../../parts/steps/options';
	import { setTarget } from '../steps/stepEdits';

	interface Props {
		draft: SequenceDraft;
		step: Step;
	}
	let { draft, step }: Props = $props();
	const dose = $derived(step.dose);
	const least = $derived(dose.kind === 'seconds' ? 0.1 : 1);
	const set = (change: Partial<Step>, label: string) => draft.do(setStep(draft.sequence, step.id, change, label));
	function setBound(bound: 'min' | 'max', value: number) {
		if (!Number.isFinite(value) || value < least || value > 1000) return;
		const next = bound === 'min' ? withRange(dose, value, Math.max(value, dose.max)) : withRange(dose, Math.min(value, dose.min), value);
		set({ dose: next }, `Change the range of the repeats`);
	}
</script>

<div class="text-ink2 flex flex-wrap items-center gap-1.5 text-[11.5px]">
	<Stepper
		label="repeats"
		unit=""
		value={dose.target}
		min={least}
		max={1000}
		onchange={(v) => draft.do(setTarget(draft.sequence, step, v))}
	/>
	<Select
		label="Counted in"
		value={dose.kind}
		options={DOSE_OPTIONS}
		onchange={(kind) =>
			set(
				{ dose: withKind(dose, kind, step.paceSeconds, draft.context.working.doseBreathSeconds) },
				`Count in ${kind === 'reps' ? 'repetitions' : kind}`
			)}
	/>
	<span class="flex items-center gap-1 whitespace-nowrap">
		{#each ['min', 'max'] as const as bound (bound)}
			{#if bound === 'max'}–{/if}<input
				autocomplete="off"
				class="border-edge bg-sheet h-7 w-10 rounded-lg border text-center"
				type="number"
				aria-label={bound === 'min' ? 'Least' : 'Most'}
				min={least}
				max="1000"
				value={dose[bound]}
				onchange={(e) => setBound(bound, e.currentTarget.valueAsNumber)}
			/>
		{/each}
	</span>
	{#if hasDoseAt(step)}
		<Select
			label="Where the count holds"
			value={doseAtOf(step)}
			options={[
				{ value: 'each-place', label: 'at each place' },
				{ value: 'over-all', label: 'over all' }
			]}
			onchange={(doseAt) => set({ doseAt }, doseAt === 'each-place' ? 'Count at each place' : 'Count over all places')}
		/>
	{/if}
	{#if dose.kind === 'reps'}
		<span class="flex items-center gap-1.5">
			every
			<Stepper
				label="pace in seconds"
				unit="s"
				value={step.paceSeconds}
				min={0.1}
				max={120}
				step={0.1}
				onchange={(v) => set({ paceSeconds: v }, `Change the pace to ${v} s`)}
			/>
		</span>
	{/if}
</div>

<style>
	input::-webkit-inner-spin-button {
		appearance: none;
	}
	input {
		appearance: textfield;
	}
</style>
