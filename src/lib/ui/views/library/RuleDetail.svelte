<script lang="ts">
	import { exampleGiven, exampleOf } from '$lib/core/rules/examples';
	import { fixIn, judge } from '$lib/core/rules/judge';
	import { RULE_KINDS, severityIn, type Rule } from '$lib/core/rules/rule';
	import { RULE_TEXTS, whyOf } from '$lib/core/rules/texts';
	import { DEFAULT_WORKING } from '$lib/core/working/defaultWorking';
	import { fixLabel, sentenceOf } from '$lib/core/rules/wording';
	import { SCHOOLS } from '$lib/core/school/schools';
	import type { School } from '$lib/core/school/school.schema';
	import { differences } from '$lib/core/sequence/difference';
	import { edited } from '$lib/core/sequence/edits';
	import type { ExpandContext } from '$lib/core/sequence/expand';
	import FaceMap from '../../parts/map/FaceMap.svelte';
	import { focusFrame } from '../../parts/map/orientation';
	import DifferenceList from '../../parts/steps/DifferenceList.svelte';
	import Pennant from '../../parts/glyphs/Pennant.svelte';
	import StepLine from './StepLine.svelte';
	import { pointsOf, viewOf } from './stepOfTechnique';

	interface Props {
		rule: Rule;
		context: ExpandContext;
		/** The practitioner's own schools, beside the shipped ones. */
		own: readonly School[];
	}
	let { rule, context, own }: Props = $props();
	const example = $derived(exampleOf(rule.id));
	// The example breaks the rule by the values as they ship; a practitioner's own may be wider.
	const judgement = $derived(judge(example, { ...context, working: DEFAULT_WORKING, ...exampleGiven(rule.id) }));
	const finding = $derived(judgement.findings.find((f) => f.ruleId === rule.id)!);
	const edit = $derived(fixIn(judgement.context, finding));
	const mended = $derived(edit ? edited(example, edit) : null);
	const changes = $derived(mended ? differences(example, mended) : []);
	const text = $derived(RULE_TEXTS[rule.id]!);
	const sentence = $derived(sentenceOf(finding));
	const steps = $derived(judgement.context.steps);
	const shown = $derived(judgement.context.byId.get(finding.stepIds[0] ?? '')?.step ?? steps[0]?.step ?? null);
	const view = $derived(shown ? viewOf(shown.places) : 'front');
	const schools = $derived([...own, ...SCHOOLS]);
</script>

<p class="text-ink2 text-xs">{RULE_KINDS[rule.kind]}</p>
<h2 class="flare text-[22px] leading-8 font-[520]">{text.title}</h2>
<p class="mt-1 max-w-[68ch] text-[13.5px] leading-5">{whyOf(rule.id, context.working)}</p>

<div class="mt-4 grid gap-5 xl:grid-cols-[minmax(0,1fr)_300px]">
	<section aria-label="Example">
		<h3 class="border-ink border-b pb-1 text-[13.5px] font-semibold">Broken, for example, by</h3>
		<ul class="mt-1" data-example={rule.id}>
			{#each steps as { step, number } (step.id)}<StepLine {step} {number} marked={finding.stepIds.includes(step.id)} />{/each}
		</ul>
		<p class="mt-2 flex items-start gap-2 text-[13px] leading-[18px]">
			<span class="pt-0.5"><Pennant severity={finding.severity} size={15} /></span>
			<span><b class="font-semibold">{sentence.head}</b> {sentence.body}</span>
		</p>
		{#if edit}
			<h3 class="border-ink mt-4 border-b pb-1 text-[13.5px] font-semibold">
				{fixLabel(rule.id)}
				<span class="text-ink2 font-normal">fixes it{rule.safe ? ', and may be applied together with others' : ''}</span>
			</h3>
			<DifferenceList class="mt-1.5 text-[13px] leading-5" {changes} most={6} otherwise={edit.label} />
		{:else}
			<p class="text-ink2 mt-3">No fix can decide this: it is yours.</p>
		{/if}
	</section>
	{#if shown?.places.length}
		<div class="h-[230px] overflow-hidden rounded-xl">
			<FaceMap
				{view}
				orientation="facing"
				wide
				step={shown}
				focus={focusFrame(view, 'facing', pointsOf(view, shown.places), 1.3)}
				showNodes={shown.places.some((p) => p.startsWith('n:'))}
				label="The step of the example on the face"
			/>
		</div>
	{/if}
</div>
<h3 class="border-ink mt-5 max-w-[760px] border-b pb-1 text-[13.5px] font-semibold">
	By school <span class="text-ink2 font-normal"
		>{rule.floor === rule.ceiling ? 'the same in all' : `between ${rule.floor} and ${rule.ceiling}`}</span
	>
</h3>
<table class="w-full max-w-[760px] text-[13px]">
	<tbody>
		{#each schools as school (school.id)}
			{@const severity = severityIn(rule, { stepIds: [] }, school)}
			<tr class="border-hair border-b">
				<th class="w-44 py-1 text-left font-normal">{school.title}</th>
				<td class="w-28"><span class="flex items-center gap-1.5"><Pennant {severity} size={13} />{severity}</span></td>
				<td class="text-ink2">{rule.policy?.(school) ?? ''}</td>
			</tr>
		{/each}
	</tbody>
</table>
