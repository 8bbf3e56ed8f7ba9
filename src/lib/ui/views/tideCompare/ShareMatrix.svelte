<script lang="ts">
	import { LETTERS } from './entries';
	import { percentText, shownPercent } from '$lib/core/flow/share';
	import { intervalWords } from '$lib/core/flow/words';

	interface Props {
		/** Faces in which the sequence of the row leaves less than the one of the column. */
		matrix: readonly (readonly number[])[];
		titles: readonly string[];
		label: string;
	}
	let { matrix, titles, label }: Props = $props();
	const contest = (i: number, j: number) => ({ lessIn: matrix[i]![j]!, moreIn: matrix[j]![i]! });
	/** The fuller the cell, the more often the row leaves less: the figure says it too. */
	const tint = (i: number, j: number) => `color-mix(in srgb, var(--drainfill) ${shownPercent(contest(i, j))}%, transparent)`;
</script>

<table class="mt-1 mb-2" data-matrix>
	<caption class="text-ink2 pb-1 text-left">Each against each, {label.toLowerCase()}: how often the row leaves less than the column</caption
	>
	<thead class="text-ink3 text-[11px]"
		><tr
			><th class="sr-only">Sequence</th>{#each titles as title, j (j)}<th scope="col" class="px-2 font-normal" {title}>{LETTERS[j]}</th
				>{/each}</tr
		></thead
	>
	<tbody>
		{#each titles as title, i (i)}
			<tr class="border-hair border-t">
				<th scope="row" class="max-w-[240px] truncate py-1 pr-3 text-left font-normal"><b>{LETTERS[i]}</b> {title}</th>
				{#each titles as _, j (j)}
					{#if i === j}<td class="text-ink3 text-center">·</td>
					{:else}<td
							class="min-w-[64px] px-2 text-center tabular-nums"
							style="background: {tint(i, j)}"
							title={intervalWords(contest(i, j))}>{percentText(contest(i, j))}</td
						>{/if}
				{/each}
			</tr>
		{/each}
	</tbody>
</table>
