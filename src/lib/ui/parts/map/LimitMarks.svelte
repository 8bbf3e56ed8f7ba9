<script lang="ts">
	import type { View } from '$lib/core/atlas/geometry';
	import type { Mark } from '$lib/core/client/common.schema';
	import type { AllowedLine } from '$lib/core/screening/allowed';
	import type { Limit } from '$lib/core/screening/limit.schema';
	import MarkSign from './MarkSign.svelte';
	import { callOuts, limitShapes, placedMarks } from './limitShapes';

	interface Props {
		view: View;
		limits: readonly Limit[];
		/** What an answer that is looked at would add: drawn as a dashed ghost. */
		ghost?: readonly Limit[];
		/** Numbered beside the face, where a list says what they are. */
		lines?: readonly AllowedLine[];
		marks?: readonly Mark[];
		/** Chest and shoulders are seen too. */
		wide?: boolean;
		/** Quieter, under strokes and water. */
		quiet?: boolean;
	}
	let { view, limits, ghost = [], lines = [], marks = [], wide = false, quiet = false }: Props = $props();
	const uid = $props.id();
	const shapes = $derived(limitShapes(view, limits, wide));
	const ghosts = $derived(limitShapes(view, ghost, wide));
	const numbers = $derived(callOuts(view, lines));
	const signs = $derived(placedMarks(view, marks));
	const RIM = { out: 'var(--flag)', waits: 'var(--ink2)', limited: 'none' } as const;
</script>

<!-- Where she may not be touched today, where it waits, and where it is limited: hatched, hatched the other way, dotted. -->
<g aria-hidden="true" style="pointer-events: none">
	<defs>
		<pattern id="{uid}-out" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
			<path d="M0 0V7" stroke="var(--flag)" stroke-width="4" />
		</pattern>
		<pattern id="{uid}-waits" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
			<path d="M0 0V9" stroke="var(--ink2)" stroke-width="2.2" />
		</pattern>
		<pattern id="{uid}-limited" width="9" height="9" patternUnits="userSpaceOnUse">
			<circle cx="2.2" cy="2.2" r="1.25" fill="var(--ink2)" /><circle cx="6.7" cy="6.7" r="1.25" fill="var(--ink2)" />
		</pattern>
	</defs>
	{#each shapes as { state, paths } (state)}
		<g opacity={quiet ? 0.75 : 1} data-limit={state}>
			{#if state !== 'limited'}
				<g fill="none" stroke={RIM[state]} stroke-width="3.4" stroke-dasharray={state === 'waits' ? '6 5' : undefined}>
					{#each paths as d (d)}<path {d} />{/each}
				</g>
				<g fill="var(--skin)" fill-opacity={quiet ? 0.35 : 0.85}
					>{#each paths as d (d)}<path {d} />{/each}</g
				>
			{/if}
			<g fill="url(#{uid}-{state})"
				>{#each paths as d (d)}<path {d} />{/each}</g
			>
		</g>
	{/each}
	{#each ghosts as { state, paths } (state)}
		<g fill="url(#{uid}-{state})" fill-opacity="0.45" stroke="var(--primary)" stroke-width="1.6" stroke-dasharray="4 5">
			{#each paths as d (d)}<path {d} />{/each}
		</g>
	{/each}
	{#each signs as { mark, at, label } (mark.id)}<MarkSign kind={mark.kind} x={at[0]} y={at[1]} title={label} />{/each}
	{#each numbers as { number, at, ring } (number)}
		<path d="M{at[0]} {at[1]}L{ring[0]} {ring[1]}" stroke="var(--ink)" stroke-width="1.4" />
		<circle cx={at[0]} cy={at[1]} r="2.6" fill="var(--ink)" />
		<circle cx={ring[0]} cy={ring[1]} r="14.5" fill="var(--paper)" stroke="var(--ink)" stroke-width="1.6" />
		<text x={ring[0]} y={ring[1] + 6} text-anchor="middle" font-size="17" font-weight="600" fill="var(--ink)">{number}</text>
	{/each}
</g>
