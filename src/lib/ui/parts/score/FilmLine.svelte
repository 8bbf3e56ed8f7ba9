<script lang="ts">
	import type { DryStep, FilmLine } from '$lib/core/glide/film';
	import { clock } from '$lib/core/step/describe';
	import { xAt, type ScoreFrame } from './scoreGeometry';

	interface Props {
		film: FilmLine;
		dry: readonly DryStep[];
		frame: ScoreFrame;
		/** px from the top: where the film is spent. */
		foot: number;
	}
	let { film, dry, frame, foot }: Props = $props();
	const HEIGHT = 13;
	/** Its foot is *spent*: what a sliding hand needs at least. */
	const y = (share: number) => foot - HEIGHT * Math.max(0, Math.min(1, (share - film.dryShare) / (1 - film.dryShare)));
	const points = $derived(film.points.filter(([, share]) => share > 0));
	const line = $derived(points.map(([s, share]) => `${xAt(frame, s).toFixed(1)} ${y(share).toFixed(1)}`).join('L'));
	const spent = $derived(dry.find((d) => d.kind === 'spent'));
</script>

{#if points.length > 1}
	<g aria-hidden="true" style="pointer-events: none">
		<path d="M{xAt(frame, points[0]![0])} {foot}L{line}L{xAt(frame, points.at(-1)![0])} {foot}Z" fill="var(--sand)" fill-opacity="0.55" />
		<path d="M{line}" fill="none" stroke="var(--rest)" stroke-width="1.2" />
		{#if spent}
			{@const x = xAt(frame, spent.seconds)}
			<circle cx={x} cy={foot} r="2.8" fill="var(--sheet)" stroke="var(--flag)" stroke-width="1.5" />
			<text x={x + 6} y={foot - 3} class="spent">oil used up {clock(spent.seconds)}</text>
		{/if}
	</g>
{/if}

<style>
	.spent {
		font-size: 11px;
		fill: var(--ink2);
		paint-order: stroke;
		stroke: var(--sheet);
		stroke-width: 4px;
		stroke-linejoin: round;
	}
</style>
