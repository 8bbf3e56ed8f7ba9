<script lang="ts">
	interface Props {
		/** Ends of the line. */
		from: number;
		to: number;
		ticks: readonly number[];
		min: number;
		target: number;
		max: number;
		/** In words, for a screen reader. */
		label: string;
	}
	let { from, to, ticks, min, target, max, label }: Props = $props();
	const x = (v: number) => 6 + (164 * (Math.min(to, Math.max(from, v)) - from)) / (to - from);
</script>

<svg width="176" height="30" viewBox="0 0 176 30" role="img" aria-label={label}>
	<path d="M6 8H170" stroke="var(--edge)" />
	{#each ticks as tick (tick)}
		<path d="M{x(tick)} 5V11" stroke="var(--edge)" />
		<text x={x(tick)} y="26" text-anchor="middle" font-size="11" fill="var(--ink2)">{tick}</text>
	{/each}
	{#if max > min}<path d="M{x(min)} 8H{x(max)}" stroke="var(--drain)" stroke-width="6" stroke-linecap="round" />{/if}
	<path d="M{x(target)} 2V14" stroke="var(--ink)" stroke-width="2" stroke-linecap="round" />
</svg>
