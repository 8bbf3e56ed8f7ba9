<script lang="ts">
	import { contours, gateArc, stream, swell, xAt, type ScoreFrame } from './scoreGeometry';
	import type { ScoreStep } from './scoreLayout';

	interface Props {
		step: ScoreStep;
		frame: ScoreFrame;
		uid: string;
		/** full: score; horizon: session; mini: lists. */
		detail: 'full' | 'mini';
		selected?: boolean;
		/** Drawn as an outline: planned, not yet done. */
		future?: boolean;
		/** Being dragged to another place. */
		faint?: boolean;
		/** Outer edges to which drain links run, px. */
		seaUp?: number;
		seaDown?: number;
	}
	let { step, frame, uid, detail, selected = false, future = false, faint = false, seaUp = 0, seaDown = 0 }: Props = $props();

	const WEIGHT = [1.1, 1.3, 1.7, 2.1, 2.6];
	const spans = $derived(
		step.spans.map((span) => {
			const [a, b] = [xAt(frame, span.startSeconds), xAt(frame, span.endSeconds)];
			return { ...span, a, b, shape: swell(frame, a, b, step.level, span.dir, step.hold) };
		})
	);
	const links = $derived(
		(detail === 'mini' ? [] : step.links).flatMap((link) => {
			const span = spans.find((s) => s.dir === link.dir);
			if (!span) return [];
			const { crestX, x0, top } = span.shape;
			const from = {
				x: crestX - 0.1 * (crestX - x0),
				y: step.gate ? (link.dir < 0 ? frame.mid - 20 : frame.mid + 20) : top
			};
			return [stream(from, link.dir < 0 ? seaUp : seaDown, link.nodes)];
		})
	);
	const dash = $derived(step.alternate ? '5 4' : step.placed.step.aim === 'stimulate' ? '0.1 3.3' : step.level === 0 ? '3 2.6' : undefined);
	const aim = $derived(step.placed.step.aim);
	const circle = (x: number, y: number, r: number) => `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
</script>

<!-- Few nodes a swell, and none made anew when its shape changes: a long score is redrawn with every edit. -->
{#each links as link, i (i)}
	<path d={link.d} fill="var(--drain)" />
	<path d={link.beads.map(([x, y]) => circle(x, y, 1.9)).join('')} fill="var(--sheet)" stroke="var(--drain)" stroke-width="1.2" />
	<path d={circle(link.outlet[0] + 0.6, link.outlet[1], 2.6)} fill="none" stroke="var(--drain)" stroke-width="1.3" />
{/each}
{#each spans as span (span.dir)}
	{#if step.gate}
		<path d="{gateArc(frame, span.a, span.b, span.dir, 1)}Z" fill="var(--openfill)" fill-opacity={future ? 0.1 : 0.35} />
		{#if detail === 'full'}
			<path
				d={gateArc(frame, span.a, span.b, span.dir, 0.68) + gateArc(frame, span.a, span.b, span.dir, 0.36)}
				fill="none"
				stroke="var(--open)"
				stroke-width="0.9"
				stroke-opacity="0.8"
			/>
		{/if}
		<path
			d={gateArc(frame, span.a, span.b, span.dir, 1)}
			fill="none"
			stroke="var(--open)"
			stroke-width={selected ? 2.2 : detail === 'mini' ? 0.9 : 1.3}
		/>
	{:else}
		<path
			d={span.shape.closed}
			fill="var(--{selected ? step.tone : `${step.tone}fill`})"
			class="fill"
			style:--o={future || faint ? 0.12 : selected ? 0.34 : 0.4}
		/>
		{#if detail === 'full' && !future}
			<path d={span.shape.closed} fill="url(#{uid}-t-{aim}{span.dir < 0 ? '' : '-d'})" fill-opacity="0.55" />
		{/if}
		{#if step.level > 1}
			<path
				d={contours(frame, span.a, span.b, step.level, span.dir, step.hold).join('')}
				fill="none"
				stroke="var(--{step.tone})"
				stroke-width={detail === 'mini' ? 0.7 : 1.1}
			/>
		{/if}
		<path
			d={span.shape.d}
			fill="none"
			stroke="var(--{step.tone})"
			stroke-width={detail === 'mini' ? 0.6 + 0.25 * step.level : (WEIGHT[step.level] ?? 1.3) + (selected ? 0.9 : 0)}
			stroke-dasharray={dash}
			stroke-linecap={aim === 'stimulate' ? 'round' : 'butt'}
		/>
	{/if}
{/each}

<style>
	.fill {
		fill-opacity: var(--o);
	}
	:global([data-theme='evening']) .fill {
		fill-opacity: calc(var(--o) * 1.55);
	}
</style>
