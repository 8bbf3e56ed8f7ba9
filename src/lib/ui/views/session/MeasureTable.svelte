<script lang="ts">
	import type { Side } from '$lib/core/atlas/places';
	import { valueAt, withValue } from '$lib/core/assess/assessment';
	import type { Assessment } from '$lib/core/assess/assessment.schema';
	import { ENTERED_MEASURED_IDS, measuredRow, type ObservationId } from '$lib/core/assess/registry';
	import { entryQuestion, type EntryQuestion } from '$lib/core/assess/doubts';
	import { lengthText, readMeasured, typedValue, type LengthUnit } from '$lib/core/assess/units';
	import { sidesAsSeen } from '../../parts/map/orientation';

	interface Props {
		assessment: Assessment;
		ghost: Assessment | null;
		/** Her usual distances; absent: those of before. */
		usual?: Assessment;
		unit: LengthUnit;
		onchange: (assessment: Assessment) => void;
	}
	let { assessment, ghost, usual, unit, onchange }: Props = $props();
	/** As the map beside it: facing, the client’s right is on the left. */
	const order = sidesAsSeen();
	let trouble = $state<{ key: string; message: string; refused: boolean; spot: { side?: Side }; instead: EntryQuestion['instead'] } | null>(
		null
	);

	/** What is taken of each side has two cells, what is taken of the whole face one. */
	const spotsOf = (id: ObservationId): readonly { side?: Side }[] => (measuredRow(id).sides ? order.map((side) => ({ side })) : [{}]);
	/** What only some take is shown where they take it. */
	let all = $state(false);
	let oneByOne = $state(false);
	const isMore = (id: ObservationId) => measuredRow(id).more ?? false;
	const usesMore = $derived(
		[assessment, ghost].some((a) =>
			ENTERED_MEASURED_IDS.some((id) => isMore(id) && spotsOf(id).some((spot) => valueAt(a, id, spot) !== null))
		)
	);
	const shownIds = $derived(ENTERED_MEASURED_IDS.filter((id) => all || usesMore || !isMore(id)));
	const keyOf = (id: ObservationId, side: Side | undefined) => `${id} ${side ?? ''}`;
	function enter(id: ObservationId, spot: { side?: Side }, input: HTMLInputElement) {
		const key = keyOf(id, spot.side);
		if (!input.value.trim()) {
			trouble = null;
			return onchange(withValue(assessment, id, spot, null));
		}
		const reading = readMeasured(id, input.value, unit);
		const mm = typedValue(id, input.value, unit);
		// Asked, never changed by itself: what is possible is stored as it was typed.
		const question = mm === null ? null : entryQuestion(assessment, usual ?? ghost, id, spot, mm, unit);
		const message = reading.ok ? question?.words : reading.message;
		trouble = message ? { key, message, refused: !reading.ok, spot, instead: question?.instead ?? null } : null;
		if (reading.ok) onchange(withValue(assessment, id, spot, reading.value));
	}
	function takeInstead() {
		const { spot, instead } = trouble!;
		trouble = null;
		onchange(instead!.values.reduce((made, [id, mm]) => withValue(made, id, spot, Math.round(10 * mm) / 10), assessment));
	}
	const unitOf = (id: ObservationId) => (measuredRow(id).kind === 'length' ? unit : measuredRow(id).unit);
	function shown(a: Assessment | null, id: ObservationId, spot: { side?: Side }): string {
		const value = valueAt(a, id, spot);
		if (value === null) return '';
		return measuredRow(id).kind === 'length' ? lengthText(value, unit) : String(value);
	}
</script>

<table class="w-full text-[13.5px]">
	<caption class="sr-only">Tape distances in {unit}</caption>
	<thead>
		<tr class="text-ink3 text-[12px]">
			<th class="text-left font-normal">Tape, {unit}</th>
			{#each order as side (side)}<th class="w-[92px] font-normal">client’s {side}</th>{/each}
		</tr>
	</thead>
	<tbody>
		{#each shownIds as id (id)}
			{@const row = measuredRow(id)}
			<tr>
				<th scope="row" class="pr-2 text-left leading-[17px] font-normal">{row.label}</th>
				{#each spotsOf(id) as spot (spot.side)}
					{@const wrong = trouble?.key === keyOf(id, spot.side)}
					{@const was = shown(ghost, id, spot)}
					<td class="px-0.5 py-0.5" colspan={row.sides ? 1 : 2}>
						<input
							autocomplete="off"
							class="field field-large text-right font-semibold placeholder:text-[13px] placeholder:font-normal {wrong
								? 'border-flag'
								: ''}"
							inputmode="decimal"
							aria-label="{row.label}{spot.side ? `, client’s ${spot.side}` : ''}, {unitOf(id)}"
							aria-invalid={wrong && trouble!.refused}
							aria-describedby={wrong ? 'measure-trouble' : undefined}
							placeholder={was ? `was ${was}` : '–'}
							value={shown(assessment, id, spot)}
							onchange={(e) => enter(id, spot, e.currentTarget)}
						/>
					</td>
				{/each}
			</tr>
		{/each}
	</tbody>
</table>
<div class="flex flex-wrap gap-x-4 gap-y-1 pt-1">
	<button type="button" class="dotted text-[12.5px]" onclick={() => (oneByOne = true)}>One by one, with a guide</button>
	{#if !all && !usesMore}<button type="button" class="dotted text-[12.5px]" onclick={() => (all = true)}
			>All seven distances and the middle of the neck</button
		>{/if}
</div>
{#if oneByOne}{#await import('./TapeRoom.svelte') then { default: TapeRoom }}<TapeRoom
			bind:open={oneByOne}
			{assessment}
			usual={usual ?? ghost}
			{unit}
			all={all || usesMore}
			{onchange}
		/>{/await}{/if}
{#if trouble}<p id="measure-trouble" class="text-flag mt-1 flex flex-wrap items-center gap-2 text-[13px]" role="alert">
		<span class="min-w-0 flex-1">{trouble.message}</span>
		{#if trouble.instead}<button type="button" class="btn min-h-11" onclick={takeInstead}>{trouble.instead.label}</button>{/if}
	</p>{/if}
