<script lang="ts">
	import type { MarkKind } from '$lib/core/client/marks';

	interface Props {
		kind: MarkKind;
		/** Drawing units of the figure. */
		x: number;
		y: number;
		title?: string;
	}
	let { kind, x, y, title = '' }: Props = $props();
	const SIX = [0, 60, 120];
	const EIGHT = Array.from({ length: 8 }, (_, i) => (i * Math.PI) / 4);
</script>

<!-- Each kind of mark by a sign of its own, on a light disc so that it is seen over hatching. -->
<g transform="translate({x} {y})" fill="none" stroke="var(--ink)" stroke-width="2" stroke-linecap="round">
	{#if title}<title>{title}</title>{/if}
	<circle r="12" fill="var(--sheet)" fill-opacity="0.85" stroke="none" />
	{#if kind === 'mole'}<circle r="6.5" /><circle r="2.2" fill="var(--ink)" stroke="none" />
	{:else if kind === 'scar'}<path d="M-9 3L9 -3M-5 -3L-3 5M0 -5L2 4M5 -6L7 2" />
	{:else if kind === 'sore'}{#each SIX as deg (deg)}<path d="M-7 0H7" transform="rotate({deg})" />{/each}
	{:else if kind === 'breakout'}{#each EIGHT as a (a)}<circle
				cx={7 * Math.cos(a)}
				cy={7 * Math.sin(a)}
				r="1.7"
				fill="var(--ink)"
				stroke="none"
			/>{/each}
	{:else if kind === 'permanent-makeup'}<path d="M-8 3C-3 -5 3 -5 8 1M-6 6C-2 1 3 1 6 4" />
	{:else if kind === 'implant'}<path d="M-6 -5H6V5H-6Z" />
	{:else}<path d="M0 -8C6 -1 6 2 4 5A5 5 0 0 1 -4 5C-6 2 -6 -1 0 -8Z" />{/if}
</g>
