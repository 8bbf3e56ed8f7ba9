<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	import { gradesByZone } from '$lib/core/assess/assessment';
	import { gradeRow, HEADLINE_GRADE } from '$lib/core/assess/registry';
	import type { Session } from '$lib/core/records/session';
	import { progressOf } from '../../parts/shell/addresses';
	import { dayOfYear, onWall, shortDay } from '../../parts/dates';
	import PennantMark from '../../parts/glyphs/PennantMark.svelte';

	interface Props {
		/** The earliest first. */
		sessions: readonly Session[];
		clientId: string;
	}
	let { sessions, clientId }: Props = $props();
	let width = $state(600);
	const HEIGHT = 96;
	const FOOT = 74;
	/** Mean of what was graded; null where nothing was. */
	const mean = (assessment: Session['before'] | null): number | null => {
		const grades = assessment ? gradesByZone(assessment, HEADLINE_GRADE).map((g) => g.grade) : [];
		return grades.length ? grades.reduce((a, b) => a + b, 0) / grades.length : null;
	};
	const visits = $derived(
		sessions
			.map((s) => ({ id: s.id, session: s, at: new Date(s.startedAt), before: mean(s.before), after: mean(s.after), bad: s.sideEffects }))
			.filter((v) => v.before !== null)
	);
	const x = $derived(
		scaleLinear(
			[visits[0]?.at ?? new Date(0), visits.at(-1)?.at ?? new Date(1)],
			visits.length > 1 ? [34, width - 40] : [width / 2, width / 2]
		)
	);
	const y = scaleLinear([0, 4], [FOOT, 10]);
	/** From each before a fall to its after, and a rise to the next before. */
	const water = $derived.by(() => {
		const points = visits.flatMap((v) => [`${x(v.at)} ${y(v.before!)}`, ...(v.after === null ? [] : [`${x(v.at) + 6} ${y(v.after)}`])]);
		return points.length ? `M${points.join('L')}` : '';
	});
	const label = $derived(gradeRow(HEADLINE_GRADE).label);
</script>

<section class="mt-4" aria-label="Sessions">
	<h3 class="text-[13.5px] font-semibold">
		{sessions.length}
		{sessions.length === 1 ? 'session' : 'sessions'}
		{#if visits.length > 1}<span class="text-ink2 text-[12.5px] font-normal"
				>{label.toLowerCase()}, mean of the graded places, before and after</span
			>{/if}
	</h3>
	{#if visits.length > 1}
		<div bind:clientWidth={width}>
			<svg
				{width}
				height={HEIGHT}
				role="img"
				aria-label="{label} over {visits.length} sessions; the table of them is in Progress"
				class="block"
			>
				{#each [1, 3] as g (g)}<text x="12" y={y(g) + 4} font-size="11" fill="var(--ink2)">{g}</text>{/each}
				<path d="{water}L{x(visits.at(-1)!.at)} {FOOT}L{x(visits[0]!.at)} {FOOT}Z" fill="var(--drainfill)" fill-opacity="0.45" />
				<path d={water} fill="none" stroke="var(--drain)" stroke-width="1.6" />
				<path d="M34 {FOOT}H{width - 40}" stroke="var(--ink)" stroke-width="3" />
				{#each visits as v (v.id)}
					<circle cx={x(v.at)} cy={y(v.before!)} r="3.2" fill="var(--paper)" stroke="var(--drain)" stroke-width="1.5" />
					{#if v.bad}<PennantMark severity="caution" x={x(v.at) - 2} y={y(v.before!) - 22} />{/if}
				{/each}
				<text x="34" y={HEIGHT - 6} font-size="11.5" fill="var(--ink2)">{shortDay(visits[0]!.at)}</text>
				<text x={width - 40} y={HEIGHT - 6} font-size="11.5" text-anchor="end" fill="var(--ink2)">{shortDay(visits.at(-1)!.at)}</text>
			</svg>
		</div>
	{/if}
	<ul class="text-[12.5px]">
		{#each [...sessions].reverse().slice(0, 6) as s (s.id)}
			<li class="border-hair border-b">
				<a class="hover:bg-wash/50 flex justify-between gap-3 rounded px-1 py-1.5" href={progressOf(clientId, s.id)}
					><span>{dayOfYear(onWall(s.startedAt, s))}</span><span class="text-ink2 min-w-0 truncate"
						>{s.sequence?.title ?? 'findings only'}{s.screened?.fitted ? ', made to fit' : ''}{s.sideEffects
							? `; ${s.sideEffects}`
							: ''}</span
					></a
				>
			</li>
		{:else}<li class="text-ink2 py-2">None yet.</li>{/each}
	</ul>
</section>
