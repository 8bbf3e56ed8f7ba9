<script lang="ts">
	import type { Level } from '$lib/core/step/levels';

	interface Props {
		level: Level;
		/** px of width, default 26. */
		size?: number;
	}
	let { level, size = 26 }: Props = $props();
	/** A fingertip in the skin: a level more is a deeper dent and a bolder line. */
	const deep = $derived(2.1 * level);
	const half = $derived(4 + 1.3 * level);
	const skin = $derived(
		`M2 5H${13 - half}C${13 - half * 0.45} 5 ${13 - half * 0.5} ${5 + deep} 13 ${5 + deep}S${13 + half * 0.45} 5 ${13 + half} 5H24`
	);
</script>

<svg
	width={size}
	height={(size * 14) / 26}
	viewBox="0 0 26 14"
	aria-hidden="true"
	class="overflow-visible"
	fill="none"
	stroke="var(--ink)"
	stroke-width={1 + 0.22 * level}
	stroke-linecap="round"
>
	<path d={skin} />
	<circle cx="13" cy={1.7 + deep} r="1.9" fill={level ? 'var(--ink)' : 'none'} stroke-width={level ? 0 : 1} />
</svg>
