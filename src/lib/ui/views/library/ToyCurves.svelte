<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	import { line } from 'd3-shape';
	import type { ToyRow } from '$lib/core/flow/toy';
	import { clock } from '$lib/core/step/describe';

	interface Props {
		rows: readonly ToyRow[];
		/** Seconds at which the pools above are looked at. */
		at: number;
	}
	let { rows, at }: Props = $props();
	const WIDTH = 400;
	const HEIGHT = 118;
	const CURVES = [
		{ key: 'cheekMl', name: 'cheek', dash: '' },
		{ key: 'jawMl', name: 'jaw', dash: '5 3' },
		{ key: 'returnedMl', name: 'returned', dash: '1 3' }
	] as const;
	const x = $derived(scaleLinear([0, rows.at(-1)!.seconds], [26, WIDTH - 58]));
	const y = scaleLinear([0, 3.6], [HEIGHT - 18, 6]);
	const shape = $derived(
		(key: (typeof CURVES)[number]['key']) =>
			line<ToyRow>(
				(r) => x(r.seconds),
				(r) => y(r[key])
			)([...rows]) ?? ''
	);
	/** Names at the ends, pushed apart. */
	const ends = $derived.by(() => {
		const list = CURVES.map((c) => ({ ...c, y: y(rows.at(-1)![c.key]) })).sort((a, b) => a.y - b.y);
		let last = -Infinity;
		return list.map((c) => ({ ...c, y: (last = Math.max(c.y, last + 12)) }));
	});
</script>

<svg viewBox="0 0 {WIDTH} {HEIGHT}" class="w-full max-w-[560px]" aria-hidden="true">
	{#each [0, 1, 2, 3] as ml (ml)}
		<path d="M26 {y(ml)}H{WIDTH - 58}" stroke="var(--hair)" />
		<text x="22" y={y(ml) + 4} class="tick end">{ml}</text>
	{/each}
	{#each [0, 60, 120] as s (s)}<text x={x(s)} y={HEIGHT - 4} class="tick">{clock(s)}</text>{/each}
	{#each CURVES as c (c.key)}<path d={shape(c.key)} fill="none" stroke="var(--ink)" stroke-width="1.8" stroke-dasharray={c.dash} />{/each}
	{#each ends as c (c.key)}<text x={WIDTH - 54} y={c.y + 4} class="tick start">{c.name}</text>{/each}
	<path d="M{x(at)} 2V{HEIGHT - 16}" stroke="var(--ink)" stroke-width="1" />
</svg>

<style>
	.tick {
		font-size: 11px;
		fill: var(--ink2);
		text-anchor: middle;
	}
	.tick.end {
		text-anchor: end;
	}
	.tick.start {
		text-anchor: start;
	}
</style>
