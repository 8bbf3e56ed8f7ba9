<script lang="ts">
	import { SIDES, type Side } from '$lib/core/atlas/places';
	import { ZONE_IDS, ZONES, type ZoneId } from '$lib/core/atlas/zones';
	import { countOf, nextGrade, valueAt } from '$lib/core/assess/assessment';
	import { asAnotherTime, withGrade, withRestNone } from '$lib/core/assess/grading';
	import { zoneOf } from '$lib/core/atlas/regionOf';
	import { sided } from '$lib/core/client/sidedZone';
	import { placeWords } from '$lib/core/screening/allowed';
	import type { Limit } from '$lib/core/screening/limit.schema';
	import type { Assessment } from '$lib/core/assess/assessment.schema';
	import type { Grade } from '$lib/core/assess/observation';
	import { GRADE_IDS, gradeRow, type ObservationId } from '$lib/core/assess/registry';
	import Select from '../../parts/controls/Select.svelte';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import FaceMap from '../../parts/map/FaceMap.svelte';
	import LimitMarks from '../../parts/map/LimitMarks.svelte';
	import type { Pick, ZoneTint } from '../../parts/map/mapTypes';
	import type { Orientation } from '../../parts/map/orientation';
	import { sidesAsSeen } from '../../parts/map/orientation';
	import GradeCell from './GradeCell.svelte';

	interface Props {
		assessment: Assessment;
		/** Last time, or before: drawn as a dotted line, never filled in. */
		ghost: Assessment | null;
		/** Zones that the aims ask for; every other zone can be tapped too. */
		asked: readonly ZoneId[];
		orientation: Orientation;
		title: string;
		/** What today allows her, drawn under the grades. */
		limits?: readonly Limit[];
		/** What is dotted may be taken as it was: before, never after. */
		recall?: boolean;
		onchange: (assessment: Assessment) => void;
	}
	let { assessment, ghost, asked, orientation, title, limits = [], recall = false, onchange }: Props = $props();

	/** Two stand side by side, the rest behind them. */
	const FIRST = GRADE_IDS.slice(0, 2);
	const MORE = GRADE_IDS.slice(2);
	let observed = $state<ObservationId>(GRADE_IDS[0]!);
	let active = $state<{ zone: ZoneId; side: Side } | null>(null);
	const row = $derived(gradeRow(observed));
	const gradeAt = (a: Assessment | null, place: ZoneId, side: Side) => valueAt(a, observed, { place, side }) as Grade | null;
	const rows = $derived(
		ZONE_IDS.filter((z) => asked.includes(z) || [assessment, ghost].some((a) => SIDES.some((s) => gradeAt(a, z, s) !== null)))
	);
	const named = $derived((id: ObservationId) => `${gradeRow(id).label} ${countOf(assessment, [id]) || ''}`.trim());
	const order = $derived(sidesAsSeen(orientation));
	const tints = $derived<ZoneTint[]>(
		ZONE_IDS.flatMap((zone) =>
			SIDES.flatMap((side) => {
				const grade = gradeAt(assessment, zone, side);
				if (grade === null) return [];
				const words = `${row.label.toLowerCase()} ${grade}, ${row.words[grade]}`;
				return [{ zone, side, strength: 0.05 + 0.055 * grade, lines: grade, picture: row.picture, words }];
			})
		)
	);
	/** What is given on one side is given on both. */
	let bothSides = $state(false);
	const set = (zone: ZoneId, side: Side, grade: Grade | null) => {
		active = { zone, side };
		onchange(withGrade(assessment, observed, zone, bothSides ? SIDES : [side], grade));
	};
	function tap({ place, side }: Pick) {
		const zone = place as ZoneId;
		set(zone, side, nextGrade(gradeAt(assessment, zone, side)));
	}
	/** The grade that a drag lays over whatever it passes: that of the place where it began, and one more. */
	let laid: Grade | null = null;
	function pass({ place, side }: Pick, first: boolean) {
		const zone = place as ZoneId;
		if (first) laid = nextGrade(gradeAt(assessment, zone, side));
		set(zone, side, laid);
	}
	const recalled = $derived(recall ? asAnotherTime(assessment, ghost, observed, rows) : assessment);
</script>

<div class="grid min-h-0 grid-cols-1 gap-x-4 md:grid-cols-[minmax(300px,1fr)_minmax(340px,1fr)]">
	<div class="flex min-h-[420px] flex-col">
		<h1 class="text-[23px] leading-8 font-[520]">{title}</h1>
		<div class="text-ink2 flex justify-between pt-1 text-[13px]">
			<b class="text-ink font-semibold">Client’s {order[0]}</b><b class="text-ink font-semibold">Client’s {order[1]}</b>
		</div>
		<div class="min-h-0 flex-1">
			<FaceMap
				view="front"
				{orientation}
				{tints}
				showNodes={false}
				selected={active ? [{ place: active.zone, side: active.side }] : []}
				label="Each tap on a zone adds one grade of {row.label.toLowerCase()}"
				spoken={(pick) => placeWords(limits, sided(zoneOf(pick.place), pick.side))}
				onpick={tap}
				onpass={pass}
			>
				{#snippet over()}{#if limits.length}<LimitMarks view="front" {limits} quiet />{/if}{/snippet}
			</FaceMap>
		</div>
	</div>
	<div class="flex min-h-0 flex-col">
		<div class="flex flex-wrap items-center gap-1.5 py-1">
			<Segmented
				large
				label="What is graded"
				value={observed}
				options={FIRST.map((value) => ({ value, label: named(value) }))}
				onchange={(id) => (observed = id)}
			/>
			<Select
				label="What else is graded"
				value={MORE.includes(observed) ? observed : 'none'}
				options={[
					...(MORE.includes(observed) ? [] : [{ value: 'none' as const, label: 'More' }]),
					...MORE.map((value) => ({ value, label: named(value) }))
				]}
				onchange={(id: ObservationId | 'none') => id !== 'none' && (observed = id)}
				class="min-h-11 text-[13.5px]"
			/>
			<button type="button" class="btn min-h-11 px-2 text-[13.5px]" aria-pressed={bothSides} onclick={() => (bothSides = !bothSides)}
				>Both sides</button
			>
			{#if recall && ghost}<button
					type="button"
					class="btn min-h-11 px-2 text-[13.5px]"
					disabled={recalled.entries.length === assessment.entries.length}
					onclick={() => onchange(recalled)}>As last time</button
				>{/if}
			<button
				type="button"
				class="btn min-h-11 px-2 text-[13.5px]"
				disabled={!rows.length}
				onclick={() => onchange(withRestNone(assessment, observed, rows))}>Mark the rest 0</button
			>
		</div>
		<p class="text-ink2 py-1 text-[13px]">
			Tap a place on the face: each tap adds one grade; draw over several to give them the same. Dotted: {ghost
				? 'the time before'
				: 'nothing yet to compare with'}.
		</p>
		<ul class="-mx-1 min-h-0 flex-1 overflow-y-auto px-1" aria-label="Grades">
			{#each rows as zone (zone)}
				<li class="border-hair border-b pt-1">
					<span class="water text-[13.5px]">{ZONES[zone].label}</span>
					<span class="grid grid-cols-2">
						{#each order as side (side)}
							<GradeCell
								grade={gradeAt(assessment, zone, side)}
								ghost={gradeAt(ghost, zone, side)}
								name="{ZONES[zone].label}, client’s {side}"
								words={row.words}
								active={active?.zone === zone && active.side === side}
								onchange={(g) => set(zone, side, g)}
								onfocus={() => (active = { zone, side })}
							/>
						{/each}
					</span>
				</li>
			{:else}
				<li class="text-ink2 py-3 text-[13.5px]">No place felt yet.</li>
			{/each}
		</ul>
	</div>
</div>
