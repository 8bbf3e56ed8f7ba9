<script lang="ts">
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import CopyPlus from '@lucide/svelte/icons/copy-plus';
	import { labelOf, placeOf, whereOf } from '$lib/core/atlas/places';
	import { needsFilm } from '$lib/core/glide/film';
	import { capAt } from '$lib/core/pressure/caps';
	import { clock, stepTitle } from '$lib/core/sequence/describe';
	import { duplicateStep, removeSteps, setStep } from '$lib/core/sequence/edits';
	import { linkRoute } from '$lib/core/sequence/route';
	import type { Step } from '$lib/core/sequence/sequence.schema';
	import { peakLevel, type PlacedStep } from '$lib/core/sequence/walk';
	import { AIMS, BREATHS, CONTACT_AREA_CM2, POSTURES, type Contact, type Motion } from '$lib/core/technique/vocabulary';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import AimGlyph from '../glyphs/AimGlyph.svelte';
	import Arrow from '../glyphs/Arrow.svelte';
	import Footprint from '../glyphs/Footprint.svelte';
	import SideGlyph from '../glyphs/SideGlyph.svelte';
	import Select from '../controls/Select.svelte';
	import TipButton from '../controls/TipButton.svelte';
	import Stepper from '../controls/Stepper.svelte';
	import { CONTACT_OPTIONS, MOTION_OPTIONS, TOOL_OPTIONS } from '../steps/options';
	import { choiceOf, sideOf, sideOptions } from '../steps/sideOptions';
	import { setContact, setLevel, setTarget } from '../steps/stepEdits';
	import FindingsPanel from './FindingsPanel.svelte';
	import MediumField from './MediumField.svelte';
	import PressureKeys from './PressureKeys.svelte';

	interface Props {
		draft: SequenceDraft;
		placed: PlacedStep;
		/** A new id for a duplicate. */
		newId: () => string;
	}
	let { draft, placed, newId }: Props = $props();
	const step = $derived(placed.step);
	const sequence = $derived(draft.sequence);
	const time = $derived(draft.judgement.timing.steps.get(step.id));
	const cap = $derived(
		step.places
			.map((p) => capAt(step, p, sequence.school))
			.reduce<ReturnType<typeof capAt>>((a, b) => (!a || (b && b.level < a.level) ? b : a), null)
	);
	const set = (change: Partial<Step>, label?: string) => draft.do(setStep(sequence, step.id, change, label));
	const oneSided = $derived(step.side === 'left' || step.side === 'right');
	const unit = $derived({ reps: '×', seconds: 's', breaths: 'br' }[step.dose.kind]);
	const link = $derived(step.places.length ? linkRoute(step.places.at(-1)!, sequence.school.cheekRoute) : []);
	const hasFindings = $derived(draft.judgement.findings.some((f) => f.stepIds.includes(step.id)));
</script>

<div class="flex items-start gap-2.5">
	<span class="flare text-[26px] leading-[32px] font-[480]">{placed.number}</span>
	<div class="min-w-0 flex-1">
		<h2 class="text-[15px] leading-5 font-[560]">{stepTitle(step)}</h2>
		<p class="text-ink2 flex items-center gap-1.5 text-xs">
			<AimGlyph aim={step.aim} size={14} />{AIMS[step.aim]} · {clock(time?.startSeconds ?? 0)} to {clock(time?.endSeconds ?? 0)}
		</p>
	</div>
	<TipButton tip="Duplicate the step" onclick={() => draft.do(duplicateStep(sequence, step.id, newId()))}><CopyPlus size={15} /></TipButton>
	<TipButton tip="Remove the step" onclick={() => draft.do(removeSteps(sequence, [step.id]))}><Trash2 size={15} /></TipButton>
</div>

<dl class="mt-2 grid grid-cols-[58px_minmax(0,1fr)] items-center gap-y-1.5">
	<dt>Place</dt>
	<dd class="text-xs leading-5">
		{#each step.places as ref, i (`${ref}${i}`)}{#if i}<Arrow />{/if}<span
				class={i === 0 || i === step.places.length - 1 ? 'font-[560]' : 'text-ink2'}
				>{i ? labelOf(placeOf(ref)).toLowerCase() : labelOf(placeOf(ref))}</span
			>{/each}
		{#if !step.places.length}{step.target ? `the ${step.target}` : 'the whole face'}{/if}
	</dd>
	<dt>Contact</dt>
	<dd class="flex flex-wrap gap-1.5">
		<Select
			label="Contact"
			value={step.contact}
			options={CONTACT_OPTIONS}
			onchange={(c: Contact) => draft.do(setContact(sequence, step, c))}
		>
			{#snippet mark(c)}<Footprint contact={c} tool={c === 'tool' ? (step.tool?.id ?? 'stone-plate') : undefined} />{/snippet}
		</Select>
		{#if step.contact === 'tool' && step.tool}
			<Select
				label="Tool"
				value={step.tool.id}
				options={TOOL_OPTIONS.filter((t) => t.value !== 'gloves')}
				onchange={(t) => draft.do(setContact(sequence, step, 'tool', t))}
			/>
		{/if}
		<Select label="Motion" value={step.motion} options={MOTION_OPTIONS} onchange={(m: Motion) => set({ motion: m })} />
	</dd>
	<dt>Pressure</dt>
	<dd>
		<PressureKeys
			level={peakLevel(step)}
			cap={cap?.level ?? null}
			areaCm2={CONTACT_AREA_CM2[step.contact]}
			working={draft.context.working}
			onchange={(l) => draft.do(setLevel(sequence, step, l))}
		/>
	</dd>
	<dt>Dose</dt>
	<dd class="text-ink2 flex items-center gap-1.5 text-[11.5px]">
		<Stepper label="dose" {unit} value={step.dose.target} min={1} max={1000} onchange={(v) => draft.do(setTarget(sequence, step, v))} />
		{#if step.dose.kind === 'reps'}
			every
			<Stepper
				label="pace in seconds"
				unit="s"
				value={step.paceSeconds}
				min={0.1}
				max={120}
				step={0.1}
				onchange={(v) => set({ paceSeconds: v })}
			/>
		{:else}a side{/if}
		<span class="text-ink3 whitespace-nowrap">{step.dose.min}–{step.dose.max}</span>
	</dd>
	<dt>Side</dt>
	<dd class="flex flex-wrap items-center gap-1.5">
		{#if step.side === undefined}<span class="text-ink2 text-xs">as its block: one side, then the other</span>
		{:else}
			<Select label="Side" value={choiceOf(step.side)} options={sideOptions(step.places)} onchange={(c) => set({ side: sideOf(c) })}>
				{#snippet mark(c)}<SideGlyph side={sideOf(c)} />{/snippet}
			</Select>
		{/if}
	</dd>
	{#if oneSided}
		<dt>Because</dt>
		<dd>
			<input
				class="field"
				aria-label="Why only one side"
				placeholder="Why only this side"
				maxlength="2000"
				value={step.reason ?? ''}
				onchange={(e) => set({ reason: e.currentTarget.value || undefined }, 'Give the reason for one side')}
			/>
		</dd>
	{/if}
	{#if step.places.length}
		<dt>Then</dt>
		<dd class="flex items-center gap-1.5 text-xs">
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
					set({
						end: kind === 'link' ? { kind, places: link, pumps: draft.context.working.linkPumps, by: 'hand' } : { kind }
					})}
			/>
			{#if step.end.kind === 'link'}
				<span class="text-ink2 leading-4">{step.end.places.map((p) => whereOf(placeOf(p))).join(', ')}</span>
			{/if}
		</dd>
	{/if}
	{#if step.medium || step.aim === 'prepare' || needsFilm(step)}
		<dt class="self-start pt-1.5">Medium</dt>
		<dd><MediumField {draft} {step} /></dd>
	{/if}
	{#if step.posture !== 'neutral' || step.breath !== 'free'}
		<dt>Body</dt>
		<dd class="text-ink2 text-xs">
			{[step.posture !== 'neutral' ? POSTURES[step.posture] : '', step.breath !== 'free' ? BREATHS[step.breath].toLowerCase() : '']
				.filter(Boolean)
				.join(', ')}
		</dd>
	{/if}
	<dt class="self-start pt-1">Note</dt>
	<dd>
		<input
			class="field min-h-7 py-0.5 text-xs"
			aria-label="Note"
			placeholder="Note to yourself"
			maxlength="2000"
			value={step.note}
			onchange={(e) => set({ note: e.currentTarget.value }, 'Change the note')}
		/>
	</dd>
	{#if step.why}
		<dt class="self-start">Why</dt>
		<dd class="text-ink2 text-xs leading-4">{step.why}</dd>
	{/if}
</dl>
{#if hasFindings}
	<div class="border-hair mt-2.5 border-t pt-1.5">
		<FindingsPanel {draft} stepId={step.id} />
	</div>
{/if}

<style>
	dt {
		color: var(--ink3);
		font-size: 12px;
	}
</style>
