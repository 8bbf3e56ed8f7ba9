<script lang="ts">
	import { LETTERS } from './entries';
	import type { ComparisonResult, OutcomeVerdict } from '$lib/core/flow/comparison.schema';
	import { OUTCOMES, type OutcomeId } from '$lib/core/flow/outcomeIds';
	import { PRACTICAL_SHARE } from '$lib/core/flow/verdict';
	import { percentText } from '$lib/core/flow/share';
	import { hangsOnWords, intervalWords, leads, verdictWords } from '$lib/core/flow/words';
	import ShareFaces from './ShareFaces.svelte';
	import ShareMatrix from './ShareMatrix.svelte';
	import SpreadChart from './SpreadChart.svelte';

	interface Props {
		result: ComparisonResult;
		outcome: OutcomeId;
		/** Titles of the sequences, in order. */
		titles: readonly string[];
		/** Names of the chosen zones, where they are the outcome. */
		zones: string;
	}
	let { result, outcome, titles, zones }: Props = $props();
	let room = $state(480);
	const falls = $derived(result.falls[outcome]);
	const verdicts = $derived(result.verdicts[outcome]);
	const half = $derived(room > 560 ? Math.floor((room - 24) / 2) : room);
	const number = (x: number) => x.toFixed(2);
	const differs = (v: OutcomeVerdict) => v.lessIn + v.moreIn > 0;
	const band = $derived(PRACTICAL_SHARE * (result.holdsMl?.[outcome] ?? result.startMl).median);
	const percent = (x: number) => `${(100 * x).toFixed(1)} %`;
</script>

<section class="border-hair border-t pt-3 pb-4" aria-label={OUTCOMES[outcome]} data-outcome={outcome}>
	<h2 class="flare text-[17px] font-[520]">
		{OUTCOMES[outcome]}{#if outcome === 'zones'}<span class="text-ink2 text-xs font-normal">{' '}{zones}</span>{/if}
	</h2>
	{#each verdicts as v, i (i)}
		<div class="flex flex-wrap items-center gap-x-6 gap-y-1 py-1.5">
			<p class="min-w-[260px] flex-1 text-[14px] leading-5">{verdictWords(v, titles[0]!, titles[i + 1]!, result.draws)}</p>
			{#if differs(v)}<ShareFaces contest={v} less="A" more={LETTERS[i + 1]!} />{/if}
		</div>
	{/each}
	<div class="flex flex-wrap gap-6 pt-1" bind:clientWidth={room}>
		<figure>
			<figcaption class="text-ink2 text-xs">How much less A leaves</figcaption>
			<SpreadChart
				rows={verdicts.map((v, i) => ({ key: LETTERS[i + 1]!, name: `A·${LETTERS[i + 1]}`, spread: v.ml }))}
				axis="ml, middle and 5 to 95 % of the faces; the band is of no practical size"
				toLeft="A leaves more"
				toRight="A leaves less"
				{band}
				width={half}
				label="Difference of A to each other, {OUTCOMES[outcome]}"
			/>
		</figure>
		<figure>
			<figcaption class="text-ink2 text-xs">How much each takes away, ten minutes after the end</figcaption>
			<SpreadChart
				rows={falls.map((spread, i) => ({ key: LETTERS[i]!, name: LETTERS[i]!, spread }))}
				axis="ml, both sides together"
				width={half}
				label="How much each takes away, {OUTCOMES[outcome]}"
			/>
		</figure>
	</div>
	<details class="text-xs">
		<summary class="text-ink2 min-h-6 cursor-pointer py-1">Table, and what the answer hangs on</summary>
		{#if result.matrix && titles.length > 2}<ShareMatrix matrix={result.matrix[outcome]} {titles} label={OUTCOMES[outcome]} />{/if}
		<table class="mt-1 w-full max-w-[720px]">
			<caption class="sr-only"
				>{OUTCOMES[outcome]}: what each sequence takes away, and the difference of the first to each other one</caption
			>
			<thead class="text-ink3 text-[11px]">
				<tr>
					<th class="text-left font-normal">Sequence</th><th class="text-right font-normal">takes away, ml</th><th
						class="text-right font-normal">5 to 95 %</th
					><th class="text-right font-normal">A leaves less by, ml</th><th class="text-right font-normal">5 to 95 %</th><th
						class="text-right font-normal">of what it held</th
					><th class="text-right font-normal">A leaves less in</th>
				</tr>
			</thead>
			<tbody>
				{#each titles as title, i (i)}
					{@const v = i ? verdicts[i - 1] : undefined}
					<tr class="border-hair border-t">
						<th scope="row" class="py-1 text-left font-normal"><b>{LETTERS[i]}</b> {title}</th>
						<td class="text-right">{number(falls[i]!.median)}</td>
						<td class="text-right">{number(falls[i]!.p5)} to {number(falls[i]!.p95)}</td>
						<td class="text-right">{v ? number(v.ml.median) : ''}</td>
						<td class="text-right">{v ? `${number(v.ml.p5)} to ${number(v.ml.p95)}` : ''}</td>
						<td class="text-right">{v?.ofHeld ? percent(v.ofHeld.median) : ''}</td>
						<td class="text-right whitespace-nowrap">{v ? `${percentText(v)}${differs(v) ? ` (${intervalWords(v)})` : ''}` : ''}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		{#each verdicts as v, i (i)}{#if leads(v) !== 0}
				{@const winner = leads(v) < 0 ? i + 1 : 0}
				<h3 class="pt-2 font-semibold">What the lead of {LETTERS[winner]} over {LETTERS[winner ? 0 : i + 1]} hangs on</h3>
				<ul class="text-ink2 list-disc pl-4 leading-[18px]">
					{#each hangsOnWords(v, titles[winner]!) as line, k (line)}<li>
							{line} (rank correlation {v.hangsOn[k]!.rho.toFixed(2)}).
						</li>{:else}<li>On no single parameter that stands out.</li>{/each}
				</ul>
			{/if}{/each}
	</details>
</section>
