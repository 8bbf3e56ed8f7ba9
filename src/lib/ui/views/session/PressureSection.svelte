<script lang="ts">
	import type { Level } from '$lib/core/step/levels';

	interface Props {
		level: Level;
	}
	let { level }: Props = $props();
	/** A section through skin and muscle: as many layers bend as the level says. */
	const layers = $derived(
		[1, 2, 3, 4].map((i) => {
			const y = 13 + 9 * (i - 1);
			const d = Math.max(3, 6.5 - 1.2 * (i - 1));
			const bends = i <= level;
			return {
				i,
				bends,
				d: bends ? `M1 ${y}H16C23 ${y} 25 ${y + d} 34 ${y + d}S45 ${y} 52 ${y}H67` : `M1 ${y}H67`
			};
		})
	);
</script>

<svg width="68" height="44" viewBox="0 0 68 44" fill="none" aria-hidden="true">
	{#each layers as layer (layer.i)}
		<path
			d={layer.d}
			stroke={layer.bends || layer.i === 1 ? 'var(--ink)' : 'var(--ink3)'}
			stroke-width={layer.bends ? 2 : 1.4}
			stroke-dasharray={layer.bends || layer.i === 1 ? undefined : '0.1 3.6'}
			stroke-linecap="round"
		/>
	{/each}
	<rect x="27" y={level ? 1 : -3} width="14" height={level ? 17 : 13} rx="6" fill="var(--ink)" />
</svg>
