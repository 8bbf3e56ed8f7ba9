<script lang="ts">
	import { composeAt, idIn } from '$lib/ui/parts/shell/addresses';
	import { optionTexts } from '$lib/core/step/stepFields';
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import { labelOf, placeOf, whereOf } from '$lib/core/atlas/places';
	import { LEVEL_NAMES } from '$lib/core/step/levels';
	import { judge } from '$lib/core/rules/judge';
	import { sentenceOf } from '$lib/core/rules/wording';
	import { clock, doseText, sideText } from '$lib/core/step/describe';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import type { Step } from '$lib/core/step/step.schema';
	import { peakLevel } from '$lib/core/step/levelsOf';
	import { AIMS, CONTACTS, TOOLS } from '$lib/core/vocabulary/vocabulary';
	import { CAUTION_LINE } from '$lib/formats/caution';
	import { useApp } from '$lib/state/app.svelte';
	import ScoreSheet from '$lib/ui/parts/picture/ScoreSheet.svelte';

	const app = useApp();
	let sequence = $state.raw<Sequence | null>(null);
	$effect(() => {
		const id = idIn(page.params.id);
		untrack(() => void app.run(() => app.repo.sequence(id!)).then((s) => (sequence = s?.sequence ?? null)));
	});
	const judged = $derived(sequence ? judge(sequence, app.context) : null);
	const path = (step: Step) =>
		step.places
			.map((p, i) => (i ? whereOf(placeOf(p)) : labelOf(placeOf(p))))
			.filter((name, i, all) => name.toLowerCase() !== all[i - 1]?.toLowerCase())
			.join(', ') || 'Whole face';
	const grave = $derived(judged?.findings.filter((f) => f.severity !== 'advice') ?? []);
	$effect(() => app.nameTitle(sequence?.title));
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
			for {sequence.performer === 'self' ? 'oneself' : 'a client'}
		</p>
		<p class="my-2 border-y-2 border-current py-1.5 font-[560]">{CAUTION_LINE}</p>
		<div class="score"><ScoreSheet {sequence} events={judged.events} byId={judged.context.byId} width={1240} /></div>
		<table class="mt-2 w-full border-collapse text-[12px]">
			<thead
				><tr class="border-b border-current text-left"
					><th>No</th><th>Aim</th><th>Place</th><th>Contact</th><th>Pressure</th><th>Dose</th><th>Side</th><th class="text-right">At</th
					></tr
				></thead
			>
			<tbody>
				{#each judged.context.steps as { step, number, phase, at } (step.id)}
					{#if at[1] === 0 && at[2] === 0}<tr><th colspan="8" class="pt-2.5 text-left text-[13px]">{phase.title}</th></tr>{/if}
					<tr class="border-hair border-b align-top">
						<td class="py-1 pr-2">{number}</td><td class="pr-2">{AIMS[step.aim]}</td>
						<td class="pr-2 whitespace-nowrap"
							>{path(step)}{#each optionTexts(step) as option (option.label)}<br /><i>{option.label} {option.text}</i
								>{/each}{#if step.note}<br /><i>{step.note}</i>{/if}</td
						>
						<td class="pr-2 whitespace-nowrap">{step.contact === 'tool' && step.tool ? TOOLS[step.tool.id] : CONTACTS[step.contact]}</td>
						<td class="pr-2">{peakLevel(step)} {LEVEL_NAMES[peakLevel(step)]}</td><td class="pr-2 whitespace-nowrap"
							>{doseText(step.dose)}</td
						><td class="pr-2 whitespace-nowrap">{sideText(step.side)}</td>
						<td class="text-right">{clock(judged.timing.steps.get(step.id)?.startSeconds ?? 0)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if grave.length}
			<h2 class="pt-4 font-semibold">Before it is done</h2>
			<ul class="list-disc pl-5">
				{#each grave as f (f.key)}{@const s = sentenceOf(f)}
					<li><b>{s.head}</b> {s.body}</li>{/each}
			</ul>
		{/if}
		{#if sequence.notes}<h2 class="pt-4 font-semibold">Notes</h2>
			<p>{sequence.notes}</p>{/if}
		<p class="pt-6 text-[11px]">
			Client’s left and right. Above the shore the client’s left, below it the right. {CAUTION_LINE}
		</p>
	</div>
{:else}<p class="p-6">This sequence is not here. <a class="dotted" href="/compose">All sequences</a></p>{/if}

<style>
	.score :global(svg) {
		width: 100%;
		height: auto;
	}
</style>
