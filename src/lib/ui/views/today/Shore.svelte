<script lang="ts">
	import { startOfDay } from 'date-fns';
	import type { Session } from '$lib/core/records/session';

	import type { Assessment } from '$lib/core/assess/assessment.schema';
	import { gradeRow, HEADLINE_GRADE } from '$lib/core/assess/registry';
	import { dayOfMonth } from '../../parts/dates';

	interface Props {
		/** Latest first. */
		sessions: readonly Session[];
		name: (clientId: string) => string;
		now: Date;
	}
	let { sessions, name, now }: Props = $props();
	let height = $state(700);

	const DAYS = 14;
	const DAY_MS = 86_400_000;
	const WIDTH = 420;
	const TOP = 58;
	/** A day is a stretch of beach, today at the top; each client arrives as high water and leaves as low water. */
	const row = $derived(Math.max(26, (height - TOP - 24) / DAYS));
	const midnight = $derived(startOfDay(now).getTime() + DAY_MS);
	const und = (y: number) => 4.5 * Math.sin(y / 96 + 0.6) + 2 * Math.sin(y / 41 + 1);
	/** The highest grade of what lists speak of first. */
	const highest = (assessment: Assessment) =>
		Math.max(0, ...assessment.entries.flatMap((e) => (e.observation === HEADLINE_GRADE ? [Number(e.value)] : [])));
	const marks = $derived(
		sessions
			.map((s) => ({
				id: s.id,
				clientId: s.clientId,
				y: TOP + ((midnight - Date.parse(s.startedAt)) / DAY_MS) * row,
				high: highest(s.before),
				low: s.after ? highest(s.after) : null,
				at: new Date(s.startedAt)
			}))
			.filter((m) => m.y < height - 10)
	);
	/** Where the water stands, px of reach onto the sand. */
	const reach = (y: number) =>
		marks.reduce((sum, m) => sum + (17 * m.high * Math.exp(-(((y - m.y) / (row * 0.42)) ** 2))) ** 5, 0) ** (1 / 5);
	const edge = $derived.by(() => {
		const points: string[] = [];
		for (let y = 0; y <= height + 3; y += 4) points.push(`${(150 + und(y) - reach(y)).toFixed(1)} ${y}`);
		return points.join('L');
	});
	/** The dune behind the beach, from the foot up, so that the outline closes. */
	const dune = $derived.by(() => {
		const points: string[] = [];
		for (let y = height; y >= 0; y -= 8) points.push(`${(54 + 0.8 * und(y + 40) + 1.6 * Math.sin(y / 23)).toFixed(1)} ${y}`);
		return points.join('L');
	});
	const grains = $derived.by(() => {
		let d = '';
		let s = 11;
		const random = () => (s = (s * 16807) % 2147483647) / 2147483647;
		for (let i = 0; i < 900; i++) {
			const y = random() * height;
			const x = 52 + 0.8 * und(y + 40) + random() ** 1.4 * (92 + und(y));
			d += `M${x.toFixed(1)} ${y.toFixed(1)}h.01`;
		}
		return d;
	});
	const days = $derived(
		Array.from({ length: DAYS }, (_, i) => ({
			y: TOP + (i + 0.5) * row,
			label: i === 0 ? 'today' : dayOfMonth(new Date(midnight - (i + 0.5) * DAY_MS))
		}))
	);
	/** Names keep out of each other's way. */
	const labels = $derived.by(() => {
		let last = -99;
		return [...marks]
			.sort((a, b) => a.y - b.y)
			.map((m) => {
				last = Math.max(m.y, last + 30);
				return { ...m, labelY: last };
			});
	});
</script>

<aside class="relative w-[420px] flex-none overflow-hidden max-lg:hidden" aria-label="The last two weeks" bind:clientHeight={height}>
	<svg
		width={WIDTH}
		{height}
		viewBox="0 0 {WIDTH} {height}"
		role="img"
		aria-label="Sessions of the last two weeks: high water before, low water after"
	>
		<path d="M{edge}H{WIDTH}V0Z" fill="var(--sea)" />
		<path d="M{dune}L{edge}Z" fill="var(--sand)" />
		<path d={grains} stroke="var(--sandline)" stroke-width="1.1" stroke-linecap="round" fill="none" />
		<path d="M{edge}" fill="none" stroke="var(--coast)" stroke-width="1.3" />
		{#each [3, 6.4, 11] as by, i (by)}<path
				d="M{edge}"
				transform="translate({by} 0)"
				fill="none"
				stroke="var(--ink)"
				stroke-width="0.6"
				opacity={[0.42, 0.22, 0.12][i]}
			/>{/each}
		<text x="212" y="26" class="title">High water, low water</text>
		<text x="212" y="41" class="note">highest {gradeRow(HEADLINE_GRADE).label.toLowerCase()}, before and after</text>
		{#each days as day (day.label)}<text x="44" y={day.y + 4} class="day">{day.label}</text>{/each}
		{#each labels as m (m.id)}
			{@const x = 150 + und(m.y) - 17 * m.high}
			<circle cx={x} cy={m.y} r="3" fill="var(--drain)" />
			<path d="M{x} {m.y}H196L206 {m.labelY}" fill="none" stroke="var(--ink3)" stroke-width="0.7" />
			<text x="212" y={m.labelY + 1} class="name">{name(m.clientId)}</text>
			<text x="212" y={m.labelY + 14} class="note">high {m.high}{m.low === null ? '' : `, low ${m.low}`}</text>
		{/each}
		{#if !marks.length}<text x="212" y={TOP + 30} class="note">slack water: nobody was here</text>{/if}
	</svg>
</aside>

<style>
	.title {
		font-size: 12.5px;
		font-weight: 600;
		fill: var(--ink);
	}
	.name {
		font-size: 12.5px;
		font-weight: 540;
		fill: var(--ink);
	}
	.note {
		font-size: 11px;
		fill: var(--ink2);
		font-style: oblique 12deg;
	}
	.day {
		font-size: 11px;
		fill: var(--ink2);
		text-anchor: end;
	}
</style>
