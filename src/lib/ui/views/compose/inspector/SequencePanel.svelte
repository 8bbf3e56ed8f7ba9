<script lang="ts">
	import { MAX_TEXT } from '$lib/core/step/sizes';
	import KeptField from '../../../parts/controls/KeptField.svelte';
	import { clock } from '$lib/core/step/describe';
	import { setHead } from '$lib/core/sequence/edits';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Select from '../../../parts/controls/Select.svelte';
	import Stepper from '../../../parts/controls/Stepper.svelte';
	import { choiceGroups } from '$lib/core/sequence/chosen';
	import { choose } from '$lib/core/sequence/versionEdits';
	import CourseField from './CourseField.svelte';
	import FitPanel from './FitPanel.svelte';
	import GoalsPanel from './GoalsPanel.svelte';
	import SchoolField from './SchoolField.svelte';
	import VersionsPanel from './VersionsPanel.svelte';
	import { mirrorAll } from '$lib/core/sequence/manyEdits';

	interface Props {
		draft: SequenceDraft;
	}
	let { draft }: Props = $props();
	const sequence = $derived(draft.sequence);
	const choices = $derived(choiceGroups(sequence));
	/** The shortest is never longer than the whole. */
	const within = (seconds: number) => ((sequence.leastSeconds ?? 0) >= seconds ? { leastSeconds: undefined } : {});
	const load = $derived(draft.judgement.balance.overall);
</script>

<dl class="mt-1 grid grid-cols-[64px_minmax(0,1fr)] items-center gap-y-2">
	<dt class="self-start pt-1.5">School</dt>
	<dd><SchoolField {draft} /></dd>
	<dt>Minutes</dt>
	<dd>
		<Stepper
			label="minutes"
			unit="min"
			value={Math.round(sequence.budgetSeconds / 60)}
			min={1}
			max={240}
			onchange={(m) => draft.do(setHead(sequence, { budgetSeconds: m * 60, ...within(m * 60) }, `Give it ${m} minutes`))}
		/>
	</dd>
	<dt>At least</dt>
	<dd>
		<Stepper
			label="least minutes"
			unit="min"
			value={Math.round((sequence.leastSeconds ?? sequence.budgetSeconds) / 60)}
			min={1}
			max={Math.floor(sequence.budgetSeconds / 60)}
			onchange={(m) =>
				draft.do(
					setHead(
						sequence,
						{ leastSeconds: m * 60 < sequence.budgetSeconds ? m * 60 : undefined },
						`It may be made as short as ${m} minutes`
					)
				)}
		/>
	</dd>
	<dt></dt>
	<dd><FitPanel {draft} /></dd>
	{#each choices as { group, options, chosen } (group)}
		<dt class="truncate">{group}</dt>
		<dd>
			<Select
				label="Which {group}"
				value={chosen}
				options={options.map((o) => ({ value: o, label: o }))}
				onchange={(option) => draft.do(choose(sequence, group, option))}
			/>
		</dd>
	{/each}
	<dt>How often</dt>
	<dd><CourseField {draft} /></dd>
	<dt class="self-start pt-1.5">Goals</dt>
	<dd><GoalsPanel {draft} /></dd>
	<dt>For</dt>
	<dd>
		<Select
			label="Performed on"
			value={sequence.performer}
			options={[
				{ value: 'client', label: 'A client' },
				{ value: 'self', label: 'Myself' }
			]}
			onchange={(performer) => draft.do(setHead(sequence, { performer }, 'Change for whom it is'))}
		/>
	</dd>
	<dt class="self-start pt-1">Notes</dt>
	<dd>
		<KeptField
			label="Notes on the sequence"
			hidden
			class="field text-xs"
			rows={3}
			maxlength={MAX_TEXT}
			value={sequence.notes}
			of={sequence.id}
			onkeep={(notes) => void draft.adjust((base) => setHead(base, { notes }, 'Change the notes'))}
			onleave={() => draft.settle()}
		/>
	</dd>
	<dt class="self-start">Balance</dt>
	<dd>
		<table class="w-full text-xs">
			<thead class="text-ink3 text-[11px]">
				<tr
					><th class="text-left font-normal">Side</th><th class="text-right font-normal">Time</th><th class="text-right font-normal"
						>Strokes</th
					><th class="text-right font-normal">kPa·min</th></tr
				>
			</thead>
			<tbody>
				{#each ['left', 'right'] as const as side (side)}
					<tr>
						<td>Client’s {side}</td>
						<td class="text-right">{clock(load[side].seconds)}</td>
						<td class="text-right">{Math.round(load[side].reps)}</td>
						<td class="text-right">{(load[side].weightedSeconds / 60).toFixed(1)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</dd>
	<dt>Sides</dt>
	<dd>
		<button type="button" class="btn" onclick={() => draft.do(mirrorAll(sequence))}>Mirror the whole sequence</button>
	</dd>
</dl>
<VersionsPanel {draft} />

<style>
	dt {
		color: var(--ink3);
		font-size: 12px;
	}
</style>
