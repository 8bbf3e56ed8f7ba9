<script lang="ts">
	interface Props {
		x: number;
		y: number;
		/** What is left of the opening, 0..1; 0 is closed. */
		open: number;
		/** How full it is, 0..1; absent where nobody knows. */
		fill?: number;
		uid: string;
	}
	let { x, y, open, fill, uid }: Props = $props();
	const R = 5.4;
	/** An arc from 12 o'clock, clockwise, as long as the opening that is left. */
	const arc = $derived.by(() => {
		const angle = Math.min(0.999, open) * 2 * Math.PI - Math.PI / 2;
		const large = open > 0.5 ? 1 : 0;
		return `M${x} ${y - R}A${R} ${R} 0 ${large} 1 ${x + R * Math.cos(angle)} ${y + R * Math.sin(angle)}`;
	});
</script>

{#if open > 0.03}
	<circle cx={x} cy={y} r="20" fill="url(#{uid}-glow)" fill-opacity={0.35 + 0.65 * open} />
	<circle cx={x} cy={y} r={R} fill="var(--sheet)" stroke="var(--openfill)" stroke-width="1.4" />
	<path d={arc} fill="none" stroke="var(--open)" stroke-width="2.4" stroke-linecap="round" />
	{#if fill === undefined}<circle cx={x} cy={y} r="2.1" fill="var(--open)" />{/if}
{:else}
	<circle cx={x} cy={y} r="4" fill="none" stroke="var(--route)" stroke-opacity="0.72" stroke-width="1.2" stroke-dasharray="2 1.8" />
{/if}
{#if fill !== undefined && fill > 0.02}<circle cx={x} cy={y} r={4.4 * Math.sqrt(Math.min(1, fill))} fill="var(--drain)" />{/if}
