<script lang="ts">
	import type { Side } from '$lib/core/atlas/places';
	import { CHANGE_WORDS, changeAt, type Change } from '$lib/core/assess/change';
	import type { Assessment } from '$lib/core/assess/assessment.schema';
	import type { OwnTapeErrors } from '$lib/core/assess/repeats';
	import { MEASURED_IDS, measuredRow, type ObservationId } from '$lib/core/assess/registry';
	import { lengthText, type LengthUnit } from '$lib/core/assess/units';
	import type { Working } from '$lib/core/working/working.schema';
	import SandBar from '../../parts/verdict/SandBar.svelte';
	import VerdictSign from '../../parts/verdict/VerdictSign.svelte';

	import { sidesAsSeen } from '../../parts/map/orientation';

	interface Props {
		before: Assessment;
		after: Assessment | null;
		working: Working;
		comparable: boolean;
		unit: LengthUnit;
		/** Typical errors from own repeats. */
		own?: OwnTapeErrors;
	}
	let { before, after, working, comparable, unit, own = {} }: Props = $props();
	/** What is taken of each side always has its rows; the rest only where it was taken. */
	const rows = $derived(
		MEASURED_IDS.flatMap((id) => {
			const { sides, more } = measuredRow(id);
			const spots: readonly { side?: Side }[] = sides ? sidesAsSeen().map((side) => ({ side })) : [{}];
			const changes = spots.map((spot) => changeAt(id, spot, before, after, working, comparable, own));
			return (sides && !more) || changes.some((c) => c.before !== null || c.after !== null) ? [{ id, changes }] : [];
		})
	);
	const isLength = (id: ObservationId) => measuredRow(id).kind === 'length';
	const figure = (id: ObservationId, n: number | null) => (n === null ? '–' : isLength(id) ? lengthText(n, unit) : n.toFixed(1));
	const signed = (id: ObservationId, { delta }: Change) =>
		delta === null ? '–' : `${delta > 0 ? '+' : delta < 0 ? '−' : ''}${figure(id, Math.abs(delta))}`;
</script>

<table class="folds w-full text-[13px]">
	<caption class="sr-only">Tape distances, second minus first, {unit}</caption>
	<thead class="text-ink3 text-[11.5px]">
		<tr
			><th class="text-left font-normal">Tape, {unit}</th><th class="px-2 text-left font-normal">side</th><th class="text-right font-normal"
				>from, to</th
			><th class="font-normal">less · more</th><th class="text-right font-normal">change</th><th class="pl-2 text-left font-normal"
				>verdict</th
			></tr
		>
	</thead>
	<tbody>
		{#each rows as { id, changes } (id)}
			{#each changes as change, i (change.side)}
				{@const strong = change.verdict === 'changed'}
				<tr class="{i === 0 ? 'border-hair border-t' : ''} {strong ? 'font-semibold' : ''}">
					{#if i === 0}<th
							scope="rowgroup"
							rowspan={changes.length}
							class="pr-2 text-left leading-4 font-normal {measuredRow(id).sumOf ? 'font-semibold' : ''}">{measuredRow(id).label}</th
						>{/if}
					<td class="text-ink2 px-2">{change.side ?? ''}</td>
					<td class="text-right whitespace-nowrap">{figure(id, change.before)} to {figure(id, change.after)}</td>
					<td class="w-[132px] px-1.5"><SandBar {change} /></td>
					<td class="text-right">{signed(id, change)}</td>
					<td class="pl-2"
						><span class="flex items-center gap-1.5 leading-4 whitespace-nowrap {strong ? '' : 'text-ink2'}"
							><VerdictSign {change} />{CHANGE_WORDS[change.verdict]}</span
						></td
					>
				</tr>
			{/each}
		{/each}
	</tbody>
</table>

<style>
	/* On a phone each row stands on its own: the distance above, then side, figures, change and verdict. */
	@media (max-width: 640px) {
		.folds,
		.folds tbody {
			display: block;
		}
		.folds thead {
			position: absolute;
			width: 1px;
			height: 1px;
			overflow: hidden;
			clip-path: inset(50%);
		}
		.folds tr {
			display: grid;
			grid-template-columns: 140px minmax(0, 1fr) 56px;
			align-items: center;
			gap: 2px 8px;
			padding: 4px 0;
		}
		.folds th {
			grid-column: 1 / -1;
			padding-top: 4px;
		}
		.folds td:nth-of-type(1) {
			padding-left: 0;
		}
		.folds td:nth-of-type(3) {
			grid-row: 3;
			grid-column: 1;
			padding: 0;
		}
		.folds td:nth-of-type(5) {
			grid-row: 3;
			grid-column: 2 / -1;
			padding-left: 0;
		}
		.folds td:nth-of-type(5) :global(span) {
			white-space: normal;
		}
	}
</style>
