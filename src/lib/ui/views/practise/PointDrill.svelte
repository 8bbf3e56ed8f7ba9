<script lang="ts">
	import type { Point } from '$lib/core/atlas/geometry';
	import { POINTS } from '$lib/core/point/points';
	import { FOUND_MM, missMm, pointAt } from '$lib/core/train/findPoint';
	import Figure from '../../parts/map/Figure.svelte';
	import { frameOf } from '../../parts/map/orientation';
	import type { DrillProps } from './round';

	let { onround }: DrillProps = $props();
	const uid = $props.id();
	const QUESTIONS = 5;
	const FRONT = POINTS.filter((p) => p.view === 'front');
	const other = (code: string) => {
		const rest = FRONT.filter((p) => p.code !== code);
		return rest[Math.floor(Math.random() * rest.length)]!;
	};
	let point = $state.raw(other(''));
	let at = $state.raw<Point | null>(null);
	let misses = $state.raw<readonly number[]>([]);
	/** Where the cross of the keys stands. */
	let cross = $state.raw<Point>([400, 300]);
	const frame = frameOf('front', false);
	let svg: SVGSVGElement | undefined = $state();
	const miss = $derived(at && missMm(point, 'left', at));
	function put(where: Point) {
		if (at) return;
		at = where;
		misses = [...misses, missMm(point, 'left', where)];
		if (misses.length === QUESTIONS)
			onround({ value: misses.reduce((a, b) => a + b, 0) / QUESTIONS, count: QUESTIONS, what: '', simulated: false });
	}
	function click(e: MouseEvent) {
		// Pressed by a key: where the cross stands.
		if (e.detail === 0) return put(cross);
		const matrix = svg?.getScreenCTM()?.inverse();
		if (!matrix) return;
		const { x, y } = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix);
		put([x, y]);
	}
	const MOVES: Record<string, Point> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
	function key(e: KeyboardEvent) {
		const move = MOVES[e.key];
		if (!move) return;
		e.preventDefault();
		const by = e.shiftKey ? 20 : 4;
		cross = [
			Math.min(frame.x + frame.width, Math.max(frame.x, cross[0] + by * move[0])),
			Math.min(frame.y + frame.height, Math.max(frame.y, cross[1] + by * move[1]))
		];
	}
	function next() {
		if (misses.length === QUESTIONS) misses = [];
		point = other(point.code);
		at = null;
	}
	const truth = $derived(pointAt(point, 'left'));
</script>

<div class="grid gap-6 lg:grid-cols-[minmax(0,1fr)_320px]">
	<button
		type="button"
		class="block h-[66dvh] min-h-80 w-full"
		aria-label="Put {point.code}: arrows move the cross, with Shift further, Enter puts it. The cross is at {Math.round(
			cross[0]
		)}, {Math.round(cross[1])}"
		onkeydown={key}
		onclick={click}
	>
		<svg
			bind:this={svg}
			viewBox="{frame.x} {frame.y} {frame.width} {frame.height}"
			preserveAspectRatio="xMidYMin meet"
			class="h-full w-full"
			aria-hidden="true"
		>
			<Figure view="front" {uid} wide={false} />
			{#if !at}<path
					d="M{cross[0] - 9} {cross[1]}H{cross[0] + 9}M{cross[0]} {cross[1] - 9}V{cross[1] + 9}"
					stroke="var(--ink)"
					stroke-width="1.6"
				/>{/if}
			{#if at}
				<path d="M{at[0]} {at[1]}L{truth[0]} {truth[1]}" stroke="var(--ink2)" stroke-width="1.4" stroke-dasharray="3 4" />
				<circle cx={at[0]} cy={at[1]} r="6" fill="none" stroke="var(--ink)" stroke-width="2.4" />
				<circle cx={truth[0]} cy={truth[1]} r="6" fill="var(--point)" />
			{/if}
		</svg>
	</button>
	<div>
		<p class="text-[26px] leading-9"><b>{point.code}</b> {point.name}</p>
		<p class="text-ink2">{point.midline ? 'On the midline' : 'On the client’s left'}. {misses.length} of {QUESTIONS} put.</p>
		{#if miss !== null}
			<p class="mt-3 text-[18px] leading-7" role="status">
				<b>{miss.toFixed(1)} mm</b> of the figure off{miss <= FOUND_MM ? ': a finger would have found it' : ''}. {point.find}
			</p>
			<button type="button" class="btn btn-large btn-primary mt-3" onclick={next}
				>{misses.length === QUESTIONS ? 'Another round' : 'Next'}</button
			>
		{/if}
	</div>
</div>
