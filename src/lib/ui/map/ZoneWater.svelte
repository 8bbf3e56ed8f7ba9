<script lang="ts">
	import { FIGURE, MIDLINE_X, type View } from '$lib/core/atlas/geometry';
	import { waterLine, wave } from './strokeShape';
	import type { ZoneTint } from './mapTypes';

	interface Props {
		view: View;
		tint: ZoneTint;
		uid: string;
	}
	let { view, tint, uid }: Props = $props();
	const d = $derived(FIGURE[view].zones[tint.zone]?.d);
	const id = $derived(`${uid}-${tint.zone}-${tint.side}`);
	const flip = $derived(view === 'front' && tint.side === 'right' ? `matrix(-1 0 0 1 ${2 * MIDLINE_X} 0)` : undefined);
	const levels = $derived(
		d
			? Array.from({ length: Math.max(tint.lines ?? 0, tint.before ?? 0) }, (_, i) => ({
					...waterLine(d, i + 1),
					there: i < (tint.lines ?? 0)
				}))
			: []
	);
</script>

{#if d}
	<g transform={flip} aria-hidden="true">
		<clipPath id="{id}-clip"><path {d} /></clipPath>
		<path {d} fill="var(--tint)" fill-opacity={tint.strength} filter="url(#{uid}-soft)" />
		<g clip-path="url(#{id}-clip)" fill="none" stroke-linecap="round">
			{#each levels as level (level.y)}
				<path
					d={wave(level.x, level.y, level.width)}
					stroke={level.there ? 'var(--drain)' : 'var(--ink2)'}
					stroke-width={level.there ? 1.5 : 1.1}
					stroke-dasharray={level.there ? undefined : '0.1 3'}
				/>
			{/each}
		</g>
	</g>
{/if}
