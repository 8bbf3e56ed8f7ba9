<script lang="ts">
	import type { Level } from '$lib/core/step/levels';
	import { LEVEL_NAMES } from '$lib/core/step/levels';
	import { doseText } from '$lib/core/step/describe';
	import { swell, undulation, xAt, type ScoreFrame } from './scoreGeometry';
	import type { ScoreStep, SwellSpan } from './scoreLayout';
	import { countFor, levelFor } from './scoreView';

	interface Props {
		step: ScoreStep;
		frame: ScoreFrame;
		/** Fires while a handle is dragged. */
		oncount: (target: number) => void;
		onlevel: (level: Level) => void;
		/** The finger let go: what was dragged is one edit. */
		onend: () => void;
	}
	let { step, frame, oncount, onlevel, onend }: Props = $props();

	const spans = $derived(
		step.spans.map((span) => {
			const [a, b] = [xAt(frame, span.startSeconds), xAt(frame, span.endSeconds)];
			return { span, a, b, shape: swell(frame, a, b, step.gate ? 1 : step.level, span.dir, step.hold) };
		})
	);
	let drag = $state.raw<{ kind: 'count' | 'level'; target: number; x: number; y: number; width: number; scale: number } | null>(null);

	function begin(kind: 'count' | 'level', at: { span: SwellSpan; a: number; b: number }, e: PointerEvent) {
		e.stopPropagation();
		e.preventDefault();
		(e.currentTarget as Element).setPointerCapture(e.pointerId);
		drag = { kind, target: step.placed.step.dose.target, x: e.clientX, y: e.clientY, width: at.b - at.a, scale: 1 };
	}
	function move(span: SwellSpan, e: PointerEvent) {
		if (!drag) return;
		if (drag.kind === 'count') {
			const wish = countFor(drag.target, drag.width, drag.width + e.clientX - drag.x);
			if (wish !== step.placed.step.dose.target) oncount(wish);
		} else {
			const svg = (e.currentTarget as SVGElement).ownerSVGElement!.getBoundingClientRect();
			const height = span.dir * (e.clientY - svg.top - frame.mid) - frame.bar / 2;
			const level = levelFor(frame.heights, height);
			if (level !== step.level) onlevel(level);
		}
	}
	function end() {
		if (drag) onend();
		drag = null;
	}
</script>

<g aria-hidden="true">
	{#each spans as { span, a, b, shape } (span.dir)}
		{@const y = frame.mid + undulation(frame, b) + span.dir * (frame.bar / 2 + 9)}
		<g
			class="handle across"
			role="presentation"
			onpointerdown={(e) => begin('count', { span, a, b }, e)}
			onpointermove={(e) => move(span, e)}
			onpointerup={end}
			onpointercancel={end}
		>
			<title>Drag for more or fewer: {doseText(step.placed.step.dose)}</title>
			<rect x={b - 12} y={y - 13} width="24" height="26" class="room" />
			<rect x={b - 2.4} y={y - 6.5} width="4.8" height="13" rx="2.4" class="mark" />
		</g>
		{#if !step.gate}
			{@const x = (shape.x0 + shape.crestX) / 2 + (shape.x1 - shape.x0) * 0.06}
			<g
				class="handle up"
				role="presentation"
				onpointerdown={(e) => begin('level', { span, a, b }, e)}
				onpointermove={(e) => move(span, e)}
				onpointerup={end}
				onpointercancel={end}
			>
				<title>Drag for more or less pressure: {LEVEL_NAMES[step.level]}</title>
				<rect x={x - 12} y={shape.top - 12} width="24" height="24" class="room" />
				<circle cx={x} cy={shape.top} r="4.2" class="mark" />
			</g>
		{/if}
		{#if drag}
			<text x={(a + b) / 2} y={span.dir < 0 ? shape.top - 10 : shape.top + 18} class="says"
				>{drag.kind === 'count' ? doseText(step.placed.step.dose) : `${step.level} ${LEVEL_NAMES[step.level]}`}</text
			>
		{/if}
	{/each}
</g>

<style>
	.handle {
		touch-action: none;
	}
	.across {
		cursor: ew-resize;
	}
	.up {
		cursor: ns-resize;
	}
	.room {
		fill: transparent;
	}
	.mark {
		fill: var(--sheet);
		stroke: var(--ink);
		stroke-width: 1.5;
	}
	.handle:hover .mark {
		stroke-width: 2.4;
	}
	.says {
		font-size: 12.5px;
		font-weight: 700;
		fill: var(--ink);
		text-anchor: middle;
		paint-order: stroke;
		stroke: var(--sheet);
		stroke-width: 3px;
	}
</style>
