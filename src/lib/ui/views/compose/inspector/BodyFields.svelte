<script lang="ts">
	import { MAX_TITLE } from '$lib/core/step/sizes';
	import KeptField from '../../../parts/controls/KeptField.svelte';
	import { setStep } from '$lib/core/sequence/edits';
	import type { Step } from '$lib/core/step/step.schema';
	import type { OptionalField } from '$lib/core/vocabulary/fields';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Select from '../../../parts/controls/Select.svelte';
	import Stepper from '../../../parts/controls/Stepper.svelte';
	import { BREATH_OPTIONS, LEVEL_OPTIONS, MOUTH_OPTIONS, POSTURE_OPTIONS } from '../../../parts/steps/options';
	import MediumField from './MediumField.svelte';
	import type { Level } from '$lib/core/step/levels';
	import { levelsOf } from '$lib/core/step/levelsOf';
	import SaidField from './SaidField.svelte';

	interface Props {
		draft: SequenceDraft;
		step: Step;
		/** One of: posture, mouth, eyes, breath, by, medium, replaces, tape, optional. */
		field: OptionalField;
	}
	let { draft, step, field }: Props = $props();
	const peak = $derived(Math.max(...levelsOf(step)));
	const set = (change: Partial<Step>, label: string) => draft.do(setStep(draft.sequence, step.id, change, label));
	const TAPE = [
		{ key: 'lengthMm', label: 'length in millimetres', unit: 'mm', min: 5, max: 400, step: 5 },
		{ key: 'widthMm', label: 'width in millimetres', unit: 'mm', min: 2, max: 100, step: 1 },
		{ key: 'wearHours', label: 'hours worn', unit: 'h', min: 0, max: 24, step: 0.5 }
	] as const;
	const tape = $derived(step.tape ?? { lengthMm: 30, widthMm: 8, wearHours: 2 });
</script>

{#if field === 'posture'}
	<Select label="Posture" value={step.posture} options={POSTURE_OPTIONS} onchange={(posture) => set({ posture }, 'Change the posture')} />
{:else if field === 'mouth'}
	<Select label="Mouth" value={step.mouth} options={MOUTH_OPTIONS} onchange={(mouth) => set({ mouth }, 'Change the mouth')} />
{:else if field === 'eyes'}
	<Select
		label="Eyes"
		value={step.eyes}
		options={[
			{ value: 'closed', label: 'Closed' },
			{ value: 'open', label: 'Open' }
		]}
		onchange={(eyes) => set({ eyes }, 'Change the eyes')}
	/>
{:else if field === 'breath'}
	<Select label="Breath" value={step.breath} options={BREATH_OPTIONS} onchange={(breath) => set({ breath }, 'Change the breath')} />
{:else if field === 'by'}
	<Select
		label="Done by"
		value={step.by}
		options={[
			{ value: 'practitioner', label: 'The practitioner' },
			{ value: 'client', label: 'The client herself' }
		]}
		onchange={(by) => set({ by }, 'Change who does it')}
	/>
{:else if field === 'medium'}
	<MediumField {draft} {step} />
{:else if field === 'replaces'}
	<KeptField
		label="Step of a skincare routine that it replaces"
		hidden
		class="field min-h-7 py-0.5 text-xs"
		placeholder="such as: evening cleanser"
		maxlength={MAX_TITLE}
		value={step.replaces ?? ''}
		of={step.id}
		onkeep={(text, id) => void draft.adjust((base) => setStep(base, id, { replaces: text.trim() || undefined }, 'Change what it replaces'))}
		onleave={() => draft.settle()}
	/>
{:else if field === 'amplitudeMm'}
	<Stepper
		label="how far to and fro in millimetres"
		unit="mm"
		value={step.amplitudeMm ?? 5}
		min={1}
		max={100}
		onchange={(amplitudeMm) => set({ amplitudeMm }, `Go ${amplitudeMm} mm to and fro`)}
	/>
{:else if field === 'risesTo'}
	<Select
		label="Rises to"
		value={step.risesTo === undefined ? 'same' : (String(step.risesTo) as `${Level}`)}
		options={[{ value: 'same' as const, label: 'the same all along' }, ...LEVEL_OPTIONS.filter((o) => Number(o.value) >= peak)]}
		onchange={(v) => set({ risesTo: v === 'same' ? undefined : (Number(v) as Level) }, 'Change to what the pressure rises')}
	/>
{:else if field === 'poseSeconds'}
	<Stepper
		label="held at the end of a side in seconds"
		unit="s"
		value={step.poseSeconds ?? 0}
		min={0}
		max={120}
		onchange={(s) => set({ poseSeconds: s || undefined }, s ? `Hold ${s} s at the end` : 'Hold nothing at the end')}
	/>
{:else if field === 'onlyIf' || field === 'around'}
	{@const words = field === 'onlyIf' ? { label: 'Only if', hint: 'such as: it feels loose' } : { label: 'Around', hint: 'such as: a mole' }}
	<KeptField
		label={words.label}
		hidden
		class="field min-h-7 py-0.5 text-xs"
		placeholder={words.hint}
		maxlength={MAX_TITLE}
		value={step[field] ?? ''}
		of={step.id}
		onkeep={(text, id) =>
			void draft.adjust((base) => setStep(base, id, { [field]: text.trim() || undefined }, `Change “${words.label.toLowerCase()}”`))}
		onleave={() => draft.settle()}
	/>
{:else if field === 'later'}
	<label class="flex items-center gap-2 text-xs">
		<input
			type="checkbox"
			checked={step.later ?? false}
			onchange={(e) =>
				set({ later: e.currentTarget.checked || undefined }, e.currentTarget.checked ? 'Do it at another sitting' : 'Do it now')}
		/> at another sitting: no time now
	</label>
{:else if field === 'otherwise'}
	<label class="flex items-center gap-2 text-xs">
		<input
			type="checkbox"
			checked={step.otherwise ?? false}
			onchange={(e) =>
				set(
					{ otherwise: e.currentTarget.checked || undefined },
					e.currentTarget.checked ? 'Do it instead of the step before' : 'Do it in any case'
				)}
		/> where what the step before hangs on is not so
	</label>
{:else if field === 'tape'}
	<SaidField {draft} {step} {field} />
	<div class="flex flex-wrap items-center gap-1.5 text-xs">
		{#each TAPE as { key, label, unit, min, max, step: size } (key)}
			<Stepper
				{label}
				{unit}
				value={tape[key]}
				{min}
				{max}
				step={size}
				onchange={(v) => set({ tape: { ...tape, [key]: v } }, 'Cut the tape anew')}
			/>
		{/each}
	</div>
{:else if field === 'optional'}
	<label class="flex items-center gap-2 text-xs">
		<input
			type="checkbox"
			checked={step.optional}
			onchange={(e) => set({ optional: e.currentTarget.checked }, e.currentTarget.checked ? 'May be left out' : 'Must not be left out')}
		/> may be left out to save time
	</label>
{/if}
