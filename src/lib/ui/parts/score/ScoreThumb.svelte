<script lang="ts">
	import { clock } from '$lib/core/step/describe';
	import MomentSlider from './MomentSlider.svelte';
	import { xAt, type ScoreFrame } from './scoreGeometry';

	interface Props {
		frame: ScoreFrame;
		cursorSeconds: number;
		/** Length of the sequence, s. */
		total: number;
		/** What is done at the cursor, in short words. */
		caption: string;
		/** px from the top of the score. */
		top: number;
		onscrub: (seconds: number) => void;
	}
	let { frame, cursorSeconds, total, caption, top, onscrub }: Props = $props();
</script>

<!-- The clock on the axis, and the range that moves it. -->
<div class="scrub pointer-events-none absolute h-6" style="left: {frame.x0 - 20}px; width: {frame.x1 - frame.x0 + 40}px; top: {top}px">
	<span
		class="bg-primary text-onink absolute top-px left-0 flex h-[22px] w-10 items-center justify-center rounded-full text-[12.5px] font-bold will-change-transform"
		style="transform: translateX({xAt(frame, cursorSeconds) - frame.x0}px)"
		aria-hidden="true">{clock(cursorSeconds)}</span
	>
	<MomentSlider {cursorSeconds} {total} {caption} {onscrub} />
</div>

<style>
	.scrub:focus-within span {
		outline: 2px solid var(--ink);
		outline-offset: 2px;
	}
</style>
