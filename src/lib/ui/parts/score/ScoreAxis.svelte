<script lang="ts">
	import { clock } from '$lib/core/step/describe';
	import { xAt, type ScoreFrame } from './scoreGeometry';

	interface Props {
		frame: ScoreFrame;
		/** px from the top. */
		y: number;
		/** No figure stands where the cursor's does. */
		cursorSeconds: number;
	}
	let { frame, y, cursorSeconds }: Props = $props();
	const total = $derived(frame.seconds);
	const minuteStep = $derived([1, 2, 5, 10, 15, 30].find((m) => (m * 60 * (frame.x1 - frame.x0)) / Math.max(1, total) > 46) ?? 60);
	const minutes = $derived(Array.from({ length: Math.floor(total / 60 / minuteStep) + 1 }, (_, i) => i * minuteStep));
	const halves = $derived(Array.from({ length: Math.ceil(total / (60 * minuteStep)) }, (_, i) => i * 60 * minuteStep));
</script>

<rect x={frame.x0} {y} width={frame.x1 - frame.x0} height="5" fill="var(--sheet)" stroke="var(--axis)" />
{#each halves as s (s)}
	<rect x={xAt(frame, s)} {y} width={xAt(frame, Math.min(total, s + 30 * minuteStep)) - xAt(frame, s)} height="5" fill="var(--axis)" />
{/each}
{#each minutes as m (m)}
	{#if Math.abs(xAt(frame, m * 60) - xAt(frame, cursorSeconds)) > 30 && frame.x1 - xAt(frame, m * 60) > 30}
		<text x={xAt(frame, m * 60)} y={y + 19} class="minute">{m}:00</text>
	{/if}
{/each}
{#if Math.abs(frame.x1 - xAt(frame, cursorSeconds)) > 44}
	<text x={frame.x1} y={y + 19} class="minute end">{clock(total)}</text>
{/if}

<style>
	.minute {
		font-size: 11px;
		fill: var(--ink2);
		text-anchor: middle;
	}
	.minute.end {
		text-anchor: end;
	}
</style>
