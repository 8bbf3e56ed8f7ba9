<script lang="ts">
	import { LETTERS } from './entries';
	import { scaleLinear } from 'd3-scale';
	import type { ComparisonResult } from '$lib/core/flow/comparison.schema';
	import { WHERE_HELD, WHERE_LABEL, WHERE_PARTS, type WherePart } from '$lib/core/flow/where';

	interface Props {
		where: NonNullable<ComparisonResult['where']>;
		titles: readonly string[];
	}
	let { where, titles }: Props = $props();
	/** As the bar below the face in Compose. */
	const FILL: Record<(typeof WHERE_HELD)[number], string> = {
		face: 'var(--water1)',
		neck: 'var(--water3)',
		nodes: 'var(--open)',
		returned: 'var(--ink)'
	};
	const opacity = (part: WherePart) => (part === 'returned' ? 0.85 : 0.55);
	let room = $state(640);
	const most = $derived(Math.max(...where.map((w) => WHERE_HELD.reduce((sum, part) => sum + w[part].mean, 0))));
	const x = $derived(scaleLinear([0, most], [24, Math.min(room, 760) - 12]));
	const bars = $derived(
		where.map((w) => {
			let from = 0;
			return WHERE_HELD.map((part) => ({ part, from, to: (from += w[part].mean) }));
		})
	);
	const ROW = 26;
	const number = (ml: number) => ml.toFixed(2);
	const words = (w: (typeof where)[number]) =>
		WHERE_HELD.map((part: WherePart) => `${number(w[part].mean)} ml ${WHERE_LABEL[part]}`).join(', ');
</script>

<section class="border-hair border-t pt-3 pb-4" aria-label="Where it went" data-where>
	<h2 class="flare text-[17px] font-[520]">Where it went</h2>
	<p class="text-ink2 max-w-[640px] pb-1 text-xs leading-4">
		Ten minutes after the end, on average over the modelled faces: what was there at the start and what was filtered in meanwhile. Only what
		returned to the veins is gone.
	</p>
	<div bind:clientWidth={room}>
		<svg
			width={Math.min(room, 760)}
			height={ROW * where.length + 6}
			role="img"
			aria-label={where.map((w, i) => `${LETTERS[i]}: ${words(w)}`).join('. ')}
			class="block"
		>
			{#each bars as bar, i (i)}
				<text x="4" y={ROW * i + 18} class="name">{LETTERS[i]}</text>
				{#each bar as { part, from, to } (part)}
					<rect
						x={x(from)}
						y={ROW * i + 4}
						width={Math.max(0, x(to) - x(from))}
						height={ROW - 8}
						fill={FILL[part]}
						fill-opacity={opacity(part)}
						stroke="var(--ink)"
						stroke-width="0.8"
					/>
				{/each}
			{/each}
		</svg>
	</div>
	<p class="text-ink2 flex flex-wrap gap-x-4 pt-1 text-xs" aria-hidden="true">
		{#each WHERE_HELD as part (part)}<span class="flex items-center gap-1.5"
				><svg width="16" height="11"
					><rect width="16" height="11" fill={FILL[part]} fill-opacity={opacity(part)} stroke="var(--ink)" stroke-width="0.8" /></svg
				>{WHERE_LABEL[part]}</span
			>{/each}
	</p>
	<table class="mt-2 w-full max-w-[760px] text-xs">
		<caption class="sr-only">Where each sequence leaves the fluid: mean, middle and 5 to 95 per cent of the faces, ml</caption>
		<thead class="text-ink3 text-[11px]"
			><tr
				><th class="text-left font-normal">ml: on average, which adds up; middle; 5 to 95 %</th>{#each titles as title, i (i)}<th
						scope="col"
						class="text-right font-normal"
						{title}>{LETTERS[i]}</th
					>{/each}</tr
			></thead
		>
		<tbody>
			{#each WHERE_PARTS as part (part)}
				<tr class="border-hair border-t">
					<th scope="row" class="py-1 text-left font-normal">{WHERE_LABEL[part]}</th>
					{#each where as w, i (i)}
						<td class="pl-3 text-right leading-4 tabular-nums"
							><b class="font-semibold">{number(w[part].mean)}</b><br /><span class="text-ink2 whitespace-nowrap"
								>{number(w[part].median)}; {number(w[part].p5)} to {number(w[part].p95)}</span
							></td
						>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
</section>

<style>
	.name {
		font-size: 13px;
		font-weight: 600;
		fill: var(--ink);
	}
</style>
