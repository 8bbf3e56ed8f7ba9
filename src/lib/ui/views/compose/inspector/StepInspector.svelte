<script lang="ts">
	import { MAX_TEXT } from '$lib/core/step/sizes';
	import KeptField from '../../../parts/controls/KeptField.svelte';
	import ArrowLeftRight from '@lucide/svelte/icons/arrow-left-right';
	import Eye from '@lucide/svelte/icons/eye';
	import CopyPlus from '@lucide/svelte/icons/copy-plus';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { labelOf, placeOf } from '$lib/core/atlas/places';
	import { clock, stepTitle } from '$lib/core/step/describe';
	import { duplicateStep, removeSteps, setPlaces, setStep } from '$lib/core/sequence/edits';
	import { repeatOnOtherSide } from '$lib/core/sequence/manyEdits';
	import { onOtherLid, worksOneLid } from '$lib/core/sequence/likeness';
	import type { Step } from '$lib/core/step/step.schema';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import { AIMS } from '$lib/core/vocabulary/vocabulary';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import type { TideState } from '$lib/state/tide.svelte';
	import AimGlyph from '../../../parts/glyphs/AimGlyph.svelte';
	import Arrow from '../../../parts/glyphs/Arrow.svelte';
	import TipButton from '../../../parts/controls/TipButton.svelte';
	import WayEditor from '../../../parts/controls/WayEditor.svelte';
	import ChooseLike from './ChooseLike.svelte';
	import ContactField from './ContactField.svelte';
	import DoseField from './DoseField.svelte';
	import FindingsPanel from './FindingsPanel.svelte';
	import Origin from './Origin.svelte';
	import PressureField from './PressureField.svelte';
	import SideField from './SideField.svelte';
	import StepFields from './StepFields.svelte';
	import StepTide from '../tide/StepTide.svelte';

	interface Props {
		draft: SequenceDraft;
		placed: PlacedStep;
		tide: TideState | null;
		/** A new id for a duplicate or a block. */
		newId: () => string;
	}
	let { draft, placed, tide, newId }: Props = $props();
	let editingWay = $state(false);
	const dividing = () => import('./DivideField.svelte');
	const step = $derived(placed.step);
	const sequence = $derived(draft.sequence);
	const time = $derived(draft.judgement.timing.steps.get(step.id));
	/** While one types: one edit in the end, of the step that it was begun for. */
	const write = (id: string, change: Partial<Step>, label: string) => void draft.adjust((base) => setStep(base, id, change, label));
	const oneSided = $derived(step.side === 'left' || step.side === 'right');
	const findings = $derived(draft.judgement.findings.filter((f) => f.stepIds.includes(step.id)));
</script>

<div class="flex items-start gap-2.5">
	<span class="flare text-[26px] leading-[32px] font-[480]">{placed.number}</span>
	<div class="min-w-0 flex-1">
		<h2 class="text-[15px] leading-5 font-[560]">{stepTitle(step)}</h2>
		<p class="text-ink2 flex items-center gap-1.5 text-xs">
			<AimGlyph aim={step.aim} size={14} />{AIMS[step.aim]} · {clock(time?.startSeconds ?? 0)} to {clock(time?.endSeconds ?? 0)}
		</p>
	</div>
	{#if oneSided}<TipButton
			tip="Repeat on the other side (O)"
			onclick={() => draft.do(repeatOnOtherSide(sequence, new Set([step.id]), newId))}><ArrowLeftRight size={15} /></TipButton
		>{/if}
	<TipButton tip="Duplicate the step" onclick={() => draft.do(duplicateStep(sequence, step.id, newId()))}><CopyPlus size={15} /></TipButton>
	{#if worksOneLid(step)}<TipButton
			tip="The same on the other lid (E)"
			onclick={() => draft.attempt(() => onOtherLid(sequence, new Set([step.id]), newId, sequence.school.cheekRoute))}
			><Eye size={15} /></TipButton
		>{/if}
	<TipButton tip="Remove the step" onclick={() => draft.do(removeSteps(sequence, [step.id]))}><Trash2 size={15} /></TipButton>
</div>

<ChooseLike {draft} />
<dl class="mt-1 grid grid-cols-[58px_minmax(0,1fr)] items-center gap-y-1.5">
	<dt class="self-start">Place</dt>
	<dd class="text-xs leading-5">
		{#each step.places as ref, i (`${ref}${i}`)}{#if i}<Arrow />{/if}<span
				class={i === 0 || i === step.places.length - 1 ? 'font-[560]' : 'text-ink2'}
				>{i ? labelOf(placeOf(ref)).toLowerCase() : labelOf(placeOf(ref))}</span
			>{/each}
		{#if !step.places.length}{step.target ? `the ${step.target}` : 'the whole face'}{/if}
		<button type="button" class="text-ink2 dotted ml-1" aria-expanded={editingWay} onclick={() => (editingWay = !editingWay)}
			>{editingWay ? 'Done' : 'Change the path'}</button
		>
		{#if editingWay}<div class="mt-1">
				<WayEditor way={step.places} onchange={(way) => draft.do(setPlaces(sequence, step, way))} />
			</div>{/if}
	</dd>
	<dt class="self-start pt-1 leading-4">Hand or tool</dt>
	<dd><ContactField {draft} {step} /></dd>
	<dt class="self-start pt-2">Pressure</dt>
	<dd><PressureField {draft} {step} /></dd>
	<dt class="self-start pt-1.5">Repeats</dt>
	<dd><DoseField {draft} {step} /></dd>
	<dt class="self-start pt-1.5">Side</dt>
	<dd><SideField {draft} {placed} {newId} /></dd>
	{#if oneSided}
		<dt>Because</dt>
		<dd>
			<KeptField
				label="Why only one side"
				hidden
				placeholder="Why only this side"
				maxlength={MAX_TEXT}
				value={step.reason ?? ''}
				of={step.id}
				onkeep={(text, id) => write(id, { reason: text || undefined }, 'Give the reason for one side')}
				onleave={() => draft.settle()}
			/>
		</dd>
	{/if}
	<StepFields {draft} {step} />
	<dt class="self-start pt-1">Note</dt>
	<dd>
		<KeptField
			label="Note"
			hidden
			class="field min-h-7 py-0.5 text-xs"
			placeholder="Note to yourself"
			maxlength={MAX_TEXT}
			value={step.note}
			of={step.id}
			onkeep={(note, id) => write(id, { note }, 'Change the note')}
			onleave={() => draft.settle()}
		/>
	</dd>
	{#await dividing() then { default: DivideField }}<DivideField {draft} {placed} {newId} />{/await}
	{#if step.why}
		<dt class="self-start">Why</dt>
		<dd class="text-ink2 text-xs leading-4">{step.why}</dd>
	{/if}
	<Origin {sequence} {step} />
</dl>
{#if findings.length}
	<div class="border-hair mt-2.5 border-t pt-1.5">
		<FindingsPanel {draft} {tide} stepId={step.id} />
	</div>
{/if}
{#if tide}<StepTide {tide} stepId={step.id} {findings} />{/if}

<style>
	dt {
		color: var(--ink3);
		font-size: 12px;
	}
</style>
