<script lang="ts">
	import { SIDES, type Side } from '$lib/core/atlas/places';
	import { ZONE_IDS, ZONES, type ZoneId } from '$lib/core/atlas/zones';
	import { gradeOf, withGrade, type GradeKind } from '$lib/core/measure/look';
	import { nextGrade, PUFFINESS_WORDS, TENSION_WORDS, type Grade } from '$lib/core/measure/grades';
	import type { Look } from '$lib/core/measure/records.schema';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import FaceMap from '../../parts/map/FaceMap.svelte';
	import type { Pick, ZoneTint } from '../../parts/map/mapTypes';
	import type { Orientation } from '../../parts/map/orientation';
	import { sideOnViewersLeft } from '../../parts/map/orientation';
	import GradeCell from './GradeCell.svelte';

	interface Props {
		look: Look;
		/** Last time, or before: drawn as a dotted line, never filled in. */
		ghost: Look | null;
		/** Zones that the aims ask for; every other zone can be tapped too. */
		asked: readonly ZoneId[];
		orientation: Orientation;
		title: string;
		onchange: (look: Look) => void;
	}
	let { look, ghost, asked, orientation, title, onchange }: Props = $props();

	let kind = $state<GradeKind>('puffiness');
	let active = $state<{ zone: ZoneId; side: Side } | null>(null);
	const words = $derived(kind === 'puffiness' ? PUFFINESS_WORDS : TENSION_WORDS);
	const rows = $derived(
		ZONE_IDS.filter((z) => asked.includes(z) || [look, ghost].some((l) => l?.grades.some((g) => g.zone === z && g.kind === kind)))
	);
	const felt = $derived((k: GradeKind) => look.grades.filter((g) => g.kind === k).length);
	const left = $derived(sideOnViewersLeft(orientation));
	const order = $derived<Side[]>(left === 'right' ? ['right', 'left'] : ['left', 'right']);
	const tints = $derived<ZoneTint[]>(
		look.grades
			.filter((g) => g.kind === kind)
			.map((g) => ({
				zone: g.zone,
				side: g.side,
				strength: 0.05 + 0.055 * g.grade,
				lines: g.grade,
				words: `${kind} ${g.grade}, ${words[g.grade]}`
			}))
	);
	const set = (zone: ZoneId, side: Side, grade: Grade | null) => {
		active = { zone, side };
		onchange(withGrade(look, kind, zone, side, grade));
	};
	function tap({ place, side }: Pick) {
		const zone = place as ZoneId;
		set(zone, side, nextGrade(gradeOf(look, kind, zone, side)));
	}
	const restIsNone = () =>
		onchange(
			rows
				.flatMap((z) => SIDES.map((s) => [z, s] as const))
				.reduce((l, [z, s]) => (gradeOf(l, kind, z, s) === null ? withGrade(l, kind, z, s, 0) : l), look)
		);
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
				label="Tap a zone once for each grade of {kind}"
				onpick={tap}
			/>
		</div>
	</div>
	<div class="flex min-h-0 flex-col">
		<div class="flex flex-wrap items-center gap-2 py-1">
			<Segmented
				large
				label="What is graded"
				value={kind}
				options={[
					{ value: 'puffiness', label: `Puffiness ${felt('puffiness')}` },
					{ value: 'tension', label: `Tension ${felt('tension')}` }
				]}
				onchange={(k) => (kind = k)}
			/>
			<button type="button" class="btn min-h-11 px-3.5 text-[14px]" onclick={restIsNone} disabled={!rows.length}>The rest is none</button>
		</div>
		<p class="text-ink2 py-1 text-[13px]">
			Tap a place on the face, once for each step. Dotted: {ghost ? 'the time before' : 'nothing yet to compare with'}.
		</p>
		<ul class="min-h-0 flex-1 overflow-y-auto" aria-label="Grades">
			{#each rows as zone (zone)}
				<li class="border-hair border-b pt-1">
					<span class="water text-[13.5px]">{ZONES[zone].label}</span>
					<span class="grid grid-cols-2">
						{#each order as side (side)}
							<GradeCell
								grade={gradeOf(look, kind, zone, side)}
								ghost={gradeOf(ghost, kind, zone, side)}
								name="{ZONES[zone].label}, client’s {side}"
								{words}
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
