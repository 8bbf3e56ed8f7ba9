<script lang="ts">
	import type { Severity } from '$lib/core/school/school.schema';
	import PennantMark from '../glyphs/PennantMark.svelte';
	import GateMark from './GateMark.svelte';
	import { swell, undulation, xAt, yUp, type ScoreFrame } from './scoreGeometry';
	import type { ScoreStep } from './scoreLayout';
	import { scoreWords } from './scoreWords';

	interface Props {
		step: ScoreStep;
		frame: ScoreFrame;
		/** px */
		axisY: number;
		severity: Severity | undefined;
		selected: boolean;
		/** One of several that are chosen together. */
		chosen: boolean;
		tabStop: boolean;
		onselect: (stepId: string, e?: MouseEvent) => void;
		onkey: (e: KeyboardEvent) => void;
		/** It came under the pointer or the focus, or left. */
		onwords: (on: boolean) => void;
	}
	let { step, frame, axisY, severity, selected, chosen, tabStop, onselect, onkey, onwords }: Props = $props();
	const x0 = $derived(xAt(frame, step.startSeconds));
	const wide = $derived(xAt(frame, step.endSeconds) - x0);
	const x = $derived(x0 + wide / 2);
	const y = $derived(frame.mid + undulation(frame, x));
	/** A pennant is planted on the crest of the upper swell, else on the shore. */
	const flag = $derived.by(() => {
		const span = step.spans.find((s) => s.dir < 0);
		if (!span) return { x, y: yUp(frame, x) - 14 };
		const [a, b] = [xAt(frame, span.startSeconds), xAt(frame, span.endSeconds)];
		const top = step.gate ? frame.mid - 8 - frame.heights[1] : swell(frame, a, b, step.level, -1, step.hold).top;
		return { x: (a + b) / 2, y: top - 14 };
	});
</script>

<g
	role="button"
	tabindex={tabStop ? 0 : -1}
	aria-label={scoreWords(step)}
	aria-pressed={selected || chosen}
	data-step={step.placed.step.id}
	data-key={step.key}
	class="step"
	class:chosen
	onclick={(e) => onselect(step.placed.step.id, e)}
	onkeydown={onkey}
	onpointerenter={() => onwords(true)}
	onpointerleave={() => onwords(false)}
	onfocus={() => onwords(true)}
	onblur={() => onwords(false)}
>
	<rect x={x0} y="20" width={Math.max(2, wide)} height={axisY - 24} class="hit" />
	{#if step.gate}<GateMark {step} {frame} detail="full" />{/if}
	{#if wide > 11}
		{#if selected}<rect x={x - 10} y={y - 7.5} width="20" height="15" rx="3" fill="var(--primary)" />{/if}
		<text {x} y={y + 4} class="number" class:gate={step.gate && !selected} class:on={selected}>{step.placed.number}</text>
	{/if}
	{#each { length: Math.min(step.breaths, Math.max(1, Math.floor(wide / 8))) } as _, k (k)}
		{@const top = frame.mid - 8 - frame.heights[step.level] - 6}
		<path
			d="M{x + (k - (step.breaths - 1) / 2) * 8 - 2.6} {top}q2.6 -5 5.2 0"
			fill="none"
			stroke="var(--ink2)"
			stroke-width="1.3"
			stroke-linecap="round"
		/>
	{/each}
	{#if severity}<PennantMark {severity} x={flag.x - 3} y={flag.y} scale={0.88} />{/if}
</g>

<style>
	.step {
		cursor: pointer;
		outline: none;
	}
	.hit {
		fill: transparent;
	}
	.step:hover .hit,
	.chosen .hit {
		fill: var(--wash);
		fill-opacity: 0.5;
	}
	.step:focus-visible .hit {
		stroke: var(--ink);
		stroke-width: 2;
	}
	.number {
		font-size: 11px;
		font-weight: 600;
		text-anchor: middle;
		fill: var(--ink);
	}
	.number.gate {
		fill: var(--gapnum);
	}
	.number.on {
		fill: var(--onink);
	}
</style>
