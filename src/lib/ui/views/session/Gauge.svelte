<script lang="ts">
	import type { Grade } from '$lib/core/assess/observation';

	interface Props {
		grade: Grade | null;
		/** The grade of the other moment: last time, or before. A dotted high-water line. */
		ghost?: Grade | null;
		/** px of height, default 34. */
		height?: number;
	}
	let { grade, ghost = null, height = 34 }: Props = $props();
	const y = (g: number) => 31 - g * 7;
</script>

<svg width={height} {height} viewBox="0 0 34 34" fill="none" aria-hidden="true">
	{#if grade !== null && grade > 0}
		<path d="M6 {y(grade)}h22V31H6Z" fill="var(--drainfill)" fill-opacity="0.75" />
		<path d="M6 {y(grade)}q2.75 -2.4 5.5 0t5.5 0t5.5 0t5.5 0" stroke="var(--drain)" stroke-width="1.8" stroke-linecap="round" />
	{/if}
	<path d="M6 3V31H28" stroke={grade === null ? 'var(--ink3)' : 'var(--ink)'} stroke-width="1.5" stroke-linecap="round" />
	{#each [1, 2, 3, 4] as g (g)}<path d="M6 {y(g)}h4" stroke="var(--ink)" stroke-width="1.2" />{/each}
	{#if ghost !== null}<path
			d="M6 {y(ghost)}H33"
			stroke="var(--ink2)"
			stroke-width="1.5"
			stroke-dasharray="0.1 3.4"
			stroke-linecap="round"
		/>{/if}
</svg>
