<script lang="ts">
	import { modelOnFinding, onlyTheModel } from '$lib/core/flow/meetsRules';
	import { leftOutWords, markWords, MODEL_SAYS, worthWords } from '$lib/core/flow/words';
	import type { Finding } from '$lib/core/rules/rule';
	import type { TideState } from '$lib/state/tide.svelte';
	import TideMarkGlyph from './TideMarkGlyph.svelte';

	interface Props {
		tide: TideState;
		stepId: string;
		/** Of this step. */
		findings: readonly Finding[];
	}
	let { tide, stepId, findings }: Props = $props();
	const run = $derived(tide.tide);
	const worth = $derived(tide.worth?.stepId === stepId ? worthWords(tide.worth) : []);
	const leftOut = $derived(run?.leftOut.filter((l) => l.stepId === stepId) ?? []);
	const marks = $derived(run ? onlyTheModel(run, findings).filter(({ mark }) => mark.stepId === stepId) : []);
	const agreed = $derived(run ? findings.some((f) => modelOnFinding(run, f)) : false);
</script>

{#if run}
	<section class="border-hair mt-2.5 border-t pt-1.5 text-xs leading-4" aria-label="What it is worth in the model" data-worth>
		<h3 class="flex items-baseline justify-between gap-2 text-[13px] font-semibold">
			In the model <a class="dotted text-ink2 text-[11px] font-normal" href="/library/model" title={MODEL_SAYS}>what this is</a>
		</h3>
		{#each leftOut as l (l.reason + l.places.join())}<p class="text-ink2 pt-1">{leftOutWords(l)}</p>{/each}
		{#each worth as sentence (sentence)}<p class="pt-1">{sentence}</p>{/each}
		{#each marks as { mark, why } (`${mark.kind}${mark.places.join()}`)}
			<p class="flex items-start gap-1.5 pt-1">
				<TideMarkGlyph kind={mark.kind} size={14} /><span class="text-ink2"
					><span class="text-ink">{markWords(mark)}.</span> No rule says so: {why}.</span
				>
			</p>
		{/each}
		{#if agreed}<p class="text-ink2 pt-1">What it says to the findings stands with them.</p>{/if}
	</section>
{/if}
