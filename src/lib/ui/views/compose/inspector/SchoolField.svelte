<script lang="ts">
	import { byTwoSchools } from '../../../parts/shell/addresses';
	import { policyLinkSeconds } from '$lib/core/links/drainPolicy';
	import { DRAIN_POLICIES } from '$lib/core/school/policies';
	import { SCHOOLS } from '$lib/core/school/schools';
	import { clock } from '$lib/core/step/describe';
	import { setHead } from '$lib/core/sequence/edits';
	import { useApp } from '$lib/state/app.svelte';
	import type { SequenceDraft } from '$lib/state/sequenceDraft.svelte';
	import Select from '../../../parts/controls/Select.svelte';

	interface Props {
		draft: SequenceDraft;
	}
	let { draft }: Props = $props();
	const app = useApp();
	const sequence = $derived(draft.sequence);
	const school = $derived(sequence.school);
	/** The shipped ones and her own; one that came with a file stands in the list as well. */
	const schools = $derived([
		...app.own.schools,
		...SCHOOLS.filter((s) => !app.own.schools.some((o) => o.id === s.id)),
		...([...app.own.schools, ...SCHOOLS].some((s) => s.id === school.id) ? [] : [school])
	]);
	const seconds = $derived(policyLinkSeconds(sequence, draft.judgement.events));
	const facts = $derived([
		['Opens', school.opening.required ? `${school.opening.nodes.length} node groups first` : 'nothing on purpose'],
		['Order', school.order.replace('-', ' ')],
		['Neck', school.neckDirection],
		['Drains', school.drainPolicy.replace('-', ' ')],
		['Fluid', `at level ${school.caps.fluid}`],
		['Muscle', `up to level ${school.caps.muscle}`]
	]);
</script>

<div class="flex flex-wrap items-center gap-2">
	<Select
		label="School"
		value={school.id}
		options={schools.map((s) => ({ value: s.id, label: s.title }))}
		onchange={(id) => {
			const next = schools.find((s) => s.id === id);
			if (next) draft.do(setHead(sequence, { school: next }, `Judge by ${next.title.toLowerCase()}`));
		}}
	/>
	<a class="dotted text-xs" href={byTwoSchools({ sequence: sequence.id })}>Judge by two schools</a>
</div>
<p class="text-ink2 mt-1.5 text-xs leading-4">{school.reason}</p>
<div class="text-ink2 mt-1.5 grid grid-cols-2 gap-x-3 text-xs leading-[18px]">
	{#each facts as [name, value] (name)}<span><span class="text-ink3">{name}</span> {value}</span>{/each}
</div>
<div class="mt-2 flex flex-wrap items-center gap-2 text-xs">
	<Select
		label="Drain links"
		value={sequence.links}
		options={[
			{ value: 'hand', label: 'Drain links by hand' },
			{ value: 'policy', label: 'Drain links kept by the school' }
		]}
		onchange={(links) =>
			draft.do(setHead(sequence, { links }, links === 'policy' ? 'Let the school keep the drain links' : 'Set the drain links by hand'))}
	/>
	<span class="text-ink2">
		{#if sequence.links === 'policy'}{DRAIN_POLICIES[school.drainPolicy]}; {seconds ? `they take ${clock(seconds)}` : 'none is needed yet'}
		{:else}the school drains {DRAIN_POLICIES[school.drainPolicy]}{/if}
	</span>
</div>
