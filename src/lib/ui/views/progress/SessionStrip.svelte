<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	import { line } from 'd3-shape';
	import { SIDES } from '$lib/core/atlas/places';
	import { valueAt } from '$lib/core/assess/assessment';
	import { measuredRow, type ObservationId } from '$lib/core/assess/registry';
	import type { Session } from '$lib/core/records/session';
	import { dayAndHour, onWall, shortDay } from '../../parts/dates';

	interface Props {
		sessions: readonly Session[];
		chosenId: string | null;
		/** What is drawn: measured, on each side. */
		observed: ObservationId;
		/** px */
		width: number;
		/** Absent on paper: nothing can be chosen there. */
		onchoose?: (id: string) => void;
		drawing?: SVGSVGElement | undefined;
	}
	let { sessions, chosenId, observed, width, onchoose, drawing = $bindable() }: Props = $props();
	const HEIGHT = 118;
	const LANES = $derived(
		SIDES.map((side, lane) => ({
			side,
			lane,
			points: sessions
				.map((s) => ({
					id: s.id,
					at: new Date(s.startedAt),
					before: valueAt(s.before, observed, { side }),
					after: valueAt(s.after, observed, { side })
				}))
				.filter((p) => p.before !== null)
		}))
	);
	const x = $derived(
		scaleLinear(
			[new Date(sessions[0]?.startedAt ?? 0), new Date(sessions.at(-1)?.startedAt ?? 1)],
			sessions.length > 1 ? [84, width - 56] : [width / 2, width / 2]
		)
	);
	const values = $derived(LANES.flatMap((l) => l.points.flatMap((p) => [p.before!, p.after ?? p.before!])));
	const low = $derived(Math.min(...values));
	const high = $derived(Math.max(...values));
	const y = $derived((lane: number) => scaleLinear([low - 1, high + 1], [lane * 54 + 46, lane * 54 + 6]));
	const path = $derived((lane: number) =>
		line<{ at: Date; before: number | null }>(
			(p) => x(p.at),
			(p) => y(lane)(p.before!)
		)
	);
</script>

{#if values.length}
	<svg
		bind:this={drawing}
		{width}
		height={HEIGHT}
		viewBox="0 0 {width} {HEIGHT}"
		role="img"
		aria-label="{measuredRow(observed).label} of each session, before and after, by side; the table says the same for the chosen one"
	>
		{#each LANES as { side, lane, points } (side)}
			<text x="0" y={lane * 54 + 22} class="name">Client’s {side}</text>
			<text x="0" y={lane * 54 + 36} class="unit">{measuredRow(observed).sumOf ? 'sum, ' : ''}{measuredRow(observed).unit}</text>
			<path d={path(lane)(points) ?? ''} fill="none" stroke="var(--drain)" stroke-opacity="0.5" stroke-width="1.2" stroke-dasharray="1 3" />
			{#each points as p (p.id)}
				{#if p.after !== null}<path
						d="M{x(p.at)} {y(lane)(p.before!)}L{x(p.at) + 5} {y(lane)(p.after)}"
						stroke="var(--water1)"
						stroke-width="3"
						stroke-linecap="round"
					/><circle cx={x(p.at) + 5} cy={y(lane)(p.after)} r="2.2" fill="var(--paper)" stroke="var(--water1)" />{/if}
				<circle cx={x(p.at)} cy={y(lane)(p.before!)} r={p.id === chosenId ? 5 : 3.4} fill="var(--ink)" />
			{/each}
			{#if points.length}<text x={width - 46} y={y(lane)(points.at(-1)!.before!) + 4} class="value"
					>{points.at(-1)!.before!.toFixed(1)}</text
				>{/if}
		{/each}
	</svg>
{/if}
{#if onchoose}<div class="flex flex-wrap gap-1" role="group" aria-label="Sessions">
		{#each sessions as s, i (s.id)}
			<button
				type="button"
				class="min-w-8 rounded-md px-1.5 py-0.5 text-[12px] {s.id === chosenId ? 'bg-primary text-onink font-semibold' : 'hover:bg-wash'}"
				aria-label="Session {i + 1}, {shortDay(onWall(s.startedAt, s))}"
				aria-pressed={s.id === chosenId}
				title={dayAndHour(onWall(s.startedAt, s))}
				onclick={() => onchoose(s.id)}
			>
				{i + 1}
			</button>
		{/each}
	</div>{/if}

<style>
	.name {
		font-size: 12px;
		font-weight: 600;
		fill: var(--ink);
	}
	.unit {
		font-size: 11px;
		fill: var(--ink3);
	}
	.value {
		font-size: 12px;
		font-weight: 600;
		fill: var(--ink);
	}
</style>
