<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	import type { Change } from '$lib/core/assess/change';

	interface Props {
		change: Pick<Change, 'delta' | 'error' | 'verdict'>;
		/** px */
		width?: number;
	}
	let { change, width = 120 }: Props = $props();
	const HEIGHT = 34;
	/** One unit is the error of the row, so that every row shares one axis; cut at ± 3.3. */
	const x = $derived(scaleLinear([-3.3, 3.3], [4, width - 4]).clamp(true));
	const at = $derived(change.delta === null ? null : x(change.delta / Math.max(0.001, change.error)));
	/** Grains lie denser at the shores of the sand. */
	const grains = Array.from({ length: 22 }, (_, i) => {
		const u = (i * 0.6180339) % 1;
		return [u < 0.5 ? 2 * u * u : 1 - 2 * (1 - u) ** 2, (i * 0.7548777) % 1] as const;
	});
	const changed = $derived(change.verdict === 'changed');
</script>

<!-- Sand is measuring error: what lies in it may be nothing, what stands clear of it is real. -->
<svg {width} height={HEIGHT} viewBox="0 0 {width} {HEIGHT}" aria-hidden="true" class="flex-none">
	<rect x="0" y="0" {width} height={HEIGHT} fill="var(--sea)" fill-opacity="0.55" />
	<rect x={x(-1)} y="0" width={x(1) - x(-1)} height={HEIGHT} fill="var(--sand)" />
	{#each grains as [u, v], i (i)}<circle cx={x(-1) + u * (x(1) - x(-1))} cy={v * HEIGHT} r="0.7" fill="var(--sandline)" />{/each}
	<path d="M{x(0)} 0V{HEIGHT}" stroke="var(--coast)" stroke-width="1" />
	{#if at === null || change.verdict === 'not-comparable'}
		<path d="M8 {HEIGHT / 2}H{width - 8}" stroke="var(--ink3)" stroke-dasharray="1 4" />
	{:else}
		<path d="M{x(0)} {HEIGHT / 2}H{at}" stroke="var(--drain)" stroke-width="2" />
		<circle
			cx={at}
			cy={HEIGHT / 2}
			r={changed ? 5.5 : 4.4}
			fill={changed ? 'var(--drain)' : 'var(--sheet)'}
			stroke={changed ? 'var(--drain)' : 'var(--ink)'}
			stroke-width="1.6"
		/>
	{/if}
</svg>
