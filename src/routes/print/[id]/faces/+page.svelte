<script lang="ts">
	import { composeAt, idIn, printAt } from '$lib/ui/parts/shell/addresses';
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import { LEVEL_NAMES } from '$lib/core/step/levels';
	import { clock, doseText, sideText, stepTitle } from '$lib/core/step/describe';
	import { expand } from '$lib/core/sequence/expand';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { stepsOf } from '$lib/core/sequence/walk';
	import { peakLevel } from '$lib/core/step/levelsOf';
	import { AIMS, CONTACTS, TOOLS } from '$lib/core/vocabulary/vocabulary';
	import { CAUTION_LINE } from '$lib/formats/caution';
	import { useApp } from '$lib/state/app.svelte';
	import AimGlyph from '$lib/ui/parts/glyphs/AimGlyph.svelte';
	import MiniFace from '$lib/ui/parts/map/MiniFace.svelte';
	import { sheetColumns } from '$lib/ui/parts/map/contactSheet';

	const app = useApp();
	/** Undefined until it is known. */
	let sequence = $state.raw<Sequence | null>();
	$effect(() => {
		const id = idIn(page.params.id);
		untrack(() => void app.run(() => app.repo.sequence(id!)).then((s) => (sequence = s?.sequence ?? null)));
	});
	const steps = $derived(sequence ? stepsOf(sequence) : []);
	const seconds = $derived(sequence ? (expand(sequence, app.context).at(-1)?.endSeconds ?? 0) : 0);
	const columns = $derived(sheetColumns(steps.length));
</script>

{#if sequence}
	<div class="mx-auto w-full max-w-[820px] p-6 print:max-w-none print:p-0">
		<div class="no-print mb-4 flex gap-2">
			<a class="btn" href={composeAt(sequence.id)}>Back</a>
			<button type="button" class="btn btn-primary" onclick={() => window.print()}>Print</button>
			<a class="btn" href={printAt(sequence.id)}>As a table</a>
		</div>
		<h1 class="text-xl font-[540]">{sequence.title}</h1>
		<p class="pb-1">
			{steps.length} steps, {clock(seconds)}, {sequence.school.title.toLowerCase()}. Client’s left and right as one stands: {sequence.orientation ===
			'facing'
				? 'her left is on your right'
				: 'her left is on your left'}.
		</p>
		<p class="mb-2 border-y border-current py-1 text-[11.5px] font-[560]">{CAUTION_LINE}</p>
		<ol class="grid gap-x-3 gap-y-2" style="grid-template-columns: repeat({columns}, minmax(0, 1fr))">
			{#each steps as { step, number } (step.id)}
				<li class="face border-hair border-b pb-1">
					<MiniFace {step} orientation={sequence.orientation} label="Step {number}, {stepTitle(step)}" />
					<p class="leading-[13px]">
						<b class="font-semibold">{number}</b> <span class="inline-block align-[-2px]"><AimGlyph aim={step.aim} size={12} /></span>
						<span class="sr-only">{AIMS[step.aim]}</span>
						<b class="font-[560]">{stepTitle(step)}</b>
					</p>
					<p class="text-ink2 leading-[13px]">
						{step.contact === 'tool' && step.tool ? TOOLS[step.tool.id].toLowerCase() : CONTACTS[step.contact].toLowerCase()}, {LEVEL_NAMES[
							peakLevel(step)
						]}, {doseText(step.dose)}, {sideText(step.side)}
					</p>
				</li>
			{/each}
		</ol>
	</div>
{:else if sequence === null}<p class="p-6">This sequence is not here. <a class="dotted" href="/compose">All sequences</a></p>{/if}

<style>
	.face {
		break-inside: avoid;
		font-size: 11px;
	}
	@page {
		margin: 11mm;
	}
</style>
