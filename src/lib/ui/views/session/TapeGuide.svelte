<script lang="ts">
	import { TAPE_GUIDES, type TapeEnd } from '$lib/core/assess/tapeGuides';
	import type { TapeTarget } from '$lib/state/taping.svelte';
	import picture from './guide/tape.jpg';
	import ends from './guide/tape.json' with { type: 'json' };

	interface Props {
		target: TapeTarget;
	}
	let { target }: Props = $props();
	const [WIDTH, HEIGHT] = [600, 800];
	const guide = $derived(TAPE_GUIDES[target.id]);
	const at = (end: TapeEnd) => (ends as unknown as Record<TapeEnd, [number, number]>)[end];
	/** The tape bows a little: it lies on the skin. */
	const path = $derived.by(() => {
		if (guide?.kind !== 'line') return '';
		const [[x0, y0], [x1, y1]] = [at(guide.from), at(guide.to)];
		const [mx, my] = [(x0 + x1) / 2 - 0.05 * (y1 - y0), (y0 + y1) / 2 + 0.05 * (x1 - x0)];
		return `M${x0} ${y0}Q${mx} ${my} ${x1} ${y1}`;
	});
	/** From the chin to the collarbone, where the neck lies in the picture. */
	const ringY = $derived(guide?.kind === 'ring' ? at('pg')[1] + 40 + guide.at * 170 : 0);
	const mirrored = $derived(target.spot.side === 'right');
</script>

<!-- Where the tape begins and ends, on a made-up head; the client’s right is the same picture mirrored. -->
<svg viewBox="0 0 {WIDTH} {HEIGHT}" class="block w-full rounded-lg" role="img" aria-label="Where the tape lies">
	<g transform={mirrored ? `matrix(-1 0 0 1 ${WIDTH} 0)` : undefined}>
		<image href={picture} width={WIDTH} height={HEIGHT} />
		{#if guide?.kind === 'line'}
			<path d={path} fill="none" stroke="#10263d" stroke-width="15" stroke-linecap="round" />
			<path d={path} fill="none" stroke="#fffaf2" stroke-width="11" stroke-linecap="round" />
			<path d={path} fill="none" stroke="#10263d" stroke-width="9" stroke-dasharray="1.4 7" />
			{#each [guide.from, guide.to] as end, i (end)}
				<circle cx={at(end)[0]} cy={at(end)[1]} r="13" fill={i ? '#fffaf2' : '#10263d'} stroke="#10263d" stroke-width="4" />
				<circle cx={at(end)[0]} cy={at(end)[1]} r="4" fill={i ? '#10263d' : '#fffaf2'} />
			{/each}
		{:else if guide}
			<path d="M218 {ringY + 18}Q360 {ringY + 58} 520 {ringY - 8}" fill="none" stroke="#10263d" stroke-width="15" stroke-linecap="round" />
			<path d="M218 {ringY + 18}Q360 {ringY + 58} 520 {ringY - 8}" fill="none" stroke="#fffaf2" stroke-width="11" stroke-linecap="round" />
			<path d="M218 {ringY + 18}Q360 {ringY + 58} 520 {ringY - 8}" fill="none" stroke="#10263d" stroke-width="9" stroke-dasharray="1.4 7" />
		{/if}
	</g>
</svg>
