<script lang="ts">
	import { FIGURE, mirrorPath, type View } from '$lib/core/atlas/geometry';
	import { barsAlong, waterLine, wave } from './strokeShape';
	import type { ZoneTint } from './mapTypes';

	interface Props {
		view: View;
		tint: ZoneTint;
		uid: string;
	}
	let { view, tint, uid }: Props = $props();
	const left = $derived(FIGURE[view].zones[tint.zone]?.d);
	const d = $derived(left && view === 'front' && tint.side === 'right' ? mirrorPath(left) : left);
	/** What is no fluid is not painted as water. */
	const bars = $derived(tint.picture === 'bars');
	const id = $derived(`${uid}-${tint.zone}-${tint.side}`);
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
	<g aria-hidden="true">
		<clipPath id="{id}-clip"><path {d} /></clipPath>
		<g clip-path="url(#{id}-clip)" fill="none" stroke-linecap="round">
			{#each levels as level (level.y)}
				<path
					d={bars ? barsAlong(level.x, level.y, level.width) : wave(level.x, level.y, level.width)}
					stroke={level.there ? (bars ? 'var(--rest)' : 'var(--waterline)') : 'var(--ink2)'}
					stroke-width={level.there ? 1.5 : 1.1}
					stroke-dasharray={level.there ? undefined : '0.1 3'}
				/>
			{/each}
		</g>
	</g>
{/if}
