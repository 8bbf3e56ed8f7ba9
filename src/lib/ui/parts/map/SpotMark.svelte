<script lang="ts">
	import type { Point } from '$lib/core/atlas/geometry';
	import type { Step } from '$lib/core/step/step.schema';
	import { peakLevel } from '$lib/core/step/levelsOf';
	import { motionDrawing } from '../glyphs/motionGlyph';

	interface Props {
		points: readonly Point[];
		step: Step;
		/** Worked now, or the side that comes next. */
		now: boolean;
		small: boolean;
		/** Part of the present repetition that is over, 0..1; null at rest. */
		beat: number | null;
		/** The right side of the front view: the motion turns the other way. */
		mirrored: boolean;
	}
	let { points, step, now, small, beat, mirrored }: Props = $props();
	const level = $derived(peakLevel(step));
	const drawing = $derived(motionDrawing(step.motion, { lanes: 1, reverse: step.reverse }));
	/** Presses with the beat: inwards, and let go. */
	const press = $derived(beat === null ? 0 : Math.sin(Math.PI * beat));
	const colour = $derived(now ? 'var(--brush)' : 'var(--route)');
	const R = $derived(small ? 20 : 13);
</script>

{#each points as [x, y], i (i)}
	<circle cx={x} cy={y} r={R} fill="var(--sheet)" fill-opacity={now ? 0.88 : 0.45} />
	<!-- One ring a level of pressure, counted from the inside out; none at all is a dotted one. -->
	{#each { length: Math.max(1, level) } as _, ring (ring)}
		<circle
			cx={x}
			cy={y}
			r={R + (small ? 7 : 4.6) * ring - 3 * press}
			fill="none"
			stroke={colour}
			stroke-width={now ? (small ? 4 : 2.3) : 1.4}
			stroke-dasharray={now && level > 0 ? undefined : '2 2.6'}
		/>
	{/each}
	{#if small || step.motion === 'none'}<circle cx={x} cy={y} r={small ? 6 : 3} fill={colour} />
	{:else}
		<g
			transform="translate({x} {y}) scale({(mirrored ? -1 : 1) * (0.92 - 0.14 * press)} {0.92 - 0.14 * press}) translate(-11 -8)"
			fill="none"
			stroke={colour}
			stroke-width="1.7"
			stroke-linecap="round"
			stroke-linejoin="round"
		>
			{#each drawing.held as d (d)}<path {d} stroke-dasharray="1.6 1.8" />{/each}
			{#each drawing.rings as r (r)}<circle cx="11" cy="8" r={r * 0.8} />{/each}
			{#each drawing.ways as d, k (k)}<path {d} />{/each}
			{#each drawing.heads as d, k (k)}<path {d} />{/each}
			{#each drawing.starts as [sx, sy], k (k)}<circle cx={sx} cy={sy} r="1.5" fill={colour} stroke="none" />{/each}
		</g>
	{/if}
{/each}
