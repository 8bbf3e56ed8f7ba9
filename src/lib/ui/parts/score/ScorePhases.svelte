<script lang="ts">
	import { clock } from '$lib/core/step/describe';
	import { xAt, type ScoreFrame } from './scoreGeometry';
	import type { SpecPhase } from './scoreLayout';

	interface Props {
		phases: readonly SpecPhase[];
		frame: ScoreFrame;
		/** px */
		height: number;
	}
	let { phases, frame, height }: Props = $props();

	/** A title as long as its room, px; a cut one says so. */
	const fitted = (title: string, room: number) => {
		const letters = Math.max(1, Math.floor(room / 6.6));
		return title.length <= letters ? title : `${title.slice(0, letters - 1)}…`;
	};
</script>

{#each phases as phase, i (phase.id + i)}
	{@const [a, b] = [xAt(frame, phase.startSeconds), xAt(frame, phase.endSeconds)]}
	{#if i % 2}<rect x={a} y="0" width={b - a} {height} fill="var(--paper)" fill-opacity="0.6" />{/if}
	{#if i}<path d="M{a} 0V{height}" stroke="var(--sandline)" stroke-dasharray="1 3" />{/if}
	{#if b - a > 46}
		<text x={a + 6} y="13" class="phase"
			>{fitted(phase.title, b - a - 44)}<tspan class="phase-time" dx="6">{clock(phase.endSeconds - phase.startSeconds)}</tspan></text
		>
	{/if}
{/each}

<style>
	.phase {
		font-size: 12.5px;
		font-weight: 560;
		fill: var(--ink);
		font-variation-settings: 'FLAR' 100;
	}
	.phase-time {
		font-weight: 400;
		font-size: 11.5px;
		fill: var(--ink3);
	}
</style>
