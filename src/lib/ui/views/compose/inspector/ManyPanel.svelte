<script lang="ts">
	import ArrowLeftRight from '@lucide/svelte/icons/arrow-left-right';
	import Columns2 from '@lucide/svelte/icons/columns-2';
	import Eye from '@lucide/svelte/icons/eye';
	import CopyPlus from '@lucide/svelte/icons/copy-plus';
	import FlipHorizontal2 from '@lucide/svelte/icons/flip-horizontal-2';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { LEVEL_NAMES, type Level } from '$lib/core/step/levels';
	import { clock, stepTitle } from '$lib/core/step/describe';
	import { stepped } from '$lib/core/step/dose';
	import { removeSteps } from '$lib/core/sequence/edits';
	import { duplicateSteps, groupSteps, inOrder, mirrorSteps, moveSteps, repeatOnOtherSide, setSteps } from '$lib/core/sequence/manyEdits';
	import { onOtherLid, shiftPressure, worksOneLid } from '$lib/core/sequence/likeness';
	import type { Step } from '$lib/core/step/step.schema';
	import { peakLevel } from '$lib/core/step/levelsOf';
	import type { Contact } from '$lib/core/vocabulary/vocabulary';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import ChooseLike from './ChooseLike.svelte';
	import Segmented from '../../../parts/controls/Segmented.svelte';
	import Select from '../../../parts/controls/Select.svelte';
	import Ripples from '../../../parts/glyphs/Ripples.svelte';
	import { HAND_OPTIONS, LEVEL_OPTIONS } from '../../../parts/steps/options';
	import { sideOf } from '../../../parts/steps/sideOptions';

	interface Props {
		draft: SequenceDraft;
		newId: () => string;
	}
	let { draft, newId }: Props = $props();
	const ids = $derived(draft.chosen.ids);
	const steps = $derived(inOrder(draft.sequence, ids));
	const seconds = $derived(steps.reduce((sum, s) => sum + (draft.judgement.timing.steps.get(s.id)?.expectedSeconds ?? 0), 0));
	const same = <T,>(of: (s: Step) => T): T | null => {
		const [first, ...others] = steps.map(of);
		return first !== undefined && others.every((o) => o === first) ? first : null;
	};
	const level = $derived(same(peakLevel));
	const set = (what: string, change: (s: Step) => Partial<Step>) => draft.attempt(() => setSteps(draft.sequence, ids, change, what));
	const dose = (by: number) => set('Change the repeats', (s) => ({ dose: stepped(s.dose, by) }));
	const phases = $derived([
		{ value: '', label: 'Another phase …' },
		...draft.sequence.phases.map((p) => ({ value: p.id, label: p.title }))
	]);
</script>

<h2 class="text-[15px] leading-5 font-[560]">{steps.length} steps, {clock(seconds)}</h2>
<p class="text-ink2 mb-2 text-xs leading-4">
	{steps
		.slice(0, 4)
		.map((s) => stepTitle(s))
		.join('; ')}{steps.length > 4 ? `; and ${steps.length - 4} more` : ''}
</p>
<ChooseLike {draft} />
<div class="mt-1 flex flex-wrap gap-1.5">
	<button type="button" class="btn px-2" onclick={() => draft.do(duplicateSteps(draft.sequence, ids, newId))}
		><CopyPlus size={14} />Duplicate</button
	>
	<button type="button" class="btn px-2" onclick={() => draft.attempt(() => groupSteps(draft.sequence, ids, newId))}
		><Columns2 size={14} />Side by side</button
	>
	<button type="button" class="btn px-2" onclick={() => draft.do(mirrorSteps(draft.sequence, ids))}
		><FlipHorizontal2 size={14} />Mirror</button
	>
	<button
		type="button"
		class="btn px-2"
		onclick={() =>
			draft.attempt(() => {
				const edit = repeatOnOtherSide(draft.sequence, ids, newId);
				if (!edit) throw new Error('None of these works one side only.');
				return edit;
			})}><ArrowLeftRight size={14} />Other side</button
	>
	{#if steps.some(worksOneLid)}<button
			type="button"
			class="btn px-2"
			onclick={() => draft.attempt(() => onOtherLid(draft.sequence, ids, newId, draft.sequence.school.cheekRoute))}
			><Eye size={14} />Both lids</button
		>{/if}
	<button type="button" class="btn px-2" onclick={() => draft.do(removeSteps(draft.sequence, [...ids]))}><Trash2 size={14} />Remove</button>
</div>
<dl class="mt-3 grid grid-cols-[64px_minmax(0,1fr)] items-center gap-y-2">
	<dt>Pressure</dt>
	<dd>
		<Segmented
			label="Pressure of all"
			value={level === null ? '' : `${level}`}
			options={LEVEL_OPTIONS.map(({ value }) => ({ value, label: value, title: LEVEL_NAMES[Number(value) as Level] }))}
			onchange={(l) => set('Set the pressure', () => ({ pressure: Number(l) as Level, levels: undefined }))}
		>
			{#snippet mark(l)}<Ripples level={Number(l) as Level} size={15} />{/snippet}
		</Segmented>
	</dd>
	<dt></dt>
	<dd class="flex gap-1.5">
		<button type="button" class="btn px-2" onclick={() => draft.do(shiftPressure(draft.sequence, ids, -1))}>One lighter each</button>
		<button type="button" class="btn px-2" onclick={() => draft.do(shiftPressure(draft.sequence, ids, 1))}>One firmer each</button>
	</dd>
	<dt>Repeats</dt>
	<dd class="flex gap-1.5">
		<button type="button" class="btn px-2" onclick={() => dose(-1)}>One less each</button>
		<button type="button" class="btn px-2" onclick={() => dose(1)}>One more each</button>
	</dd>
	<dt>Side</dt>
	<dd class="flex flex-wrap gap-1.5">
		{#each [['both', 'Both'], ['leftRight', 'Left, then right'], ['rightLeft', 'Right, then left']] as const as [choice, label] (choice)}
			<button
				type="button"
				class="btn px-2"
				onclick={() => set('Change the side', (s) => (s.side === undefined ? {} : { side: sideOf(choice) }))}>{label}</button
			>
		{/each}
	</dd>
	<dt>Hand</dt>
	<dd>
		<Select
			label="Hand of all"
			value={same((s) => s.contact) ?? ('' as Contact)}
			options={HAND_OPTIONS}
			onchange={(contact) => set('Change the hand', (s) => (s.contact === 'tool' ? {} : { contact }))}
		/>
	</dd>
	<dt>To save</dt>
	<dd class="flex gap-1.5">
		<button type="button" class="btn px-2" onclick={() => set('May be left out', () => ({ optional: true }))}>May be left out</button>
		<button type="button" class="btn px-2" onclick={() => set('Must be done', () => ({ optional: false }))}>Must be done</button>
	</dd>
	<dt>Move to</dt>
	<dd>
		<Select
			label="Move them to the end of"
			value=""
			options={phases}
			onchange={(phase) => phase && draft.attempt(() => moveSteps(draft.sequence, ids, { phase }))}
		/>
	</dd>
</dl>

<style>
	dt {
		color: var(--ink3);
		font-size: 12px;
	}
</style>
