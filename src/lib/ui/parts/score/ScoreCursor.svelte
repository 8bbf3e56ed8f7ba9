<script lang="ts">
	import { xAt, type ScoreFrame } from './scoreGeometry';

	interface Props {
		frame: ScoreFrame;
		cursorSeconds: number;
		/** px, where the axis is. */
		foot: number;
		/** What is done at this moment: side and repetition. */
		caption: string;
	}
	let { frame, cursorSeconds, foot, caption }: Props = $props();
	const x = $derived(xAt(frame, cursorSeconds));
	const leftward = $derived(x > frame.x0 + 150);
</script>

<!-- A layer of its own that is only moved: the score beneath is not painted again while one scrubs. -->
<svg
	class="pointer-events-none absolute top-0 left-0 will-change-transform"
	width="400"
	height={foot}
	viewBox="-200 0 400 {foot}"
	style="transform: translateX({x - 200}px)"
	aria-hidden="true"
>
	<path d="M0 24V{foot}" stroke="var(--ink)" stroke-width="1.2" />
	<circle cy="24" r="3" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.3" />
	<text x={leftward ? -7 : 7} y={frame.mid + frame.heights[4] + 3} class="caption" text-anchor={leftward ? 'end' : 'start'}>{caption}</text>
</svg>

<style>
	.caption {
		font-size: 11.5px;
		font-weight: 600;
		fill: var(--ink);
		paint-order: stroke;
		stroke: var(--sheet);
		stroke-width: 3.4px;
	}
</style>
