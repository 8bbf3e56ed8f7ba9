<script lang="ts">
	import { FIGURE, MIDLINE_X, nodePoints, type View } from '$lib/core/atlas/geometry';
	import type { NodeId } from '$lib/core/atlas/nodes';
	import type { ZoneId } from '$lib/core/atlas/zones';
	import { faceNetwork } from '$lib/core/flow/network';
	import type { Tide } from '$lib/core/flow/tide';

	interface Props {
		view: View;
		tide: Tide;
		/** Only what has happened until then. */
		seconds: number;
	}
	let { view, tide, seconds }: Props = $props();
	const placed = $derived(
		tide.marks
			.filter((m) => m.atSeconds <= seconds)
			.flatMap((mark) => {
				const [, node, name, side] = /^(n:)?(.*):(left|right)$/.exec(faceNetwork().ids[mark.place]!)!;
				if (view === 'profile' && side === 'right') return [];
				const at = node ? nodePoints(view, name as NodeId)[0] : FIGURE[view].zones[name as ZoneId]?.centroid;
				if (!at) return [];
				return [{ ...mark, x: side === 'right' ? 2 * MIDLINE_X - at[0] : at[0], y: at[1] }];
			})
	);
</script>

<!-- Water before a wall, and pools that lie still: the same signs as under the score. -->
<g aria-hidden="true" style="pointer-events: none">
	{#each placed as { kind, place, stepId, x, y } (`${kind}${place}${stepId}`)}
		{#if kind === 'dammed'}
			<path d="M{x - 8} {y + 6}v-5q2.6 -4.6 5.2 0t5.2 0v5Z" fill="var(--drainfill)" stroke="var(--drain)" stroke-width="1.4" />
			<path d="M{x + 5.4} {y - 9}v16" stroke="var(--flag)" stroke-width="3" stroke-linecap="round" />
		{:else}
			<ellipse cx={x} cy={y + 3} rx="9" ry="4.8" fill="var(--drainfill)" fill-opacity="0.9" stroke="var(--drain)" stroke-width="1.4" />
			<path
				d="M{x} {y - 10}v7m-3.2 -3l3.2 3.2l3.2 -3.2"
				fill="none"
				stroke="var(--flag)"
				stroke-width="2"
				stroke-linecap="round"
				stroke-linejoin="round"
			/>
		{/if}
	{/each}
</g>
