<script lang="ts">
	import { clock } from '$lib/core/step/describe';

	interface Props {
		cursorSeconds: number;
		/** Length of the sequence, s. */
		total: number;
		/** What is done at the cursor, in short words. */
		caption: string;
		onscrub: (seconds: number) => void;
	}
	let { cursorSeconds, total, caption, onscrub }: Props = $props();
</script>

<!-- The range that moves the clock: it lies unseen over whatever shows the time. -->
<input
	type="range"
	class="pointer-events-auto absolute inset-0 w-full cursor-ew-resize opacity-0"
	aria-label="Moment in the sequence"
	aria-valuetext="{clock(cursorSeconds)}{caption ? `, ${caption}` : ''}"
	min="0"
	max={Math.max(1, Math.round(total))}
	step="1"
	value={Math.round(cursorSeconds)}
	oninput={(e) => onscrub(e.currentTarget.valueAsNumber)}
/>

<style>
	/* The thumb is as wide as the clock that stands over it, so that the finger meets it. */
	input::-webkit-slider-thumb {
		width: 40px;
		height: 22px;
	}
	input::-moz-range-thumb {
		width: 40px;
		height: 22px;
	}
</style>
