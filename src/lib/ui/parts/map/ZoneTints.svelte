<script lang="ts">
	import { FIGURE, mirrorPath, type View } from '$lib/core/atlas/geometry';
	import type { ZoneTint } from './mapTypes';

	interface Props {
		view: View;
		tints: readonly ZoneTint[];
		uid: string;
	}
	let { view, tints, uid }: Props = $props();
	const shapes = $derived(
		tints.flatMap((tint) => {
			const d = FIGURE[view].zones[tint.zone]?.d;
			const flip = view === 'front' && tint.side === 'right';
			return d
				? [
						{
							key: `${tint.zone}:${tint.side}`,
							d: flip ? mirrorPath(d) : d,
							strength: tint.strength,
							tone: tint.picture === 'bars' ? 'rest' : 'tint'
						}
					]
				: [];
		})
	);
</script>

<!-- All water of the face under one soft edge: a filter for each zone would make every frame of a moving hand dear. -->
<g filter="url(#{uid}-soft)" aria-hidden="true">
	{#each shapes as { key, d, strength, tone } (key)}<path {d} fill="var(--{tone})" fill-opacity={strength} />{/each}
</g>
