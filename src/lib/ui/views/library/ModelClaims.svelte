<script lang="ts">
	import { CLAIM_OUTCOMES } from '$lib/core/flow/claimOutcomes';
	import { CLAIMS, ofStartRange, ofStartText, rangeText } from '$lib/core/flow/claimWords';
	import { OUTCOMES } from '$lib/core/flow/outcomeIds';
	import { percentText } from '$lib/core/flow/share';
	import { VARIANTS } from '$lib/core/flow/variants';

	const faces = (n: number) => n.toLocaleString('en');
</script>

<table class="w-full max-w-[680px] text-xs" data-claims="worked">
	<caption class="text-ink2 pb-1 text-left leading-4"
		>Worked programmes of eight minutes, strokes of 4 s and pumps of 3 s, over {faces(CLAIMS.workedDraws)} faces, looked at ten minutes after
		the end: in how many of them the first leaves less, and by how much of what was there in the middle of them. Other paces may rank otherwise.</caption
	>
	<thead class="text-ink3 text-[11px]"
		><tr
			><th class="py-1 text-left font-normal">The first, rather than the second</th>{#each CLAIM_OUTCOMES as m (m)}<th
					scope="col"
					class="pl-3 text-right font-normal">{OUTCOMES[m]}</th
				>{/each}</tr
		></thead
	>
	<tbody>
		{#each CLAIMS.worked as { words, by } (words)}
			<tr class="border-hair border-t align-top">
				<th scope="row" class="py-1 pr-2 text-left font-normal">{words}</th>
				{#each CLAIM_OUTCOMES as m (m)}
					<td class="py-1 pl-3 text-right leading-4 whitespace-nowrap tabular-nums"
						><b class="font-semibold">{percentText(by[m])}</b><br /><span class="text-ink2">{ofStartText(by[m].middle)}</span></td
					>
				{/each}
			</tr>
		{/each}
	</tbody>
</table>
<table class="mt-4 w-full max-w-[680px] text-xs" data-claims="ready">
	<caption class="text-ink2 pb-1 text-left leading-4"
		>The sequences that come with Soft Tide at their own paces, each as it is against itself done otherwise, by all fluid, over {faces(
			CLAIMS.readyDraws
		)} faces: lowest, middle and highest of them. So far do sequences differ in it.</caption
	>
	<thead class="text-ink3 text-[11px]"
		><tr
			><th class="py-1 text-left font-normal">As it is, rather than</th><th class="text-right font-normal">sequences</th><th
				class="pl-3 text-right font-normal">leaves less in</th
			><th class="pl-3 text-right font-normal">by</th></tr
		></thead
	>
	<tbody>
		{#each CLAIMS.ready as { variant, sequences, percent, ofStart } (variant)}
			<tr class="border-hair border-t align-top">
				<th scope="row" class="py-1 text-left font-normal">{VARIANTS[variant].toLowerCase()}</th>
				<td class="py-1 text-right tabular-nums">{sequences}</td>
				<td class="py-1 pl-3 text-right tabular-nums">{rangeText(percent)}</td>
				<td class="py-1 pl-3 text-right tabular-nums">{ofStartRange(ofStart)}</td>
			</tr>
		{/each}
	</tbody>
</table>
