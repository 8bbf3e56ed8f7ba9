<script lang="ts">
	import { NODES, type NodeId } from '$lib/core/atlas/nodes';
	import { SCHOOLS, schoolById } from '$lib/core/school/schools';
	import { judgeOrder, shuffled, type OrderResult } from '$lib/core/train/order';
	import Select from '../../parts/controls/Select.svelte';
	import type { DrillProps } from './round';

	let { onround }: DrillProps = $props();
	const asked = SCHOOLS.filter((s) => s.opening.required && s.opening.nodes.length > 2);
	let schoolId = $state(asked[0]!.id);
	const school = $derived(schoolById(schoolId));
	let list = $state.raw<readonly NodeId[]>(shuffled(asked[0]!.opening.nodes, Math.random));
	let result = $state.raw<OrderResult | null>(null);
	function anew(id = schoolId) {
		schoolId = id;
		list = shuffled(schoolById(id).opening.nodes, Math.random);
		result = null;
	}
	function move(i: number, by: -1 | 1) {
		const next = [...list];
		[next[i], next[i + by]] = [next[i + by]!, next[i]!];
		list = next;
		result = null;
	}
	function check() {
		result = judgeOrder(school, list);
		onround({ value: (100 * result.wrong) / Math.max(1, result.pairs), count: list.length, what: school.title, simulated: false });
	}
</script>

<div class="flex flex-wrap items-center gap-3">
	<Select label="School" value={schoolId} options={asked.map((s) => ({ value: s.id, label: s.title }))} onchange={anew} class="min-h-11" />
	<span class="text-ink2">The first to be opened on top</span>
</div>
<ol class="mt-3 max-w-[520px]">
	{#each list as node, i (node)}
		<li class="border-hair flex min-h-12 items-center gap-3 border-b">
			<span class="text-ink2 w-6 text-right">{i + 1}</span><b class="flex-1 font-semibold">{NODES[node].label}</b>
			<button type="button" class="btn min-h-11" disabled={i === 0} aria-label="{NODES[node].label} earlier" onclick={() => move(i, -1)}
				>↑</button
			>
			<button
				type="button"
				class="btn min-h-11"
				disabled={i === list.length - 1}
				aria-label="{NODES[node].label} later"
				onclick={() => move(i, 1)}>↓</button
			>
		</li>
	{/each}
</ol>
<p class="mt-3 flex gap-2">
	<button type="button" class="btn btn-large btn-primary" onclick={check}>Check</button>
	<button type="button" class="btn btn-large" onclick={() => anew()}>Another order</button>
</p>
{#if result}
	<p class="mt-3 max-w-[70ch] text-[18px] leading-7" role="status">
		{#if result.why}<b>{result.wrong} of {result.pairs} pairs stand the wrong way.</b> {result.why}
		{:else}<b>All in the order of {school.title}.</b> {school.reason}{/if}
	</p>
{/if}
