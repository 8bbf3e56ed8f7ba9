<script lang="ts">
	interface Props {
		/** At this moment; null where nothing tells. */
		kPa: number | null;
		band: readonly [number, number];
	}
	let { kPa, band }: Props = $props();
	const MOST = 25;
	/** Light levels lie close together: the square root spreads them. */
	const x = (k: number) => 20 + 680 * Math.sqrt(Math.min(MOST, Math.max(0, k)) / MOST);
	const words = $derived(kPa === null ? 'nothing is told' : kPa < band[0] ? 'too light' : kPa > band[1] ? 'too heavy' : 'within the level');
</script>

<!-- A section through the skin: the finger goes as deep as it presses; sand is the level. -->
<svg viewBox="0 0 720 150" class="h-[150px] w-full" role="img" aria-label="{kPa === null ? '–' : kPa.toFixed(1)} kPa, {words}">
	<rect x={x(band[0])} y="30" width={x(band[1]) - x(band[0])} height="76" fill="var(--sand)" rx="6" />
	<path d="M20 106H700" stroke="var(--ink2)" />
	{#each [0, 0.7, 3, 6, 12, 25] as k (k)}
		<path d="M{x(k)} 100V112" stroke="var(--ink2)" />
		<text x={x(k)} y="130" text-anchor="middle" font-size="15" fill="var(--ink2)">{k}</text>
	{/each}
	<text x="700" y="147" text-anchor="end" font-size="13" fill="var(--ink2)">kPa</text>
	{#if kPa !== null}
		<g transform="translate({x(kPa)} 0)">
			<path d="M-13 26V78A13 20 0 0 0 13 78V26Z" fill="var(--ink)" />
			<text y="17" text-anchor="middle" font-size="19" font-weight="600" fill="var(--ink)">{kPa.toFixed(1)}</text>
		</g>
	{/if}
</svg>
