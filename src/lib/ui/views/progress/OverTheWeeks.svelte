<script lang="ts">
	import { goesWith } from '$lib/core/assess/goesWith';
	import { meanOfSides } from '$lib/core/assess/lasting';
	import {
		GRADE_IDS,
		gradeRow,
		HEADLINE_GRADE,
		HEADLINE_MEASURED,
		MEASURED_IDS,
		measuredRow,
		type ObservationId
	} from '$lib/core/assess/registry';
	import { gradesByZone } from '$lib/core/assess/assessment';
	import { lanesOf, meanError, stretchesOf, type SeriesPoint } from '$lib/core/assess/series';
	import { contextWords } from '$lib/core/assess/sessions';
	import { lengthText } from '$lib/core/assess/units';
	import type { Session } from '$lib/core/records/session';
	import type { Sequence } from '$lib/core/sequence/sequence.schema';
	import { followTapeErrors } from '$lib/state/tapeErrors.svelte';
	import { useApp } from '$lib/state/app.svelte';
	import { inTurns } from '$lib/state/inTurns.svelte';
	import ChartMenu from '$lib/ui/parts/picture/ChartMenu.svelte';
	import Segmented from '$lib/ui/parts/controls/Segmented.svelte';
	import Select from '$lib/ui/parts/controls/Select.svelte';
	import { dayAndHour, onWall, shortDay } from '$lib/ui/parts/dates';
	import { sidesAsSeen } from '$lib/ui/parts/map/orientation';
	import AtOnceAndLasting from '$lib/ui/views/progress/AtOnceAndLasting.svelte';
	import GoesWithTable from '$lib/ui/views/progress/GoesWithTable.svelte';
	import WeeksChart from '$lib/ui/views/progress/WeeksChart.svelte';
	import WeeksFaces from '$lib/ui/views/progress/WeeksFaces.svelte';

	interface Props {
		/** All of this client, the earliest first; there is one at least. */
		sessions: readonly Session[];
		/** What was performed in them, by its snapshot. */
		performed: ReadonlyMap<string, Sequence>;
	}
	let { sessions, performed }: Props = $props();
	const app = useApp();
	const tape = followTapeErrors(app);
	const own = $derived(tape.own);
	const unit = $derived(app.settings?.units ?? 'mm');

	let gradeWish = $state<ObservationId | null>(null);
	const graded = $derived(GRADE_IDS.filter((id) => sessions.some((s) => gradesByZone(s.before, id).length)));
	const observed = $derived(gradeWish && graded.includes(gradeWish) ? gradeWish : (graded[0] ?? HEADLINE_GRADE));
	let measuredWish = $state<ObservationId | null>(null);
	const taken = (id: ObservationId) => meanOfSides(id, measuredRow(id).sides);
	const measured = $derived(MEASURED_IDS.filter((id) => sessions.filter((s) => taken(id)(s.before) !== null).length > 1));
	const shown = $derived(
		measuredWish && measured.includes(measuredWish)
			? measuredWish
			: measured.includes(HEADLINE_MEASURED)
				? HEADLINE_MEASURED
				: (measured[0] ?? null)
	);
	const lanes = $derived(shown ? lanesOf(sessions, shown, app.working, own, sidesAsSeen()) : []);
	const stretches = $derived(stretchesOf(sessions));
	const told = $derived(
		sessions.map((s) => ({ ...s, school: s.sequence ? (performed.get(s.sequence.snapshot)?.school.title ?? null) : null }))
	);
	const together = $derived(shown ? goesWith(told, taken(shown), meanError(shown, app.working, own)) : []);
	let wished = $state<string | null>(null);
	const chosen = $derived(sessions.find((s) => s.id === wished) ?? sessions.at(-1) ?? null);
	const at = $derived(chosen ? sessions.indexOf(chosen) : 0);
	let width = $state(900);
	let drawing = $state<SVGSVGElement>();
	const figure = (mm: number | null) => (mm === null ? '–' : `${mm < 0 ? '−' : ''}${lengthText(Math.abs(mm), unit)}`);
	const both = ({ before, after }: Pick<SeriesPoint, 'before' | 'after'>) =>
		`${figure(before)}${after === null ? '' : ` to ${figure(after)}`}`;
	/** What the chart says of a visit. */
	const said = $derived.by(() => {
		if (!chosen) return '';
		const values = lanes.flatMap(({ name, points }) => {
			const point = points.find((p) => p.id === chosen.id);
			return point ? [`${name.toLowerCase()} ${both(point)} ${unit}`] : [];
		});
		const day = dayAndHour(onWall(chosen.startedAt, chosen));
		return [`Visit ${at + 1} of ${sessions.length}, ${day}`, ...values, chosen.sequence?.title ?? '', contextWords(chosen.context)]
			.filter(Boolean)
			.join('; ');
	});
	const parts = inTurns(() => 4, 1);
</script>

{#if chosen && tape.ready}
	<section class="pt-3" aria-label="Faces over the weeks">
		<div class="flex flex-wrap items-center gap-3 pb-1.5">
			<h2 class="text-[13.5px] font-semibold">
				{gradeRow(observed).label}, before each session
				<span class="text-ink2 pl-1 font-normal">the stronger the colour, the higher the grade</span>
			</h2>
			{#if graded.length > 1}<Segmented
					label="What was graded"
					value={observed}
					options={graded.map((value) => ({ value, label: gradeRow(value).label }))}
					onchange={(id) => (gradeWish = id)}
				/>{/if}
		</div>
		{#if graded.length}<WeeksFaces {sessions} {observed} chosenId={chosen.id} onchoose={(id) => (wished = id)} />
		{:else}<p class="text-ink2 text-[13px]">Nothing was graded yet.</p>{/if}
	</section>
	<section class="border-hair mt-4 border-t pt-3" aria-label="By tape over the weeks">
		<div class="flex flex-wrap items-center gap-3 pb-1.5">
			<h2 class="text-[13.5px] font-semibold">By tape</h2>
			{#if shown}<Select
					label="What was measured"
					value={shown}
					options={measured.map((value) => ({ value, label: measuredRow(value).label }))}
					onchange={(id) => (measuredWish = id as ObservationId)}
				/>
				<span class="text-ink2 flex-1 text-[12.5px] leading-4"
					>Dot: before, with its typical error. Beside it: the fall to after. Sand: no more than measuring error from the first visit.</span
				>
				<ChartMenu title={measuredRow(shown).label} {drawing} />{/if}
		</div>
		<div bind:clientWidth={width}>
			{#if shown && parts.current > 1}
				<WeeksChart
					{lanes}
					{stretches}
					span={[sessions[0]!.startedAt, sessions.at(-1)!.startedAt]}
					{unit}
					chosenAt={chosen.startedAt}
					label="{measuredRow(shown).label} over the weeks"
					{width}
					bind:drawing
				/>
			{:else if !shown}<p class="text-ink2 text-[13px]">Fewer than two visits were measured by tape.</p>{/if}
		</div>
		<label class="flex items-center gap-3 pt-1 text-[12.5px]"
			>Visit <input
				type="range"
				min="0"
				max={sessions.length - 1}
				value={at}
				aria-valuetext={said}
				class="max-w-[420px] flex-1"
				oninput={(e) => (wished = sessions[e.currentTarget.valueAsNumber]?.id ?? null)}
			/></label
		>
		<p class="text-[13px] leading-5" aria-hidden="true">{said}.</p>
		{#if lanes.length}<details class="pt-1.5">
				<summary class="cursor-pointer text-[12.5px]">The same as a table</summary>
				<table class="mt-1 text-[12.5px]">
					<caption class="sr-only">{shown ? measuredRow(shown).label : ''}, {unit}, before to after, by visit</caption>
					<thead
						><tr class="text-ink2 text-left"
							><th class="pr-4 font-normal">Visit</th>{#each lanes as lane (lane.name)}<th class="pr-4 font-normal">{lane.name}, {unit}</th
								>{/each}</tr
						></thead
					>
					<tbody>
						{#each sessions as s, i (s.id)}<tr class="border-hair border-t"
								><th scope="row" class="pr-4 text-left font-normal">{i + 1}, {shortDay(onWall(s.startedAt, s))}</th
								>{#each lanes as lane (lane.name)}{@const point = lane.points.find((p) => p.id === s.id)}<td class="pr-4"
										>{point ? both(point) : '–'}</td
									>{/each}</tr
							>{/each}
					</tbody>
				</table>
			</details>{/if}
	</section>
	{#if shown && parts.current > 2}<div
			class="border-hair mt-4 grid grid-cols-1 gap-x-10 gap-y-5 border-t pt-3 xl:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]"
		>
			<section>
				<h2 class="pb-1 text-[13.5px] font-semibold">At once, and what stays</h2>
				{#if measuredRow(shown).sides}<AtOnceAndLasting {sessions} observed={shown} {unit} uneven />{:else}<p class="text-ink2 text-[13px]">
						Worked out for what is measured on each side.
					</p>{/if}
				<p class="text-ink2 pt-1 text-[12px] leading-4">
					With their 95 % intervals. One person’s record, not proof: what else changed in these weeks is in it too.
				</p>
			</section>
			<section>
				<h2 class="pb-1 text-[13.5px] font-semibold">
					What goes with what <span class="text-ink2 pl-1 font-normal">{measuredRow(shown).label}</span>
				</h2>
				{#if together.length}<GoesWithTable found={together} {unit} />{:else}<p class="text-ink2 text-[13px] leading-5">
						Something must have been there at three visits and missing at three others. Sleep, salt and the like are told at the start of a
						session.
					</p>{/if}
			</section>
		</div>{/if}
{/if}
