<script lang="ts">
	import { gate, xAt, type ScoreFrame } from './scoreGeometry';
	import type { ScoreStep } from './scoreLayout';

	interface Props {
		step: ScoreStep;
		frame: ScoreFrame;
		detail: 'full' | 'mini';
	}
	let { step, frame, detail }: Props = $props();
	/** One gate through the whole bar where both sides open at once, else one half after the other. */
	const gates = $derived.by(() => {
		const [a, b] = step.spans;
		const together = a && b && a.startSeconds === b.startSeconds && !step.alternate;
		return (together ? [a] : step.spans).map((span) =>
			gate(frame, xAt(frame, span.startSeconds), xAt(frame, span.endSeconds), together ? 0 : span.dir)
		);
	});
</script>

{#each gates as g (g.gap)}
	<path d={g.gap} fill="var(--gap)" />
	<path d={g.jetties} fill="none" stroke="var(--coast)" stroke-width={detail === 'mini' ? 0.9 : 1.7} stroke-linecap="round" />
{/each}
