<script lang="ts">
	import type { Judgement } from '$lib/core/rules/judge';
	import { exitsOf, type Exit } from '$lib/core/sequence/exits';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import { clock, contactText, doseRangeText, sideText, wayNames } from '$lib/core/step/describe';
	import { LEVEL_NAMES } from '$lib/core/step/levels';
	import { peakLevel } from '$lib/core/step/levelsOf';
	import type { Step } from '$lib/core/step/step.schema';
	import { optionTexts } from '$lib/core/step/stepFields';
	import { AIMS, MOTIONS } from '$lib/core/vocabulary/vocabulary';

	interface Props {
		sequence: Sequence;
		judged: Judgement;
	}
	let { sequence, judged }: Props = $props();
	const exits = $derived(new Map(exitsOf(sequence, judged.timing).map((e) => [e.phaseId, e])));
	const steps = $derived(judged.context.steps);
	/** After a step: the phase ends, and with it a short version may. */
	const exitAfter = (i: number): Exit | undefined => {
		const [here, next] = [steps[i]!.phase.id, steps[i + 1]?.phase.id];
		return here === next ? undefined : exits.get(here);
	};
	const pressure = (step: Step) => {
		const peak = peakLevel(step);
		const least = step.levels ? Math.min(...step.levels) : (step.pressure ?? peak);
		return least === peak ? `${peak} ${LEVEL_NAMES[peak]}` : `${least} to ${peak}, ${LEVEL_NAMES[peak]}`;
	};
	const hand = ({ contact, tool, motion }: Step) => {
		const held = `${contactText({ contact, tool })}${contact === 'tool' && tool?.edge ? `, ${tool.edge.replaceAll('-', ' ')}` : ''}`;
		return motion === 'none' ? held : `${held}, ${MOTIONS[motion].toLowerCase()}`;
	};
	const isFirst = ({ at }: PlacedStep) => at[1] === 0 && at[2] === 0;
</script>

<table class="mt-2 w-full border-collapse text-[12px]">
	<thead
		><tr class="border-b border-current text-left align-baseline [&>th:not(:last-child)]:pr-2"
			><th>No</th><th>Aim</th><th>Place</th><th>Hand or tool</th><th>Pressure</th><th>Repeats</th><th>Side</th><th class="text-right">At</th
			></tr
		></thead
	>
	<tbody>
		{#each steps as placed, i (placed.step.id)}
			{@const { step, number, phase, block } = placed}
			{@const exit = exitAfter(i)}
			{#if isFirst(placed)}<tr
					><th colspan="8" class="pt-2.5 text-left text-[13px]"
						>{phase.title}{phase.passes && phase.passes > 1 ? `, ${phase.passes} times` : ''}</th
					></tr
				>{/if}
			<tr class="border-hair border-b align-baseline [&>td]:py-1">
				<td class="pr-2">{number}</td><td class="pr-2">{AIMS[step.aim]}</td>
				<td class="pr-2"
					>{wayNames(step.places).join(', ') || 'Whole face'}{#if step.by === 'client'}<br /><b>Client’s part</b
						>{/if}{#each optionTexts(step) as option (option.label)}<br /><i>{option.label}: {option.text}</i>{/each}{#if step.note}<br /><i
							>{step.note}</i
						>{/if}</td
				>
				<td class="pr-2">{hand(step)}</td>
				<td class="pr-2 whitespace-nowrap">{pressure(step)}</td>
				<td class="pr-2 whitespace-nowrap">{doseRangeText(step.dose)}</td>
				<td class="pr-2 whitespace-nowrap">{sideText(block.sides === 'asSteps' ? step.side : block.sides)}</td>
				<td class="text-right">{clock(judged.timing.steps.get(step.id)?.startSeconds ?? 0)}</td>
			</tr>
			{#if exit}<tr
					><td colspan="8" class="py-1 text-[11.5px]"
						><b>{exit.title ?? 'A short version'} may end here</b>, at {clock(exit.seconds)}; {exit.drops.steps}
						{exit.drops.steps === 1 ? 'step is' : 'steps are'} left out then.</td
					></tr
				>{/if}
		{/each}
	</tbody>
</table>
