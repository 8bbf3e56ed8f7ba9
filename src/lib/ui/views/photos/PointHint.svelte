<script lang="ts">
	import type { AnyPoint, Pixel } from '$lib/core/measure/landmarks';
	import { UNDER_CHIN } from '$lib/core/measure/underChin';
	import { GENERIC, genericPoints } from '$lib/core/measure/predict';
	import type { PhotoView } from '$lib/core/records/photoViews';

	interface Props {
		view: PhotoView;
		point: AnyPoint | null;
	}
	let { view, point }: Props = $props();
	const known = $derived(genericPoints(view));
	/** Lines through the landmarks themselves: enough of a face to see which one is meant. */
	const FRONT: readonly (readonly AnyPoint[])[] = [
		['exR', 'psR', 'enR', 'piR', 'exR'],
		['exL', 'psL', 'enL', 'piL', 'exL'],
		['chR', 'cphR', 'ls', 'cphL', 'chL', 'li', 'chR'],
		['chR', 'sto', 'chL'],
		['se', 'prn', 'alR', 'sn', 'alL', 'prn'],
		['zyR', 'jaw1R', 'jaw3R', 'goR', 'jaw7R', 'jaw9R', 'me', 'jaw9L', 'jaw7L', 'goL', 'jaw3L', 'jaw1L', 'zyL', 'tr', 'zyR']
	];
	const PROFILE: readonly (readonly AnyPoint[])[] = [
		['g', 'se', 'prn', 'sn', 'ls', 'li', 'sl', ...UNDER_CHIN],
		['me', 'go', 't']
	];
	const lines = $derived((view === 'front' ? FRONT : PROFILE).map((ids) => ids.flatMap((id) => (known[id] ? [known[id]] : []))));
	const path = (line: readonly Pixel[]) => `M${line.map(([x, y]) => `${x} ${y}`).join('L')}`;
	const at = $derived(point ? known[point] : null);
	const box = $derived(view === 'front' ? '180 130 840 1160' : view === 'left' ? '60 300 900 1000' : '240 300 900 1000');
</script>

<svg
	viewBox={box}
	class="h-[150px] w-[120px]"
	aria-hidden="true"
	fill="none"
	stroke="var(--coast)"
	stroke-width="9"
	stroke-linejoin="round"
>
	{#each lines as line, i (i)}<path d={path(line)} />{/each}
	{#if at}<circle cx={at[0]} cy={at[1]} r={GENERIC.widthPx / 38} fill="var(--drain)" stroke="var(--sheet)" stroke-width="10" />{/if}
</svg>
