<script lang="ts">
	import type { PairMeasure } from '$lib/core/measure/compare';
	import { PAIR_VERDICTS, pairChange, pairFigure, WHY_NOT } from '$lib/core/measure/pairWording';
	import SandBar from '../../parts/verdict/SandBar.svelte';
	import VerdictSign from '../../parts/verdict/VerdictSign.svelte';

	interface Props {
		measures: readonly PairMeasure[];
		caption: string;
	}
	let { measures, caption }: Props = $props();
	const figures = (m: PairMeasure) =>
		m.before === undefined || m.after === undefined
			? 'between the contours'
			: `${pairFigure(m.before, m.unit).replace(/[^\d.−-].*$/, '')} to ${pairFigure(m.after, m.unit)}`;
</script>

<table class="w-full text-[12.5px]">
	<caption class="text-ink2 pb-1 text-left text-[12px]">{caption}</caption>
	<thead class="sr-only"
		><tr><th>Measure</th><th>Less or more</th><th>Change, with the smallest one worth believing</th><th>Verdict</th></tr></thead
	>
	<tbody>
		{#each measures as m (m.id)}
			{@const strong = m.verdict === 'changed'}
			<tr class="border-hair border-t {strong ? 'font-semibold' : ''}">
				<th scope="row" class="py-0.5 pr-2 text-left leading-4 {strong ? 'font-semibold' : 'font-normal'}"
					>{m.label}<br /><span class="text-ink2 text-[11.5px] font-normal whitespace-nowrap"
						>{figures(m)}, ± {pairFigure(m.mdc95, m.unit)}</span
					></th
				>
				<td class="w-[100px]"><SandBar change={{ delta: m.change, error: m.mdc95, verdict: m.verdict }} width={96} /></td>
				<td
					class="px-1.5 text-right whitespace-nowrap"
					title={m.mdcInterval
						? `± ${pairFigure(m.mdc95, m.unit)}, itself known to be ${pairFigure(m.mdcInterval[0], m.unit)} to ${pairFigure(m.mdcInterval[1], m.unit)}, from ${m.ownRetakes} pairs of retakes`
						: undefined}>{m.verdict === 'not-comparable' ? '–' : pairChange(m)}</td
				>
				<td class="text-left" title={m.why ? WHY_NOT[m.why] : `p ${m.pAdjusted.toFixed(3)}, adjusted`}
					><span class="flex items-center gap-1.5 leading-4 {strong ? '' : 'text-ink2'}"
						><VerdictSign change={{ verdict: m.verdict, delta: m.change }} />{PAIR_VERDICTS[m.verdict]}</span
					></td
				>
			</tr>
		{/each}
	</tbody>
</table>
