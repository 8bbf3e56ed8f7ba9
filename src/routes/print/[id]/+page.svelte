<script lang="ts">
	import { composeAt, idIn } from '$lib/ui/parts/shell/addresses';
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import { judge } from '$lib/core/rules/judge';
	import { groupFindings, groupSentence } from '$lib/core/rules/grouping';
	import { courseText } from '$lib/core/sequence/course';
	import { stepsOf } from '$lib/core/sequence/walk';
	import { clock, stepTitle } from '$lib/core/step/describe';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { AIMS, TOOLS } from '$lib/core/vocabulary/vocabulary';
	import { CAUTION_LINE } from '$lib/formats/caution';
	import { useApp } from '$lib/state/app.svelte';
	import PrintTable from '$lib/ui/views/compose/PrintTable.svelte';
	import ScoreSheet from '$lib/ui/parts/picture/ScoreSheet.svelte';

	const app = useApp();
	/** Undefined until it is known. */
	let sequence = $state.raw<Sequence | null>();
	$effect(() => {
		const id = idIn(page.params.id);
		untrack(() => void app.run(() => app.repo.sequence(id!)).then((s) => (sequence = s?.sequence ?? null)));
	});
	const judged = $derived(sequence ? judge(sequence, app.context) : null);
	/** What is not done now: at another sitting, or the option that was not chosen. */
	const later = $derived(sequence && judged ? stepsOf(sequence).filter((s) => !judged.context.byId.has(s.step.id)) : []);
	const tools = $derived([
		...new Set(judged?.context.steps.flatMap(({ step }) => (step.tool ? [TOOLS[step.tool.id].toLowerCase()] : [])) ?? [])
	]);
	const grave = $derived(groupFindings(judged?.findings.filter((f) => f.severity !== 'advice') ?? []));
</script>

{#if sequence && judged}
	<div class="sheet mx-auto w-full max-w-[820px] p-6">
		<div class="no-print mb-4 flex gap-2">
			<a class="btn" href={composeAt(sequence.id)}>Back</a><button type="button" class="btn btn-primary" onclick={() => window.print()}
				>Print</button
			>
		</div>
		<h1 class="text-2xl font-[540]">{sequence.title}</h1>
		<p class="py-1">
			{clock(judged.timing.expectedSeconds)} ({clock(judged.timing.minSeconds)} to {clock(judged.timing.maxSeconds)}), {sequence.school.title.toLowerCase()},
			for {sequence.performer === 'self' ? 'oneself' : 'a client'}{sequence.course ? `, ${courseText(sequence.course)}` : ''}
		</p>
		{#if tools.length}<p class="pb-1">Tools: {tools.join(', ')}.</p>{/if}
		<p class="my-2 border-y-2 border-current py-1.5 font-[560]">{CAUTION_LINE}</p>
		<div class="score"><ScoreSheet {sequence} events={judged.events} byId={judged.context.byId} width={1240} /></div>
		<PrintTable {sequence} {judged} />
		{#if later.length}
			<h2 class="pt-4 font-semibold">At another sitting, or another way</h2>
			<ul class="list-disc pl-5">
				{#each later as { step, number, phase } (step.id)}
					<li>
						{number}
						{AIMS[step.aim].toLowerCase()}, {stepTitle(step)} ({phase.title}){step.choice
							? `: ${step.choice.group}, ${step.choice.option}`
							: ''}
					</li>
				{/each}
			</ul>
		{/if}
		{#if grave.length}
			<h2 class="pt-4 font-semibold">Before it is done</h2>
			<ul class="list-disc pl-5">
				{#each grave as group (group.key)}{@const s = groupSentence(group)}
					<li><b>{s.head}</b> {s.body}</li>{/each}
			</ul>
		{/if}
		{#if sequence.notes}<h2 class="pt-4 font-semibold">Notes</h2>
			<p>{sequence.notes}</p>{/if}
		<p class="pt-6 text-[11px]">
			Client’s left and right. Above the shore the client’s left, below it the right. {CAUTION_LINE}
		</p>
	</div>
{:else if sequence === null}<p class="p-6">This sequence is not here. <a class="dotted" href="/compose">All sequences</a></p>{/if}

<style>
	.score :global(svg) {
		width: 100%;
		height: auto;
	}
</style>
