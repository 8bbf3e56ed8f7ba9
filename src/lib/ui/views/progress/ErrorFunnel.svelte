<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	import { area, line } from 'd3-shape';
	import type { Assessment } from '$lib/core/assess/assessment.schema';
	import { measuredRow, type ObservationId } from '$lib/core/assess/registry';
	import { errorFunnel } from '$lib/core/assess/repeats';
	import ChartMenu from '../../parts/picture/ChartMenu.svelte';
	import type { Working } from '$lib/core/working/working.schema';

	interface Props {
		/** Moments at which something was measured twice, the earliest first. */
		repeated: readonly Pick<Assessment, 'entries'>[];
		observed: ObservationId;
		working: Working;
	}
	let { repeated, observed, working }: Props = $props();
	const [WIDTH, HEIGHT] = [560, 170];
	let drawing = $state<SVGSVGElement>();
	const funnel = $derived(errorFunnel(repeated, observed, working));
	const known = $derived(working[measuredRow(observed).error]);
	const last = $derived(funnel.at(-1) ?? null);
	const x = $derived(scaleLinear([0, Math.max(4, last?.ownDf ?? 0)], [44, WIDTH - 12]));
	const top = $derived(Math.max(known * 1.5, ...funnel.map((f) => Math.min(f.interval[1], 4 * known))));
	const y = $derived(scaleLinear([0, top], [HEIGHT - 26, 8]));
	const points = $derived(funnel.map((f) => ({ n: f.ownDf, te: f.te, low: f.interval[0], high: Math.min(f.interval[1], top) })));
	const band = $derived(
		area<(typeof points)[number]>()
			.x((p) => x(p.n))
			.y0((p) => y(p.low))
			.y1((p) => y(p.high))(points) ?? ''
	);
	const middle = $derived(
		line<(typeof points)[number]>(
			(p) => x(p.n),
			(p) => y(p.te)
		)(points) ?? ''
	);
</script>

{#if last}
	<p class="pb-1 text-[13.5px] leading-5">
		{measuredRow(observed).label}: <b class="font-semibold">{last.te.toFixed(1)} mm</b>, {last.interval[0].toFixed(1)} to {last.interval[1].toFixed(
			1
		)},
		<span class="text-ink2"
			>from {last.ownDf}
			{last.ownDf === 1 ? 'repeat' : 'repeats'} and the working value of {known} mm. A change counts from {last.mdcDecision.toFixed(1)} mm on.</span
		>
	</p>
	<svg
		bind:this={drawing}
		width={WIDTH}
		height={HEIGHT}
		viewBox="0 0 {WIDTH} {HEIGHT}"
		class="max-w-full"
		role="img"
		aria-label="The typical error as repeats were added, with its 95 % interval; the sentence above says where it stands"
	>
		{#each y.ticks(4) as tick (tick)}<path d="M44 {y(tick)}H{WIDTH - 12}" stroke="var(--hair)" /><text
				x="38"
				y={y(tick) + 4}
				class="tick"
				text-anchor="end">{tick}</text
			>{/each}
		<path d={band} fill="var(--sand)" fill-opacity="0.8" />
		<path d="M44 {y(known)}H{WIDTH - 12}" stroke="var(--coast)" stroke-dasharray="3 3" />
		<path d={middle} fill="none" stroke="var(--drain)" stroke-width="2" />
		{#each points as p (p.n)}<circle cx={x(p.n)} cy={y(p.te)} r="2.6" fill="var(--drain)" />{/each}
		{#each x.ticks(6).filter(Number.isInteger) as tick (tick)}<text x={x(tick)} y={HEIGHT - 8} class="tick" text-anchor="middle"
				>{tick}</text
			>{/each}
	</svg>
	<p class="text-ink2 flex items-center gap-2 text-[12px] leading-4">
		Across: repeats. Sand: the 95 % interval. Dashed: the working value. <ChartMenu title="How exactly is measured" {drawing} />
	</p>
	<details class="pt-1">
		<summary class="cursor-pointer text-[12.5px]">The same as a table</summary>
		<table class="mt-1 text-[12.5px]">
			<caption class="sr-only">Typical error as repeats were added, mm</caption>
			<thead class="text-ink2 text-left"
				><tr
					><th class="pr-4 font-normal">Repeats</th><th class="pr-4 font-normal">Typical error, mm</th><th class="font-normal"
						>95 % interval</th
					></tr
				></thead
			>
			<tbody>
				{#each funnel as f (f.ownDf)}<tr class="border-hair border-t"
						><td class="pr-4">{f.ownDf}</td><td class="pr-4">{f.te.toFixed(1)}</td><td
							>{f.interval[0].toFixed(1)} to {f.interval[1].toFixed(1)}</td
						></tr
					>{/each}
			</tbody>
		</table>
	</details>
{:else}<p class="text-ink2 text-[13px] leading-5">
		Nothing was measured twice at one moment yet. Take a second reading in the tape room, the tape lifted and laid again: your own error
		takes the place of the working value.
	</p>{/if}

<style>
	.tick {
		font-size: 11px;
		fill: var(--ink2);
	}
</style>
