<script lang="ts">
	import type { TimedEvent } from '$lib/core/sequence/expand';
	import type { PlacedStep } from '$lib/core/sequence/walk';
	import { HORIZON_HEIGHTS, MINI_HEIGHTS, shore, xAt, type ScoreFrame } from './scoreGeometry';
	import { scoreSteps } from './scoreLayout';
	import GateMark from './GateMark.svelte';
	import SwellMark from './SwellMark.svelte';
	import Textures from './Textures.svelte';

	interface Props {
		events: readonly TimedEvent[];
		byId: ReadonlyMap<string, PlacedStep>;
		/** px */
		width: number;
		/** The horizon of a session is taller and knows past, now and future. */
		size?: 'mini' | 'horizon';
		/** Seconds done; what lies behind is filled, what lies ahead is an outline. */
		now?: number | null;
		label: string;
	}
	let { events, byId, width, size = 'mini', now = null, label }: Props = $props();
	const uid = $props.id();
	const steps = $derived(scoreSteps(events, byId));
	const height = $derived(size === 'mini' ? 40 : 96);
	const pad = $derived(size === 'mini' ? 6 : 18);
	const frame = $derived<ScoreFrame>({
		seconds: events.at(-1)?.endSeconds ?? 0,
		x0: pad + 6,
		x1: width - pad - 6,
		mid: height / 2,
		bar: size === 'mini' ? 5 : 11,
		heights: size === 'mini' ? MINI_HEIGHTS : HORIZON_HEIGHTS,
		swing: size === 'mini' ? 0.28 : 0.55
	});
	const land = $derived(shore(frame, size === 'mini' ? Math.round(width / 4) : Math.round(width / 3)));
	const current = $derived(now === null ? null : steps.find((s) => s.startSeconds <= now && now < s.endSeconds));
</script>

<svg {width} {height} viewBox="0 0 {width} {height}" role="img" aria-label={label}>
	<Textures {uid} />
	{#if size === 'horizon'}
		{#each land.water as d, i (i)}<path {d} fill="none" stroke="var(--ink)" stroke-width="0.6" stroke-opacity={i ? 0.2 : 0.42} />{/each}
	{/if}
	{#each steps as step (step.key)}
		<SwellMark
			{step}
			{frame}
			{uid}
			detail={size === 'mini' ? 'mini' : 'full'}
			future={now !== null && step.startSeconds > now}
			seaUp={2}
			seaDown={height - 2}
		/>
	{/each}
	<path d={land.outline} fill="var(--sand)" />
	<path d={land.grain} fill="none" stroke="var(--sandline)" stroke-linecap="round" />
	{#each steps.filter((x) => x.gate && !(now !== null && x.startSeconds > now)) as step (step.key)}
		<GateMark {step} {frame} detail={size === 'mini' ? 'mini' : 'full'} />
	{/each}
	<path d={land.outline} fill="none" stroke="var(--coast)" stroke-width={size === 'mini' ? 0.8 : 1.1} />
	{#if now !== null}
		{#if current}
			<rect
				x={xAt(frame, current.startSeconds)}
				y={frame.mid - 5}
				width={Math.max(4, xAt(frame, current.endSeconds) - xAt(frame, current.startSeconds))}
				height="10"
				rx="2"
				fill="var(--primary)"
			/>
		{/if}
		<path d="M{xAt(frame, now)} 6V{height - 8}" stroke="var(--ink)" stroke-width="1.4" />
		<circle cx={xAt(frame, now)} cy="6" r="4" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.5" />
		<path d="M{xAt(frame, now) - 4} {height - 10}h8l-4 7z" fill="var(--ink)" />
	{/if}
</svg>
